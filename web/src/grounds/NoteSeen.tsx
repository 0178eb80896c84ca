import { Trans } from '@lingui/react/macro';
import type { KeptTree, WholeGrounds } from '@hurrow/contract/grounds';
import { OBSERVED_PARTS, OBSERVED_TITLES, type ObservedPart } from '@hurrow/core/grounds';
import { call } from '../app/api.ts';
import { newId } from '../app/newId.ts';
import { LinkButton } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { useField } from './useField.ts';
import styles from './grounds.module.css';
import { inField } from '../language/inField.ts';

interface NoteSeenProps {
  whole: WholeGrounds;
  tree: KeptTree;
  /** ISO date for which it is noted. */
  day: string;
}

/** What is seen on a tree, noted by one press, and what was noted before. */
export function NoteSeen({ whole, tree, day }: NoteSeenProps) {
  const { note } = useField();
  const own = whole.observations.filter(({ treeId }) => treeId === tree.id);
  const today = own.filter((each) => each.day === day);
  const seen = (part: ObservedPart) => today.find((each) => each.part === part);
  const say = (part: ObservedPart, there: boolean) =>
    note({
      what: 'observation',
      groundsId: whole.id,
      id: seen(part)?.id ?? newId(),
      body: { treeId: tree.id, day, part, there, note: '' },
    });
  return (
    <section className={styles['seen']}>
      <h3>
        <Trans>What do you see on {day}?</Trans>
      </h3>
      <ul>
        {OBSERVED_PARTS.map((part) => (
          <li key={part}>
            <span role="group" aria-label={inField(OBSERVED_TITLES[part].there)}>
              {[true, false].map((there) => (
                <button
                  key={String(there)}
                  type="button"
                  aria-pressed={seen(part)?.there === there}
                  onClick={() => say(part, there)}
                >
                  {there ? inField(OBSERVED_TITLES[part].there) : inField(OBSERVED_TITLES[part].gone)}
                </button>
              ))}
            </span>
          </li>
        ))}
      </ul>
      {own.length > 0 && (
        <ol>
          {own.slice(0, 12).map(({ id, day: on, part, there, by }) => (
            <li key={id}>
              {on}: {there ? inField(OBSERVED_TITLES[part].there) : inField(OBSERVED_TITLES[part].gone)}, {by}{' '}
              <TakeBack groundsId={whole.id} id={id} />
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

function TakeBack({ groundsId, id }: { groundsId: string; id: string }) {
  const { save, problem } = useSaving();
  const take = () =>
    void save(
      () =>
        call('DELETE /api/grounds/{groundsId}/observations/{observationId}', {
          params: { groundsId, observationId: id },
        }),
      { stale: [['grounds']] },
    );
  return (
    <>
      <LinkButton onClick={take}>
        <Trans>take back</Trans>
      </LinkButton>
      {problem && <span role="alert"> {problem}</span>}
    </>
  );
}

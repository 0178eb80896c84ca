import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { KeptKey } from '@hurrow/contract/lookalikes';
import type { Condition } from '@hurrow/core/condition';
import { conditionInWords } from '@hurrow/core/condition';
import { leadInWords, nodeAt, taxaBelow, type Appraisal, type Key } from '@hurrow/core/key';
import { characterName } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import { useSaving } from '../app/useSaving.ts';
import { runInWorker, useWork } from '../workers/useWork.ts';
import { Working } from '../workers/Working.tsx';
import { askedWhole, type Ground } from './setting.ts';
import styles from './keys.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';
import { listInWords } from '../language/inWords.ts';

interface Props {
  /** The couplet that is changed; undefined where none is chosen. */
  path: number[] | undefined;
  keyTo: Key;
  ground: Ground;
  options: KeptKey['options'];
  replaced(key: Key, appraisal: Appraisal): void;
  reword(lead: number, words: string): void;
  ban?: (characterId: string) => void;
}

/** Changing one couplet by hand: reword its leads, or ask something else there and see what that costs. */
export function CoupletEditor(props: Props) {
  const { path, keyTo, ground } = props;
  const node = path && nodeAt(keyTo, path);
  if (!path || node?.kind !== 'couplet')
    return (
      <aside className={styles['couplet-editor']} aria-label={t`Change a couplet`}>
        <p className="quiet">
          <Trans>Press the number of a couplet to reword it, or to ask something else there.</Trans>
        </p>
      </aside>
    );
  const [audience, units] = [
    ground.course?.audience ?? 'technical',
    ground.course?.units ?? 'metric',
  ] as const;
  const characterId = node.leads[0]!.condition.characterId;
  const name = (id: string) => {
    const found = ground.profiles.find(({ taxon }) => taxon.id === id);
    return found ? commonName(found.taxon) : id;
  };
  return (
    <aside className={styles['couplet-editor']} aria-label={t`Change a couplet`}>
      <h2>
        <Trans>This couplet</Trans>
      </h2>
      {node.leads.map((lead, i) => (
        <label key={`${i} ${JSON.stringify(lead.condition)}`}>
          <Trans>
            To {listInWords(taxaBelow(lead.to).slice(0, 4).map(name))}
            {taxaBelow(lead.to).length > 4 && t` and ${taxaBelow(lead.to).length - 4} more`}
          </Trans>
          <textarea
            rows={2}
            maxLength={400}
            defaultValue={leadInWords(lead, ground.vocabulary, audience, units)}
            onChange={(event) => {
              const own = leadInWords(
                { condition: lead.condition, also: lead.also, to: lead.to },
                ground.vocabulary,
                audience,
                units,
              );
              const text = event.target.value.trim();
              if (text !== (lead.words ?? own)) props.reword(i, text === own ? '' : text);
            }}
          />
        </label>
      ))}
      {props.ban && (
        <LinkButton onClick={() => props.ban!(characterId)}>
          <Trans>
            Never ask for {characterName(ground.vocabulary.get(characterId)!, audience)} in this key
          </Trans>
        </LinkButton>
      )}
      <Others {...props} path={path} />
    </aside>
  );
}

/** What else could be asked at a couplet, those that part its taxa most evenly first. */
function Others({ path, keyTo, ground, options, replaced }: Props & { path: number[] }) {
  const { vocabulary, course, library } = ground;
  const [audience, units] = [course?.audience ?? 'technical', course?.units ?? 'metric'] as const;
  const asked = askedWhole(ground, keyTo.view);
  const work = useWork(
    ['questions', keyTo, path, library.id, asked.revision, asked.tag, options, asked.options],
    (worker) => worker.questions(asked, keyTo, path, options),
  );
  const { save, saving: busy, problem } = useSaving();
  const ask = (leads: Condition[]) =>
    save(
      async () => {
        const made = await runInWorker(
          async (worker) => await worker.replace(asked, keyTo, path, leads, options),
        );
        if (!made.ok) throw new Error(made.problem);
        return made;
      },
      { done: ({ value, appraisal }) => replaced(value, appraisal) },
    );
  return (
    <>
      <h2>
        <Trans>Ask something else here</Trans>
      </h2>
      <Working work={work} what={t`Looking for questions…`} />
      {busy && (
        <p role="status">
          <Trans>Building what lies below again…</Trans>
        </p>
      )}
      {problem && <Problem>{problem}</Problem>}
      <ul>
        {work.result?.slice(0, 14).map(({ leads, taxa }) => (
          <li key={leads[0]!.characterId}>
            <LinkButton disabled={busy} onClick={() => void ask(leads)}>
              {conditionInWords(leads[0]!, vocabulary, audience, units)}
            </LinkButton>{' '}
            <small className="quiet">
              <Trans>parts {taxa.map((part) => part.length).join(t` from `)}</Trans>
            </small>
          </li>
        ))}
      </ul>
    </>
  );
}

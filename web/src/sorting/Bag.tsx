import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { readLibrary, type Library } from '@hurrow/core/library';
import type { TaggedTwig } from '@hurrow/core/sorting';
import { commonName } from '@hurrow/core/taxon';
import { call } from '../app/api.ts';
import field from '../app/field.module.css';
import { useMayChange } from '../app/mayChange.ts';
import { LinkButton, Opening, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { useKept } from '../drafts/useKept.ts';
import { bagProblem, nextTag, withKnownTags } from './bag.ts';
import { bagQuery } from './bagQuery.ts';
import styles from './sorting.module.css';

interface Props {
  course: WholeCourse;
  library: Library;
}

/** The real twigs on the table: what is written on each tag, and the tree that it is of. */
export function Bag({ course, library }: Props) {
  const held = useQuery(bagQuery(course.id));
  if (!held.data) return <Opening />;
  return <Twigs key={held.dataUpdatedAt} course={course} library={library} held={held.data.twigs} />;
}

function Twigs({ course, library, held }: Props & { held: TaggedTwig[] }) {
  const mayChange = useMayChange();
  const kept = useKept(`bag/${course.id}`, `Twigs of ${course.name}`, held);
  const { value: twigs } = kept;
  const { save, saving, problem, say } = useSaving();
  const listed = course.sets.flatMap(({ taxa }) => taxa);
  const trees = readLibrary(library).profilesOf(listed);
  const change = (i: number, twig: TaggedTwig | undefined) =>
    kept.set((before) => before.flatMap((each, k) => (k !== i ? [each] : twig ? [twig] : [])));
  const bringTags = async () => {
    const { tags } = await call('GET /api/courses/{courseId}/notebook', { params: { courseId: course.id } });
    kept.set((before) => withKnownTags(before, tags, listed));
  };
  const saveAll = () => {
    const wrong = twigs.length > 0 ? bagProblem(twigs) : undefined;
    if (wrong) return say(wrong);
    void save(
      () => call('PUT /api/courses/{courseId}/bag', { params: { courseId: course.id }, body: { twigs } }),
      { done: () => kept.settle(twigs), stale: [bagQuery(course.id).queryKey] },
    );
  };
  return (
    <section className={styles['bag']} aria-label={t`Real twigs on the table`}>
      <p className="quiet">
        <Trans>
          Tie a number to each twig and lay them out; students find the numbers on their phones. What parts
          them is read from what each tree always or mostly shows.
        </Trans>
      </p>
      <ul>
        {twigs.map((twig, i) => (
          <li key={i}>
            <input
              className={field['field']}
              aria-label={t`Tag of twig ${i + 1}`}
              value={twig.tag}
              maxLength={12}
              onChange={(event) => change(i, { ...twig, tag: event.target.value })}
            />{' '}
            <select
              className={field['field']}
              aria-label={t`Tree of twig ${i + 1}`}
              value={twig.taxonId}
              onChange={(event) => change(i, { ...twig, taxonId: event.target.value })}
            >
              {trees.map(({ taxon }) => (
                <option key={taxon.id} value={taxon.id}>
                  {commonName(taxon)}
                </option>
              ))}
            </select>{' '}
            <button
              type="button"
              aria-label={t`Take twig ${i + 1} away`}
              onClick={() => change(i, undefined)}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
      {mayChange && (
        <p>
          <LinkButton
            onClick={() =>
              kept.set((before) => [
                ...before,
                { tag: nextTag(before), taxonId: listed[before.length % listed.length]! },
              ])
            }
          >
            <Trans>Add a twig</Trans>
          </LinkButton>{' '}
          <LinkButton onClick={() => void bringTags()}>
            <Trans>Bring in the tags that this course knows</Trans>
          </LinkButton>{' '}
          <Button size="small" type="primary" disabled={!kept.changed} loading={saving} onClick={saveAll}>
            <Trans>Save the twigs</Trans>
          </Button>
        </p>
      )}
      {problem && <Problem>{problem}</Problem>}
    </section>
  );
}

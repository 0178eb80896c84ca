import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { lessonAbout, lessonCharacters, lessonGroups } from '@hurrow/core/lesson';
import { readLibrary } from '@hurrow/core/library';
import { characterName } from '@hurrow/core/score';
import { ORGANS } from '@hurrow/core/vocabulary';
import { useLibrary } from '../app/data.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { CharacterLesson } from './CharacterLesson.tsx';
import styles from './character.module.css';
import { inTongue } from '../language/inTongue.ts';

/** Lessons about characters: alone, or several that are looked at together. */
export default function CharacterPage({ course }: { course: WholeCourse }) {
  const { about: asked } = useParams();
  const { library, vocabulary } = useLibrary();
  const list = useMemo(
    () => (library ? readLibrary(library).profilesOf(course.sets.flatMap(({ taxa }) => taxa)) : []),
    [course.sets, library],
  );
  const groups = useMemo(
    () => lessonGroups(list, vocabulary, course.audience),
    [list, vocabulary, course.audience],
  );
  const characters = useMemo(() => lessonCharacters(list, vocabulary), [list, vocabulary]);
  const about = asked ?? groups.find(({ id }) => id === 'margin')?.id ?? groups[0]?.id ?? characters[0] ?? '';
  const topic = useMemo(
    () => lessonAbout(list, vocabulary, course.audience, about),
    [list, vocabulary, course.audience, about],
  );
  if (!library) return <Opening />;
  if (characters.length === 0)
    return (
      <p>
        <Trans>Put species on the list first: a character is taught on its trees.</Trans>
      </p>
    );
  const link = (id: string, title: string) => (
    <Link
      key={id}
      to={`/c/${course.id}/course/characters/${id}`}
      aria-current={id === about ? 'page' : undefined}
    >
      {title}
    </Link>
  );
  return (
    <div className={styles['characters']}>
      <nav aria-label={t`Characters of the list`}>
        <Link className={styles['all']} to={`/c/${course.id}/course/words`}>
          <Trans>All words of the course</Trans>
        </Link>
        {groups.length > 0 && (
          <div>
            <strong>
              <Trans>Looked at together</Trans>
            </strong>
            {groups.map(({ id, title }) => link(id, inTongue(title)))}
          </div>
        )}
        {ORGANS.map(({ organ, title }) => {
          const of = characters.map((id) => vocabulary.get(id)!).filter((each) => each.organ === organ);
          return of.length === 0 ? null : (
            <div key={organ}>
              <strong>{inTongue(title)}</strong>
              {of.map((each) => link(each.id, characterName(each, course.audience)))}
            </div>
          );
        })}
      </nav>
      {topic ? (
        <CharacterLesson
          key={about}
          course={course}
          about={about}
          topic={topic}
          list={list}
          vocabulary={vocabulary}
        />
      ) : (
        <Problem>
          <Trans>The trees of this list do not differ in that. Choose another character.</Trans>
        </Problem>
      )}
    </div>
  );
}

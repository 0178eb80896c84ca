import type { WholeCourse } from '@hurrow/contract/courses';
import { useMemo, useRef } from 'react';
import { Link, useParams } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import {
  characterLesson,
  howToLook,
  lessonCharacters,
  rootsOf,
  type CharacterLesson,
} from '@hurrow/core/lesson';
import { readLibrary } from '@hurrow/core/library';
import { characterName } from '@hurrow/core/score';
import { contrastPlate } from '@hurrow/core/specimen';
import { commonName } from '@hurrow/core/taxon';
import { ORGANS, type Character, type Vocabulary } from '@hurrow/core/vocabulary';
import { useLibrary } from '../app/data.ts';
import { DrawingSvg } from '../app/Drawings.tsx';
import { Opening, Problem } from '../app/parts.tsx';
import { StatePicture } from '../app/StatePicture.tsx';
import { useReport } from '../confusions/useReport.ts';
import { Calls } from './Calls.tsx';
import { viewOfCharacter } from './calling.ts';
import styles from './character.module.css';

/** A lesson about a character: its states along a ruler, each on a tree of the list, how to look, and ten specimens to call. */
export default function CharacterPage({ course }: { course: WholeCourse }) {
  const { characterId } = useParams();
  const { library, vocabulary } = useLibrary();
  const list = useMemo(
    () => (library ? readLibrary(library).profilesOf(course.sets.flatMap(({ taxa }) => taxa)) : []),
    [course.sets, library],
  );
  const characters = useMemo(() => lessonCharacters(list, vocabulary), [list, vocabulary]);
  if (!library) return <Opening />;
  if (characters.length === 0)
    return <p>Put species on the list first: a character is taught on its trees.</p>;
  const chosen = vocabulary.get(
    characterId ?? (characters.includes('leaf.teeth') ? 'leaf.teeth' : characters[0]!),
  );
  return (
    <div className={styles['characters']}>
      <nav aria-label="Characters of the list">
        <Link className={styles['all']} to={`/c/${course.id}/course/words`}>
          All words of the course
        </Link>
        {ORGANS.map(({ organ, title }) => {
          const of = characters.map((id) => vocabulary.get(id)!).filter((each) => each.organ === organ);
          return of.length === 0 ? null : (
            <div key={organ}>
              <strong>{title}</strong>
              {of.map((each) => (
                <Link
                  key={each.id}
                  to={`/c/${course.id}/course/characters/${each.id}`}
                  aria-current={each.id === chosen?.id ? 'page' : undefined}
                >
                  {characterName(each, course.audience)}
                </Link>
              ))}
            </div>
          );
        })}
      </nav>
      {chosen && characters.includes(chosen.id) ? (
        <Lesson key={chosen.id} course={course} character={chosen} list={list} vocabulary={vocabulary} />
      ) : (
        <Problem>The trees of this list do not differ in that. Choose another character.</Problem>
      )}
    </div>
  );
}

interface LessonProps {
  course: WholeCourse;
  character: Character;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
}

function Lesson({ course, character, list, vocabulary }: LessonProps) {
  const lesson = useMemo(
    () => characterLesson(list, character.id, vocabulary),
    [list, character.id, vocabulary],
  );
  const shown = useRef<HTMLElement>(null);
  const look = howToLook(character.id);
  const nameOf = (id: string) => commonName(list.find(({ taxon }) => taxon.id === id)!.taxon);
  const word = (id: string) => {
    const state = character.states.find((each) => each.id === id);
    return (course.audience === 'plain' ? state?.plain : state?.term) ?? id;
  };
  return (
    <article ref={shown} className={styles['lesson']}>
      <header>
        <h2>{characterName(character, course.audience)}</h2>
        {look && <p className={styles['look']}>{look}</p>}
        <button type="button" onClick={() => void shown.current?.requestFullscreen()}>
          Full screen
        </button>
      </header>
      <Ruler course={course} character={character} lesson={lesson} list={list} vocabulary={vocabulary} />
      <dl className={styles['states']}>
        {lesson.states.map((state) => (
          <div key={state.id}>
            <dt>
              <StatePicture characterId={character.id} state={state.id} /> {word(state.id)}
            </dt>
            <dd>
              {state.definition}
              {rootsOf(state.term).map(({ word: root, from }) => (
                <em key={root}>
                  {' '}
                  {root}: {from}.
                </em>
              ))}{' '}
              <span className="quiet">{state.trees.map(nameOf).join(', ')}.</span>
            </dd>
          </div>
        ))}
      </dl>
      <Exceptions lesson={lesson} nameOf={nameOf} word={word} />
      <Misreadings course={course} character={character} word={word} />
      <Calls course={course} character={character} lesson={lesson} list={list} vocabulary={vocabulary} />
    </article>
  );
}

/** So many states stand in one row. */
const IN_ROW = 4;
const ROW = { width: 960, height: 230 };

/** The states in their order, drawn on trees of the list that are alike but for them, at one scale where that can be. */
function Ruler({ course, character, lesson, list, vocabulary }: LessonProps & { lesson: CharacterLesson }) {
  const view = useMemo(() => viewOfCharacter(character), [character]);
  const rows = useMemo(
    () =>
      Array.from({ length: Math.ceil(lesson.states.length / IN_ROW) }, (_, i) => {
        const states = lesson.states.slice(i * IN_ROW, (i + 1) * IN_ROW);
        const trees = states.map(({ example }) => list.find(({ taxon }) => taxon.id === example)!);
        const plate = contrastPlate(trees, vocabulary, view, {
          ...ROW,
          // Four stand two by two.
          height: states.length === IN_ROW ? 2 * ROW.height : ROW.height,
          deciding: [character.id],
          units: course.units,
          label: (at) => (course.audience === 'plain' ? states[at]!.plain : states[at]!.term),
        });
        return { states, plate };
      }),
    [lesson, list, vocabulary, view, character.id, course.units, course.audience],
  );
  return (
    <div className={styles['ruler']} data-ordered={character.kind === 'ordinal'}>
      {rows.map(({ states, plate }) =>
        plate.drawn.includes(true) ? (
          <DrawingSvg
            key={states[0]!.id}
            drawing={plate.drawing}
            label={`From left to right: ${states.map(({ term }) => term).join('; ')}`}
          />
        ) : null,
      )}
    </div>
  );
}

interface Worded {
  lesson: CharacterLesson;
  nameOf(id: string): string;
  word(id: string): string;
}

/** Trees that keep to no one state, by name. */
function Exceptions({ lesson, nameOf, word }: Worded) {
  if (lesson.exceptions.length === 0) return <p>No tree of the list is an exception.</p>;
  return (
    <>
      <h3>Not always</h3>
      <p>
        {lesson.exceptions
          .map(
            ({ taxonId, usual, sometimes }) =>
              `${nameOf(taxonId)}: ${usual.map(word).join(' or ')}${sometimes.length > 0 ? `, sometimes ${sometimes.map(word).join(' or ')}` : ''}`,
          )
          .join('; ')}
        .
      </p>
    </>
  );
}

/** What the class has said it saw where something else was there. */
function Misreadings({
  course,
  character,
  word,
}: { course: WholeCourse; character: Character } & Pick<Worded, 'word'>) {
  const { report } = useReport(course.id, 'now', 'with');
  const found = report?.readings.find(({ characterId }) => characterId === character.id);
  if (!found || found.wrong === 0) return null;
  return (
    <>
      <h3>What this class misreads</h3>
      <p>
        Asked what they see, {found.wrong} of {found.readings} said something else:{' '}
        {found.mistaken
          .slice(0, 3)
          .map(
            ({ right, said, count }) =>
              `“${word(said)}” for ${right.map((id) => `“${word(id)}”`).join(' or ')} ${count}`,
          )
          .join(', ')}
        .
      </p>
    </>
  );
}

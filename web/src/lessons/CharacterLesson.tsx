import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import {
  bothWords,
  characterLesson,
  drawingOfStop,
  exceptionsInWords,
  howToLook,
  rootsOf,
  rowsOfStates,
  statesStops,
  type CharacterLesson as Lesson,
  type CharacterTopic,
  type StateOnList,
} from '@hurrow/core/lesson';
import { characterName } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { upperFirst } from '@hurrow/core/words';
import { useLibrary } from '../app/data.ts';
import { DrawingSvg } from '../app/Drawings.tsx';
import { StatePicture } from '../app/StatePicture.tsx';
import { useReport } from '../confusions/useReport.ts';
import { Calls } from './Calls.tsx';
import styles from './character.module.css';
import { inTongue } from '../language/inTongue.ts';

interface Props {
  course: WholeCourse;
  /** The group or the character, as addresses name it. */
  about: string;
  topic: CharacterTopic;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
}

/** A lesson about characters: how to look, the states side by side on trees of the list, who keeps to none, and ten specimens to call. */
export function CharacterLesson({ course, about, topic, list, vocabulary }: Props) {
  const lessons = useMemo(
    () => topic.characters.map((id) => characterLesson(list, id, vocabulary)),
    [topic, list, vocabulary],
  );
  const [round, setRound] = useState(1);
  return (
    <article className={styles['lesson']}>
      <header>
        <h2>{inTongue(topic.title)}</h2>
        <Out course={course} about={about} round={round} />
      </header>
      {lessons.map((lesson) => (
        <OneCharacter
          key={lesson.characterId}
          course={course}
          lesson={lesson}
          list={list}
          vocabulary={vocabulary}
          alone={lessons.length === 1}
        />
      ))}
      <Calls
        course={course}
        lessons={lessons}
        list={list}
        vocabulary={vocabulary}
        round={round}
        onRound={() => setRound(round + 1)}
      />
    </article>
  );
}

/** The lesson on the wall, on slides and on paper, with the same ten specimens. */
function Out({ course, about, round }: { course: WholeCourse; about: string; round: number }) {
  const at = `/api/courses/${course.id}/characters/${about}`;
  return (
    <span className={styles['out']}>
      <Trans>
        Slides <a href={`${at}/slides.pptx?shape=wide&round=${round}`}>16:9</a> ·{' '}
        <a href={`${at}/slides.pptx?shape=classic&round=${round}`}>4:3</a>
        {' — '}Handout{' '}
        {(['letter', 'a4'] as const).map((paper, i) => (
          <span key={paper}>
            {i > 0 && ' · '}
            <a href={`${at}/handout.pdf?paper=${paper}&round=${round}`} target="_blank" rel="noreferrer">
              {paper === 'a4' ? 'A4' : t`Letter`}
            </a>
          </span>
        ))}{' '}
        <Link className={styles['show']} to={`/show/${course.id}/character/${about}?round=${round}`}>
          Show it
        </Link>
      </Trans>
    </span>
  );
}

interface OneProps {
  course: WholeCourse;
  lesson: Lesson;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  /** The title of the page is its name already. */
  alone: boolean;
}

function OneCharacter({ course, lesson, list, vocabulary, alone }: OneProps) {
  const { audience } = course;
  const character = vocabulary.get(lesson.characterId)!;
  const look = howToLook(character);
  const nameOf = (id: string) => commonName(list.find(({ taxon }) => taxon.id === id)!.taxon);
  const setting = { list, vocabulary, audience };
  return (
    <section className={styles['one']}>
      {!alone && <h3>{upperFirst(characterName(character, audience))}</h3>}
      {look && <p className={styles['look']}>{look}</p>}
      <Ruler course={course} lesson={lesson} list={list} vocabulary={vocabulary} />
      <dl className={styles['states']}>
        {lesson.states.map((state) => (
          <State
            key={state.id}
            state={state}
            characterId={character.id}
            audience={audience}
            nameOf={nameOf}
          />
        ))}
      </dl>
      {lesson.exceptions.length === 0 ? (
        <p>
          <Trans>No tree of the list is an exception.</Trans>
        </p>
      ) : (
        <p>
          <strong>
            <Trans>Not always.</Trans>
          </strong>{' '}
          {upperFirst(exceptionsInWords(setting, lesson))}.
        </p>
      )}
      <Misreadings course={course} lesson={lesson} vocabulary={vocabulary} />
    </section>
  );
}

interface StateProps {
  state: StateOnList;
  characterId: string;
  audience: WholeCourse['audience'];
  nameOf(id: string): string;
}

/** A state: drawn small, what it means, where its word comes from, and the trees that show it. */
function State({ state, characterId, audience, nameOf }: StateProps) {
  return (
    <div>
      <dt>
        <StatePicture characterId={characterId} state={state.id} /> {bothWords(state, audience).word}
      </dt>
      <dd>
        {state.definition}
        {audience === 'technical' &&
          rootsOf(state.term).map(({ word, from }) => (
            <em key={word}>
              {' '}
              {word}: {from}.
            </em>
          ))}{' '}
        <span className="quiet">{state.trees.map(nameOf).join(', ')}.</span>
      </dd>
    </div>
  );
}

/** Pixels of a sheet of states, and of a row of it. */
const [WIDTH, ROW] = [960, 230];

/** The states in their order, drawn on trees of the list that are alike but for them, at one scale where that can be. */
function Ruler({ course, lesson, list, vocabulary }: Omit<OneProps, 'alone'>) {
  const { library } = useLibrary();
  const sheets = useMemo(() => {
    const { audience, units } = course;
    return statesStops({ list, vocabulary, audience }, lesson).flatMap((stop) => {
      const of = stop.taxa.map((id) => list.find(({ taxon }) => taxon.id === id)!);
      const drawing =
        library &&
        drawingOfStop(
          stop,
          of,
          {
            vocabulary,
            units,
            reference: library.reference,
            site: course,
            day: 0,
            width: WIDTH,
            height: ROW * rowsOfStates(of.length),
          },
          audience,
        );
      return drawing ? [{ stop, drawing }] : [];
    });
  }, [library, lesson, list, vocabulary, course]);
  const isOrdered = vocabulary.get(lesson.characterId)!.kind !== 'categorical';
  return (
    <div className={styles['ruler']} data-ordered={isOrdered}>
      {sheets.map(({ stop, drawing }) => (
        <DrawingSvg key={stop.key} drawing={drawing} label={t`From left to right: ${stop.words}`} />
      ))}
    </div>
  );
}

/** What the class has said it saw where something else was there. */
function Misreadings({ course, lesson, vocabulary }: Omit<OneProps, 'alone' | 'list'>) {
  const { report } = useReport(course.id, 'now', 'with');
  const found = report?.readings.find(({ characterId }) => characterId === lesson.characterId);
  if (!found || found.wrong === 0) return null;
  const { states } = vocabulary.get(lesson.characterId)!;
  const word = (id: string) => {
    const state = states.find((each) => each.id === id);
    return state ? bothWords(state, course.audience).word : id;
  };
  return (
    <p>
      <Trans>
        <strong>What this class misreads.</strong> Asked what they see, {found.wrong} of {found.readings} said
        something else:{' '}
        {found.mistaken
          .slice(0, 3)
          .map(
            ({ right, said, count }) =>
              t`“${word(said)}” for ${right.map((id) => `“${word(id)}”`).join(t` or `)} ${count}`,
          )
          .join(', ')}
        .
      </Trans>
    </p>
  );
}

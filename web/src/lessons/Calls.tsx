import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Course } from '@hurrow/contract/courses';
import { useMemo, useState } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import {
  askOfCharacter,
  bothWords,
  characterCalls,
  howToLook,
  TO_CALL,
  viewOfCharacter,
  type CharacterLesson,
} from '@hurrow/core/lesson';
import { drawPlate, sampleSpecimen } from '@hurrow/core/specimen';
import { commonName } from '@hurrow/core/taxon';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { DrawingSvg } from '../app/Drawings.tsx';
import { StatePicture } from '../app/StatePicture.tsx';
import { BEGIN_CALLING, called, next } from './calling.ts';
import styles from './character.module.css';

interface Props {
  course: Pick<Course, 'audience' | 'units'>;
  lessons: readonly CharacterLesson[];
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  /** Other specimens for another round. */
  round: number;
  onRound(): void;
}

const FRAME = { width: 620, height: 300 };

/** Ten drawn specimens, one after the other: what is it? */
export function Calls({ course, lessons, list, vocabulary, round, onRound }: Props) {
  const [calling, call] = useState(BEGIN_CALLING);
  const calls = useMemo(
    () => characterCalls({ list, vocabulary }, lessons, TO_CALL, round),
    [list, vocabulary, lessons, round],
  );
  const asked = calls[calling.at];
  const drawing = useMemo(() => {
    if (!asked) return undefined;
    const view = viewOfCharacter(vocabulary.get(asked.characterId)!);
    const profiled = list.find(({ taxon }) => taxon.id === asked.taxonId)!;
    const traits = sampleSpecimen(profiled, vocabulary, view, asked.seed);
    return drawPlate(traits, view.organs, { ...FRAME, units: course.units });
  }, [asked, list, vocabulary, course.units]);
  if (!asked || !drawing)
    return (
      <p>
        <Trans>No drawing shows this. Hold up real ones.</Trans>
      </p>
    );
  const lesson = lessons.find(({ characterId }) => characterId === asked.characterId)!;
  const character = vocabulary.get(asked.characterId)!;
  const { taxon } = list.find((each) => each.taxon.id === asked.taxonId)!;
  const look = howToLook(character);
  const said = calling.said[calling.at];
  const word = (id: string) =>
    bothWords(
      lesson.states.find((each) => each.id === id)!,
      course.audience,
    ).word;
  const done = calling.said.length === calls.length;
  return (
    <section className={styles['calls']} aria-label={t`Ten to call`}>
      <h3>
        <Trans>
          Call it, {calling.at + 1} of {calls.length}: {askOfCharacter(character, course.audience)}
        </Trans>
      </h3>
      {look && <p className="quiet">{look}</p>}
      <DrawingSvg drawing={drawing} label={t`Specimen ${calling.at + 1}`} />
      <div className={styles['choices']} role="group" aria-label={t`What it is`}>
        {lesson.states.map(({ id }) => (
          <button
            key={id}
            type="button"
            disabled={said !== undefined}
            data-right={said !== undefined && asked.right.includes(id)}
            data-wrong={said === id && !asked.right.includes(id)}
            onClick={() => call((held) => called(held, id))}
          >
            <StatePicture characterId={character.id} state={id} /> {word(id)}
          </button>
        ))}
      </div>
      <p aria-live="polite">
        {said !== undefined &&
          t`${asked.right.includes(said) ? t`Yes` : t`No`}: ${asked.right.map(word).join(t` and `)}, on ${commonName(taxon)}. `}
        {said !== undefined && !done && (
          <button type="button" onClick={() => call((held) => next(held, calls.length))}>
            <Trans>Next</Trans>
          </button>
        )}
        {done && (
          <button
            type="button"
            onClick={() => {
              onRound();
              call(BEGIN_CALLING);
            }}
          >
            <Trans>Ten others</Trans>
          </button>
        )}
      </p>
    </section>
  );
}

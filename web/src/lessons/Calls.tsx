import type { WholeCourse } from '@hurrow/contract/courses';
import { useMemo, useState } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { toCall, type CharacterLesson } from '@hurrow/core/lesson';
import { drawPlate, sampleSpecimen } from '@hurrow/core/specimen';
import { commonName } from '@hurrow/core/taxon';
import { type Character, type Vocabulary } from '@hurrow/core/vocabulary';
import { DrawingSvg } from '../app/Drawings.tsx';
import { StatePicture } from '../app/StatePicture.tsx';
import { BEGIN_CALLING, called, next, rightStates, viewOfCharacter } from './calling.ts';
import styles from './character.module.css';

interface Props {
  course: WholeCourse;
  character: Character;
  lesson: CharacterLesson;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
}

const TO_CALL = 10;
const FRAME = { width: 620, height: 300 };

/** Ten drawn specimens, one after the other: what is it? */
export function Calls({ course, character, lesson, list, vocabulary }: Props) {
  const [round, setRound] = useState(1);
  const [calling, call] = useState(BEGIN_CALLING);
  const specimens = useMemo(() => toCall(lesson, TO_CALL, round), [lesson, round]);
  const { taxonId, seed } = specimens[calling.at]!;
  const profiled = list.find(({ taxon }) => taxon.id === taxonId)!;
  const drawn = useMemo(() => {
    const view = viewOfCharacter(character);
    const traits = sampleSpecimen(profiled, vocabulary, view, seed);
    return {
      drawing: drawPlate(traits, view.organs, { ...FRAME, units: course.units }),
      right: rightStates(traits.values[character.id], lesson),
    };
  }, [profiled, vocabulary, seed, character, lesson, course.units]);
  const said = calling.said[calling.at];
  const word = (id: string) => {
    const state = character.states.find((each) => each.id === id);
    return (course.audience === 'plain' ? state?.plain : state?.term) ?? id;
  };
  const done = calling.said.length === specimens.length;
  return (
    <section className={styles['calls']} aria-label="Ten to call">
      <h3>
        Call it: {calling.at + 1} of {specimens.length}
      </h3>
      {drawn.drawing ? (
        <DrawingSvg drawing={drawn.drawing} label={`Specimen ${calling.at + 1}`} />
      ) : (
        <p>This part cannot be drawn. Hold up a real one.</p>
      )}
      <div className={styles['choices']} role="group" aria-label="What it is">
        {lesson.states.map(({ id }) => (
          <button
            key={id}
            type="button"
            disabled={said !== undefined}
            data-right={said !== undefined && drawn.right.includes(id)}
            data-wrong={said === id && !drawn.right.includes(id)}
            onClick={() => call((held) => called(held, id))}
          >
            <StatePicture characterId={character.id} state={id} /> {word(id)}
          </button>
        ))}
      </div>
      <p aria-live="polite">
        {said !== undefined &&
          `${drawn.right.includes(said) ? 'Yes' : 'No'}: ${drawn.right.map(word).join(' and ') || 'not to be told from this drawing'}, on ${commonName(profiled.taxon)}. `}
        {said !== undefined && !done && (
          <button type="button" onClick={() => call((held) => next(held, specimens))}>
            Next
          </button>
        )}
        {done && (
          <button
            type="button"
            onClick={() => {
              setRound((held) => held + 1);
              call(BEGIN_CALLING);
            }}
          >
            Ten others
          </button>
        )}
      </p>
    </section>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { NOTED_ORGANS } from '@hurrow/contract/limits';
import type { EntryBody } from '@hurrow/contract/notebook';
import { useState, type ReactNode } from 'react';
import { characterName, type Audience } from '@hurrow/core/score';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { BUILT_IN, stateOf, type Character, type ShownOrgan, type Vocabulary } from '@hurrow/core/vocabulary';
import { statesToSee } from '@hurrow/core/station';
import { StatePicture } from '../app/StatePicture.tsx';
import { charactersToChoose, touched } from './noted.ts';
import { Sketch } from './Sketch.tsx';
import styles from './notebook.module.css';
import { upperFirst } from '@hurrow/core/words';
import { inTongue } from '../language/inTongue.ts';

/** What to look at before words are looked for, by organ. */
const LOOK: Readonly<Partial<Record<ShownOrgan, string>>> = {
  habit: t`Stand back. What shape is it, where do its branches go, what does its top do?`,
  bark: t`Stand an arm away, then touch it. What does it remind you of? High up it may look younger.`,
  twig: t`What sits across from what? Turn it, feel it, scratch it and smell.`,
  bud: t`Look at the tip first. How many scales, what shape, hairy or sticky?`,
  leaf: t`Where does a leaf end and the twig begin? Then its edge, both faces, and its smell.`,
  flower: t`How do they hang or stand, what color, and are the leaves out yet?`,
  fruit: t`Is it still on the tree, does it hang or stand, what is inside?`,
};

interface EntryFormProps {
  body: EntryBody;
  audience: Audience;
  vocabulary?: Vocabulary;
  onBody(body: EntryBody): void;
  /** Pictures, where they can be added. */
  children?: ReactNode;
}

/** An entry: where and of what, own words before anything is offered, a drawing, and then the states it looks like. */
export function EntryForm({ body, audience, vocabulary = BUILT_IN, onBody, children }: EntryFormProps) {
  const [more, setMore] = useState(false);
  const [sheet, setSheet] = useState(body.drawing.length > 0);
  const { first, more: others } = charactersToChoose(body.organ, body.chosen, vocabulary);
  return (
    <div className={styles['form']}>
      <div className={styles['where']}>
        <label>
          <Trans>Tag on the tree</Trans>
          <input
            value={body.tag}
            maxLength={40}
            autoComplete="off"
            placeholder={t`such as T-14`}
            onChange={(event) => onBody({ ...body, tag: event.target.value })}
          />
        </label>
        <label>
          <Trans>Day</Trans>
          <input
            type="date"
            value={body.day}
            onChange={(event) => event.target.value && onBody({ ...body, day: event.target.value })}
          />
        </label>
      </div>
      <fieldset className={styles['organs']}>
        <legend>
          <Trans>What do you look at?</Trans>
        </legend>
        {NOTED_ORGANS.map((organ) => (
          <button
            key={organ}
            type="button"
            aria-pressed={body.organ === organ}
            onClick={() => onBody({ ...body, organ })}
          >
            {inTongue(SHOWN_TITLES[organ])}
          </button>
        ))}
      </fieldset>
      <label className={styles['words']}>
        <Trans>
          In your own words
          <small>{LOOK[body.organ]}</small>
        </Trans>
        <textarea
          rows={3}
          maxLength={2000}
          value={body.words}
          onChange={(event) => onBody({ ...body, words: event.target.value })}
        />
      </label>
      <div className={styles['seen']}>
        <button type="button" aria-expanded={sheet} onClick={() => setSheet(!sheet)}>
          <Trans>Draw it</Trans>
        </button>
        {children}
      </div>
      {sheet && <Sketch drawing={body.drawing} onDraw={(drawing) => onBody({ ...body, drawing })} />}
      <h2>
        <Trans>Which is it most like?</Trans>
      </h2>
      {(more ? [...first, ...others] : first).map((character) => (
        <StateChoice
          key={character.id}
          character={character}
          audience={audience}
          chosen={body.chosen.filter(({ characterId }) => characterId === character.id)}
          onTouch={(state) => onBody({ ...body, chosen: touched(body.chosen, character, state) })}
        />
      ))}
      {!more && others.length > 0 && (
        <button type="button" className={styles['more']} onClick={() => setMore(true)}>
          <Trans>More to look at ({others.length})</Trans>
        </button>
      )}
    </div>
  );
}

interface StateChoiceProps {
  character: Character;
  audience: Audience;
  chosen: EntryBody['chosen'];
  onTouch(state: string): void;
}

/** The states of a character to choose from, each with its little drawing where it has one. */
function StateChoice({ character, audience, chosen, onTouch }: StateChoiceProps) {
  return (
    <fieldset className={styles['states']}>
      <legend>{upperFirst(characterName(character, audience))}</legend>
      {statesToSee(character).map((id) => {
        const state = stateOf(character, id)!;
        return (
          <button
            key={id}
            type="button"
            title={state.definition}
            aria-pressed={chosen.some((one) => one.state === id)}
            onClick={() => onTouch(id)}
          >
            <StatePicture characterId={character.id} state={id} large />
            {audience === 'plain' ? state.plain : state.term}
          </button>
        );
      })}
    </fieldset>
  );
}

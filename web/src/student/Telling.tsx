import { Trans } from '@lingui/react/macro';
import type { SeeingAsked } from '@hurrow/contract/sitting';
import type { OfferedOrgan } from '@hurrow/core/station';
import { SURENESS, SURENESS_WORDS, type Sureness } from '@hurrow/core/names';
import { upperFirst } from '@hurrow/core/words';
import { checklistSaid, seeingSaid } from '../language/questionSaid.ts';
import { GUESS, isFull, ticked, WHOLE_LOOK } from './wentBy.ts';
import styles from './student.module.css';
import { inTongue } from '../language/inTongue.ts';

/** “What do you see”: one state of each character that is asked for, chosen by a tap and taken back by another. */
export function Seeing({
  asks,
  seen,
  onSee,
}: {
  asks: SeeingAsked[];
  seen: Record<string, string>;
  onSee(seen: Record<string, string>): void;
}) {
  return (
    <>
      <h2>
        <Trans>What do you see?</Trans>
      </h2>
      <p className="quiet">
        <Trans>Not marked. Look before you name it; leave out what you cannot tell.</Trans>
      </p>
      {seeingSaid(asks).map(({ characterId, question, states }) => (
        <fieldset className={styles['seeing']} key={characterId}>
          <legend>{upperFirst(question)}</legend>
          {states.map(({ id, word, definition }) => (
            <button
              type="button"
              key={id}
              title={definition}
              aria-pressed={seen[characterId] === id}
              onClick={() => onSee({ ...seen, [characterId]: seen[characterId] === id ? '' : id })}
            >
              {word}
            </button>
          ))}
        </fieldset>
      ))}
    </>
  );
}

/** “What did you go by”, after the name: up to three things of what could be seen, ticked by a tap and taken back by another. */
export function WentBy({
  offered,
  told,
  onTell,
}: {
  offered: OfferedOrgan[];
  told: string[];
  onTell(told: string[]): void;
}) {
  const chip = (id: string, word: string) => (
    <button
      type="button"
      key={id}
      aria-pressed={told.includes(id)}
      disabled={isFull(told, id)}
      onClick={() => onTell(ticked(told, id))}
    >
      {word}
    </button>
  );
  return (
    <>
      <h2>
        <Trans>What did you go by?</Trans>
      </h2>
      <p className="quiet">
        <Trans>Not marked. Up to three: what led you to the name, right or wrong.</Trans>
      </p>
      {checklistSaid(offered).map(({ organ, characters }) => (
        <fieldset className={styles['went-by']} key={organ}>
          <legend>{upperFirst(organ)}</legend>
          {characters.map(({ id, word }) => chip(id, word))}
        </fieldset>
      ))}
      <div className={styles['went-by']}>
        {chip(WHOLE_LOOK, upperFirst(inTongue(WHOLE_LOOK)))}
        {chip(GUESS, upperFirst(inTongue(GUESS)))}
      </div>
    </>
  );
}

/** How sure one is of the name: a tap says it, another takes it back. */
export function Sure({
  sure,
  onSure,
}: {
  sure: Sureness | undefined;
  onSure(sure: Sureness | undefined): void;
}) {
  return (
    <fieldset className={styles['sure']}>
      <legend>
        <Trans>How sure? Not marked.</Trans>
      </legend>
      {SURENESS.map((each) => (
        <button
          type="button"
          key={each}
          aria-pressed={sure === each}
          onClick={() => onSure(sure === each ? undefined : each)}
        >
          {upperFirst(inTongue(SURENESS_WORDS[each]))}
        </button>
      ))}
    </fieldset>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { isDeciduous, type ProfiledTaxon } from '@hurrow/core/evidence';
import {
  characterName,
  valueInWords,
  type AdoptedScore,
  type Audience,
  type UnitSystem,
} from '@hurrow/core/score';
import { partPresent, type Calendar } from '@hurrow/core/season';
import type { Character, Organ, Vocabulary } from '@hurrow/core/vocabulary';
import { useFieldDate } from '../app/fieldDate.tsx';
import { inTongue } from '../language/inTongue.ts';
import { dayLabel } from '../language/inWords.ts';
import { qualifiersInWords } from '../language/qualifiersInWords.ts';
import styles from './species.module.css';

interface OrganRowProps {
  organ: Organ;
  title: string;
  profiled: ProfiledTaxon;
  calendar: Calendar;
  audience: Audience;
  units: UnitSystem;
  library: LibraryAnswer;
  vocabulary: Vocabulary;
}

/** What is scored of an organ, pale where it is not on the tree on the field date, and where sources disagree on it. */
export function OrganRow(props: OrganRowProps) {
  const { organ, title, profiled, calendar, audience, units, library, vocabulary } = props;
  const { day } = useFieldDate();
  const groups = scoresByCharacter(profiled.scores, organ, vocabulary);
  if (groups.length === 0) return null;
  const deciduous = isDeciduous(profiled);
  const absent = groups.every(([character]) => !partPresent(character.part, calendar, deciduous, day));
  const label = (id: string) => library.sources.find((source) => source.id === id)?.label ?? id;
  const disagreeing = groups.flatMap(([character, scores]) =>
    scores.filter((score) => score.disagree).map((score) => ({ character, score })),
  );
  const sources = new Set(
    groups.flatMap(([, scores]) =>
      scores.flatMap((score) => score.statements.map((statement) => statement.sourceId)),
    ),
  );
  return (
    <section className={absent ? `${styles['organ']} ${styles['absent']}` : styles['organ']}>
      <h2>{inTongue(title)}</h2>
      <div className={styles['statement']}>
        {absent && (
          <em className="gold">
            <Trans>None on {dayLabel(day)}.</Trans>{' '}
          </em>
        )}
        {groups.map(([character, scores], i) => (
          <span key={character.id}>
            {i > 0 && '; '}
            <span className="quiet">{characterName(character, audience)}</span>{' '}
            {scores.map((score, k) => (
              <span key={k} className={score.disagree ? styles['disputed'] : ''}>
                {k > 0 && ' | '}
                {Object.keys(score.qualifiers).length > 0 && <i>{qualifiersInWords(score.qualifiers)}: </i>}
                {valueInWords(score.value, character, audience, units)}
              </span>
            ))}
          </span>
        ))}
        .
      </div>
      <div className={styles['margin']}>
        {disagreeing.map(({ character, score }, i) => (
          <p key={i}>
            <Trans>
              <span className="rust">Sources disagree</span> on {characterName(character, audience)}:{' '}
              {score.statements
                .map(
                  (statement) =>
                    `${label(statement.sourceId)} ${valueInWords(statement.value, character, audience, units)}`,
                )
                .join('; ')}
              . Adopted: {score.from.map(label).join(', ')}.
            </Trans>
          </p>
        ))}
        {disagreeing.length === 0 && (
          <p>
            {sources.size > 1 ? t`${sources.size} sources, no disagreement.` : label([...sources][0] ?? '')}
          </p>
        )}
      </div>
    </section>
  );
}

function scoresByCharacter(
  scores: readonly AdoptedScore[],
  organ: Organ,
  vocabulary: Vocabulary,
): [Character, AdoptedScore[]][] {
  return [...vocabulary.values()]
    .filter((character) => character.organ === organ)
    .map((character): [Character, AdoptedScore[]] => [
      character,
      scores.filter((score) => score.characterId === character.id),
    ])
    .filter(([, held]) => held.length > 0);
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { conditionInWords, type Condition } from '@hurrow/core/condition';
import { MultiAccess } from '@hurrow/core/key';
import { characterName } from '@hurrow/core/score';
import { commonName, scientificName, type Taxon } from '@hurrow/core/taxon';
import { ConditionPicker } from './ConditionPicker.tsx';
import type { Ground } from './setting.ts';
import styles from './rules.module.css';
import { LinkButton } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import contrastStyles from './contrast.module.css';

/** Naming a specimen by answering any characters in any order: what is left after each, and what to look at next. */
export function Identify({ ground, base }: { ground: Ground; base: string }) {
  const { setting, vocabulary, course } = ground;
  const [audience, units] = [course?.audience ?? 'technical', course?.units ?? 'metric'] as const;
  const [answers, setAnswers] = useState<Condition[]>([]);
  const [tolerant, setTolerant] = useState(true);
  const access = useMemo(
    () => new MultiAccess(setting.list, setting.vocabulary, setting.view, setting.options),
    [setting],
  );
  const found = useMemo(() => access.identify(answers, tolerant), [access, answers, tolerant]);
  const offered = useMemo(() => new Set(access.readings.channels.keys()), [access]);
  const taxon = (id: string) => setting.list.find((each) => each.taxon.id === id)!.taxon;
  const words = (condition: Condition) => conditionInWords(condition, vocabulary, audience, units);
  const [first, second] = found.ranked;
  return (
    <div className={styles['rules']}>
      <div className={styles['rule-form']}>
        <h2>
          <Trans>What the specimen shows</Trans>
        </h2>
        {answers.length === 0 && (
          <p className="quiet">
            <Trans>Answer whatever you can see, in any order.</Trans>
          </p>
        )}
        <ul className={styles['rule-list']}>
          {answers.map((answer, i) => (
            <li key={i}>
              {words(answer)}{' '}
              <LinkButton onClick={() => setAnswers(answers.filter((_, j) => j !== i))}>
                <Trans>Take back</Trans>
              </LinkButton>
            </li>
          ))}
        </ul>
        <ConditionPicker
          vocabulary={setting.vocabulary}
          audience={audience}
          units={units}
          offered={offered}
          label={t`It shows`}
          onPick={(answer) => setAnswers([...answers, answer])}
        />
        {found.next.length > 0 && (
          <p>
            <Trans>
              Look next at{' '}
              <strong>
                {found.next
                  .slice(0, 3)
                  .map(({ characterId }) => characterName(vocabulary.get(characterId)!, audience))
                  .join(', ')}
              </strong>
              .
            </Trans>
          </p>
        )}
        <label>
          <input type="checkbox" checked={tolerant} onChange={() => setTolerant(!tolerant)} />{' '}
          <Trans>forgive one wrong answer</Trans>
        </label>
      </div>
      <div>
        <h2>
          <Trans>What it can be</Trans>
        </h2>
        <Candidates ranked={found.ranked} asked={answers.length} taxon={taxon} base={base} />
        {answers.length > 1 && first && second && (
          <p>
            <Link to={`${base}?taxa=${first.taxonId},${second.taxonId}`}>
              <Trans>
                What settles {commonName(taxon(first.taxonId))} and {commonName(taxon(second.taxonId))}
              </Trans>
            </Link>
          </p>
        )}
      </div>
    </div>
  );
}

/** The likeliest, with what speaks against each. */
function Candidates({
  ranked,
  asked,
  taxon,
  base,
}: {
  ranked: ReturnType<MultiAccess['identify']>['ranked'];
  asked: number;
  taxon(id: string): Taxon;
  base: string;
}) {
  return (
    <table className={ui['plain-table']}>
      <tbody>
        {ranked.slice(0, 14).map(({ taxonId, probability, against }) => (
          <tr key={taxonId}>
            <td>
              <Link to={`${base.replace(/lookalikes$/, 'species')}/${taxonId}`}>
                {commonName(taxon(taxonId))}
              </Link>{' '}
              <span className="latin">{scientificName(taxon(taxonId))}</span>
            </td>
            <td>
              <span className={contrastStyles['bar-cell']}>
                <i style={{ width: `${probability * 160}px` }} />
                {probability < 0.005 ? t`under 1 %` : `${Math.round(100 * probability)} %`}
              </span>
            </td>
            <td className="quiet">{against > 0 && t`${against} of ${asked} answers speak against it`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

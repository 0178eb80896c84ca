import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { NAMING_POLICIES, POLICY_TITLES, type MarkingPolicy } from '@hurrow/core/names';
import { inTongue } from '../language/inTongue.ts';
import { NumberField } from './NumberField.tsx';

/** How trees are named, as a sentence with its points. */
export function Naming({
  marking,
  onChange,
}: {
  marking: MarkingPolicy;
  onChange(marking: MarkingPolicy): void;
}) {
  const { policy, points } = marking;
  const parts: [keyof MarkingPolicy['points'], string][] =
    policy === 'common'
      ? [['name', t`name`]]
      : [
          ['genus', t`genus`],
          ...(policy === 'genus' ? [] : [['epithet', t`epithet`] as ['epithet', string]]),
          ...(policy === 'binomialFamily' ? [['family', t`family`] as ['family', string]] : []),
        ];
  return (
    <section>
      <h2>
        <Trans>Naming</Trans>
      </h2>
      <p>
        <Trans>A tree is named by its</Trans>{' '}
        <select
          aria-label={t`Students name a tree by`}
          value={policy}
          onChange={(event) =>
            onChange({ ...marking, policy: event.target.value as MarkingPolicy['policy'] })
          }
        >
          {NAMING_POLICIES.map((value) => (
            <option key={value} value={value}>
              {inTongue(POLICY_TITLES[value])}
            </option>
          ))}
        </select>
        .
      </p>
      <p>
        <Trans>
          Right, the{' '}
          {parts.map(([part, word], i) => (
            <span key={part}>
              <Trans>
                {i > 0 && (i === parts.length - 1 ? t` and the ` : t`, the `)}
                {word} is worth
              </Trans>{' '}
              <NumberField
                label={t`Points for the ${word}`}
                value={points[part]}
                onChange={(value) => onChange({ ...marking, points: { ...points, [part]: value } })}
              />
            </span>
          ))}
          ; a misspelled part loses{' '}
          <NumberField
            label={t`Off for a misspelled part`}
            value={marking.deduction}
            onChange={(deduction) => onChange({ ...marking, deduction })}
          />
          .
        </Trans>
      </p>
    </section>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { AIDS, SHOWN_TITLES, type Aid, type LeafCondition, type View } from '@hurrow/core/view';
import type { ShownOrgan } from '@hurrow/core/vocabulary';
import { withLeaves, type Planned } from './planned.ts';
import ui from '../app/parts.module.css';
import { inTongue } from '../language/inTongue.ts';

const LEAVES: readonly [LeafCondition | undefined, string][] = [
  [undefined, t`as on that date`],
  ['on', t`in leaf`],
  ['off', t`bare`],
];

/** What a station shows, and what its students may use. */
export function ViewEditor({
  station,
  fixed,
  onChange,
}: {
  station: Planned;
  fixed: boolean;
  onChange(view: View): void;
}) {
  const { view } = station;
  const flip = <T,>(list: T[], item: T) =>
    list.includes(item) ? list.filter((other) => other !== item) : [...list, item];
  return (
    <>
      <p className="quiet">
        <Trans>Shown</Trans>
      </p>
      <div className={ui['chips']}>
        {(Object.keys(SHOWN_TITLES) as ShownOrgan[]).map((organ) => (
          <button
            key={organ}
            aria-pressed={view.organs.includes(organ)}
            {...(view.organs.includes(organ) ? { 'data-frequency': 'always' } : {})}
            disabled={fixed}
            onClick={() => onChange({ ...view, organs: flip(view.organs, organ) })}
          >
            {inTongue(SHOWN_TITLES[organ])}
          </button>
        ))}
      </div>
      {view.organs.some((organ) => organ === 'twig' || organ === 'bud' || organ === 'habit') && (
        <>
          <p className="quiet">
            <Trans>Its leaves</Trans>
          </p>
          <div className={ui['chips']} role="group" aria-label={t`Its leaves`}>
            {LEAVES.map(([leaves, title]) => (
              <button
                key={title}
                aria-pressed={view.leaves === leaves}
                {...(view.leaves === leaves ? { 'data-frequency': 'always' } : {})}
                disabled={fixed}
                onClick={() => onChange(withLeaves(view, leaves))}
              >
                {title}
              </button>
            ))}
          </div>
        </>
      )}
      <p className="quiet">
        <Trans>Students may use</Trans>
      </p>
      <div className={ui['chips']}>
        {AIDS.map((aid: Aid) => (
          <button
            key={aid}
            aria-pressed={view.aids.includes(aid)}
            {...(view.aids.includes(aid) ? { 'data-frequency': 'always' } : {})}
            disabled={fixed || aid === 'eye'}
            onClick={() => onChange({ ...view, aids: flip(view.aids, aid) })}
          >
            {inTongue(aid)}
          </button>
        ))}
      </div>
    </>
  );
}

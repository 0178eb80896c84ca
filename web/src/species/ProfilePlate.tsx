import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMemo } from 'react';
import { isDeciduous, type ProfiledTaxon } from '@hurrow/core/evidence';
import type { Audience, UnitSystem } from '@hurrow/core/score';
import type { Calendar } from '@hurrow/core/season';
import type { View } from '@hurrow/core/view';
import type { ShownOrgan } from '@hurrow/core/vocabulary';
import { Cautions } from '../app/Cautions.tsx';
import { Specimen, twigView } from '../app/Drawings.tsx';
import { useFieldDate } from '../app/fieldDate.tsx';
import { LinkButton } from '../app/parts.tsx';
import { arcLabel, dayLabel } from '../language/inWords.ts';
import { PhotoStrip } from '../measuring/PhotoStrip.tsx';
import styles from './species.module.css';

const PLATE: ShownOrgan[] = ['twig', 'bud', 'leaf', 'fruit', 'bark'];

interface ProfilePlateProps {
  profiled: ProfiledTaxon;
  calendar: Calendar;
  audience: Audience;
  units: UnitSystem;
  /** Which individual is drawn; the typical one where none is chosen. */
  seed: number | undefined;
  onSeed(seed: (held: number | undefined) => number | undefined): void;
  photos: string;
}

/** The drawn specimen on the field date, and what is told beside it: the aid, a fact, cautions, photos, the seasons. */
export function ProfilePlate({
  profiled,
  calendar,
  audience,
  units,
  seed,
  onSeed,
  photos,
}: ProfilePlateProps) {
  const { day } = useFieldDate();
  const view = useMemo<View>(() => ({ ...twigView(day), organs: PLATE }), [day]);
  const { taxon } = profiled;
  return (
    <aside className={styles['profile-plate']}>
      <Specimen
        profiled={profiled}
        view={view}
        calendar={calendar}
        width={360}
        height={430}
        units={units}
        audience={audience}
        {...(seed ? { seed } : {})}
      />
      <p className="quiet">
        <Trans>
          {seed ? t`Individual ${seed}` : t`The typical specimen`} as on {dayLabel(day)}, drawn from the
          scores.
        </Trans>{' '}
        <LinkButton onClick={() => onSeed((n) => (n ?? 0) + 1)}>
          <Trans>Draw another (r)</Trans>
        </LinkButton>
        {seed !== undefined && (
          <>
            {' · '}
            <LinkButton onClick={() => onSeed(() => undefined)}>
              <Trans>typical</Trans>
            </LinkButton>
          </>
        )}
      </p>
      {!taxon.calendar.leaves && profiled.scores.length > 0 && (
        <p className="gold">
          <Trans>
            No leaf months are recorded;{' '}
            {isDeciduous(profiled) ? t`May to mid October is assumed.` : t`it is drawn as in leaf all year.`}
          </Trans>
        </p>
      )}
      {taxon.memoryAid && <p className={styles['aid']}>{taxon.memoryAid}</p>}
      {taxon.fact && <p className="quiet">{taxon.fact}</p>}
      <Cautions cautions={taxon.cautions} />
      <PhotoStrip taxonId={taxon.id} to={photos} />
      <SeasonList calendar={calendar} />
    </aside>
  );
}

/** When each part is on the tree. */
function SeasonList({ calendar }: { calendar: Calendar }) {
  const parts: [keyof Calendar, string][] = [
    ['leaves', t`In leaf`],
    ['autumnColor', t`Autumn color`],
    ['leafFall', t`Leaf fall`],
    ['winterCatkins', t`Winter catkins`],
    ['flowers', t`Flower or pollen`],
    ['fruitGreen', t`Green fruit`],
    ['fruitRipe', t`Ripe fruit`],
    ['fruitOld', t`Old fruit`],
  ];
  const known = parts.filter(([part]) => calendar[part]?.length);
  if (known.length === 0) return null;
  return (
    <dl className={styles['season-list']}>
      {known.map(([part, title]) => (
        <div key={part}>
          <dt>{title}</dt>
          <dd>{calendar[part]!.map(arcLabel).join(', ')}</dd>
        </div>
      ))}
    </dl>
  );
}

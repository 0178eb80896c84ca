import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Course } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { useMemo, useState } from 'react';
import { scoresInView, type ProfiledTaxon } from '@hurrow/core/evidence';
import { characterName, valueInWords, type Audience, type UnitSystem } from '@hurrow/core/score';
import { contrastPlate, traitsInWords } from '@hurrow/core/specimen';
import { commonName, scientificName } from '@hurrow/core/taxon';
import type { View } from '@hurrow/core/view';
import { calendarAtSite, useVocabulary } from '../app/data.ts';
import { DrawingSvg } from '../app/Drawings.tsx';
import { PhotosThatShow } from '../measuring/PhotoStrip.tsx';
import styles from './contrast.module.css';
import { LinkButton } from '../app/parts.tsx';

const FRAME = { width: 1000, height: 256 };

/** All drawn alike but for what decides, at one scale, the deciding characters pointed at, or to be found. */
export function ContrastFigure({
  taxa: chosen,
  view,
  library,
  site,
  audience,
  units,
  deciding,
}: {
  taxa: readonly ProfiledTaxon[];
  view: View;
  library: LibraryAnswer;
  site: Course | undefined;
  audience: Audience;
  units: UnitSystem;
  deciding: string[];
}) {
  const vocabulary = useVocabulary();
  const [hidden, setHidden] = useState(false);
  const plates = useMemo(() => {
    const taxa = chosen.map((profiled) => ({
      ...profiled,
      taxon: { ...profiled.taxon, calendar: calendarAtSite(profiled.taxon.calendar, library, site) },
    }));
    const says = (index: number, id: string) => {
      const score = scoresInView(
        taxa[index]!.scores.filter((entry) => entry.characterId === id),
        view,
      )[0];
      const character = vocabulary.get(id)!;
      if (!score) return undefined;
      const said = valueInWords(score.value, character, audience, units);
      // Beside three drawings there is room for what is usual only.
      if (taxa.length > 2) return said.split(/, (?=sometimes|seldom|usually)/)[0];
      return `${characterName(character, audience)}: ${said}`;
    };
    return contrastPlate(taxa, vocabulary, view, {
      ...FRAME,
      deciding,
      units,
      ...(hidden ? {} : { label: says }),
    });
  }, [chosen, view, library, site, audience, units, deciding, hidden, vocabulary]);
  if (!plates.drawn.includes(true)) return null;
  const text = chosen.map(
    ({ taxon }, i) =>
      `${commonName(taxon)}. ${traitsInWords(plates.traits[i]!, view.organs, vocabulary, audience, units, hidden ? deciding : [])}`,
  );
  return (
    <figure className={styles['contrast-plate']}>
      <figcaption>
        {chosen.map(({ taxon }, i) => (
          <span key={taxon.id}>
            <strong>{commonName(taxon)}</strong> <span className="latin">{scientificName(taxon)}</span>
            {!plates.drawn[i] && (
              <span className="quiet">
                {' '}
                <Trans>not on the tree on this date</Trans>
              </span>
            )}
          </span>
        ))}
      </figcaption>
      <DrawingSvg drawing={plates.drawing} label={text.join(' ')} />
      <p className="quiet">
        <Trans>Drawn alike but for what decides.</Trans>{' '}
        {deciding.length > 0 && (
          <LinkButton onClick={() => setHidden(!hidden)}>
            {hidden ? t`Point it out` : t`Hide the labels: let them find it`}
          </LinkButton>
        )}
      </p>
      {!hidden &&
        chosen.map(({ taxon }) => <PhotosThatShow key={taxon.id} taxonId={taxon.id} characters={deciding} />)}
    </figure>
  );
}

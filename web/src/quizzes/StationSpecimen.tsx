import type { Course } from '@hurrow/contract/courses';
import { useMemo } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Library } from '@hurrow/core/library';
import { partsInWords } from '@hurrow/core/specimen';
import { individualOf } from '@hurrow/core/station';
import { useVocabulary } from '../app/data.ts';
import { DrawingSvg } from '../app/Drawings.tsx';
import { LinkButton } from '../app/parts.tsx';
import type { Planned } from './planned.ts';

/** The very individual that students will see at a station of a plan, and the way to another one. */
export function StationSpecimen({
  station,
  profiled,
  library,
  course,
  onAnother,
}: {
  /** Its view with the day of the quiz. */
  station: Planned;
  profiled: ProfiledTaxon;
  library: Library;
  course: Course;
  /** Missing where the quiz has been opened. */
  onAnother: (() => void) | undefined;
}) {
  const vocabulary = useVocabulary();
  const drawn = useMemo(
    () =>
      individualOf(profiled, station, station.seed, {
        vocabulary,
        units: course.units,
        reference: library.reference,
        site: course,
      }),
    [profiled, station, vocabulary, course, library],
  );
  if (!drawn)
    return (
      <p className="quiet">
        Nothing of it can be drawn on that date. Show other parts, or take another medium.
      </p>
    );
  return (
    <>
      <DrawingSvg
        drawing={drawn.plate}
        label={`What students see: ${partsInWords(drawn.traits, station.view.organs)}`}
      />
      <p className="quiet">
        This very individual is what students see.{' '}
        {onAnother && <LinkButton onClick={onAnother}>Draw another</LinkButton>}
      </p>
    </>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Course } from '@hurrow/contract/courses';
import { useMemo } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Library } from '@hurrow/core/library';
import { partsInWords } from '@hurrow/core/specimen';
import { individualOf, questionAt, sheetOf } from '@hurrow/core/station';
import { done, type Outcome } from '@hurrow/core/outcome';
import { useVocabulary } from '../app/data.ts';
import { DrawingSvg } from '../app/Drawings.tsx';
import { LinkButton } from '../app/parts.tsx';
import type { Planned } from './planned.ts';
import styles from './quizzes.module.css';
import { inTongue } from '../language/inTongue.ts';
import { listInWords } from '../language/inWords.ts';

/** The very individual that students will see at a station of a plan, and the way to another one. */
export function StationSpecimen({
  station,
  profiled,
  list,
  library,
  course,
  onAnother,
}: {
  /** Its view with the day of the quiz. */
  station: Planned;
  profiled: ProfiledTaxon;
  list: readonly ProfiledTaxon[];
  library: Library;
  course: Course;
  /** Missing where the quiz has been opened. */
  onAnother: (() => void) | undefined;
}) {
  const vocabulary = useVocabulary();
  const sheet = useSheet(station, list, library, course);
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
  if (sheet)
    return sheet.ok ? (
      <>
        <img
          className={styles['sheet']}
          src={`data:image/svg+xml;utf8,${encodeURIComponent(sheet.value)}`}
          alt={t`The specimens as students see them`}
        />
        <p className="quiet">
          <Trans>These are what students sort.</Trans>{' '}
          {onAnother && (
            <LinkButton onClick={onAnother}>
              <Trans>Draw others</Trans>
            </LinkButton>
          )}
        </p>
      </>
    ) : (
      <p className="gold">
        <Trans>The station {sheet.problem}</Trans>
      </p>
    );
  if (!drawn)
    return (
      <p className="quiet">
        <Trans>Nothing of it can be drawn on that date. Show other parts, or take another medium.</Trans>
      </p>
    );
  return (
    <>
      <DrawingSvg
        drawing={drawn.plate}
        label={t`What students see: ${partsInWords(drawn.traits, station.view.organs, { say: inTongue, list: listInWords })}`}
      />
      <p className="quiet">
        <Trans>This very individual is what students see.</Trans>{' '}
        {onAnother && (
          <LinkButton onClick={onAnother}>
            <Trans>Draw another</Trans>
          </LinkButton>
        )}
      </p>
    </>
  );
}

/** The sheet of specimens that are sorted at a station, or why there is none; undefined where something else is asked. */
function useSheet(
  station: Planned,
  list: readonly ProfiledTaxon[],
  library: Library,
  course: Course,
): Outcome<string> | undefined {
  const vocabulary = useVocabulary();
  return useMemo(() => {
    if (station.question?.kind !== 'sort') return undefined;
    const { marking, units } = course;
    const context = { list, vocabulary, marking, units, reference: library.reference, site: course };
    const asked = questionAt(station, station.seed, context);
    return asked?.ok ? done(sheetOf(asked.value.items!, station.view, context)) : asked;
  }, [station, list, vocabulary, library, course]);
}

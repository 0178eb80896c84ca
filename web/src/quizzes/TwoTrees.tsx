import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { useMemo } from 'react';
import { besideMistake } from '@hurrow/core/station';
import { dayOfYear } from '@hurrow/core/season';
import { commonName } from '@hurrow/core/taxon';
import { useLibrary, useVocabulary } from '../app/data.ts';
import styles from './marking.module.css';

interface TwoTreesProps {
  course: WholeCourse;
  station: Quiz['stations'][number] | undefined;
  /** The tree that an answer may name besides the right one. */
  other: string | undefined;
}

/** The tree of a station, and the one that an answer may name, drawn alike but for what must differ. */
export function TwoTrees({ course, station, other }: TwoTreesProps) {
  const { library, profileOf } = useLibrary();
  const vocabulary = useVocabulary();
  const truth = station && profileOf(station.taxonId);
  const taken = other === undefined ? undefined : profileOf(other);
  const drawn = useMemo(() => {
    if (!station || !truth || !library) return undefined;
    const view = { ...station.view, day: station.view.day ?? dayOfYear(course.startsOn) };
    const { latitude, longitude, elevation } = course;
    return besideMistake({ view, seed: station.seed, traits: null }, truth, taken ?? truth, {
      vocabulary,
      units: course.units,
      audience: course.audience,
      reference: library.reference,
      site: { latitude, longitude, elevation },
    });
  }, [station, truth, taken, library, vocabulary, course]);
  if (!drawn || !truth) return null;
  return (
    <div className={styles['two-trees']}>
      <Picture svg={drawn.right} name={commonName(truth.taxon)} />
      {taken && <Picture svg={drawn.taken} name={commonName(taken.taxon)} />}
    </div>
  );
}

function Picture({ svg, name }: { svg: string | null; name: string }) {
  return (
    <figure>
      {svg ? (
        <img src={`data:image/svg+xml;utf8,${encodeURIComponent(svg)}`} alt={t`A typical ${name}`} />
      ) : (
        <p className="quiet">
          <Trans>Nothing of it can be drawn.</Trans>
        </p>
      )}
      <figcaption>{name}</figcaption>
    </figure>
  );
}

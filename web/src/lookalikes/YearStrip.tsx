import { plural, t } from '@lingui/core/macro';
import { inTongue } from '../language/inTongue.ts';
import { Trans } from '@lingui/react/macro';
import { useMemo } from 'react';
import { pairOverYear } from '@hurrow/core/evidence';
import { canMeet, comparedHabitats, growsHere } from '@hurrow/core/range';
import { dateOfDay, midMonth } from '@hurrow/core/season';
import { commonName } from '@hurrow/core/taxon';
import { useQuery } from '@tanstack/react-query';
import { call } from '../app/api.ts';
import { useVocabulary } from '../app/data.ts';
import { useFieldDate } from '../app/fieldDate.tsx';
import type { ContrastProps } from './contrastProps.ts';
import styles from './contrast.module.css';
import { MONTHS, decimal, listInWords } from '../language/inWords.ts';

const MARKS = { settled: '●', doubtful: '◐', 'not settled': '○' } as const;

/** The same view month by month, and whether the two can meet where the course is held. */
export function YearStrip({ list, a, b, view, site, options }: ContrastProps & { options: object }) {
  const vocabulary = useVocabulary();
  const { day, setDay } = useFieldDate();
  const year = useMemo(
    () => pairOverYear(list, a.taxon.id, b.taxon.id, vocabulary, view, options),
    [list, a, b, vocabulary, view, options],
  );
  return (
    <div className={styles['year']}>
      <ol aria-label={t`The same view month by month`}>
        {year.map(({ month, error, verdict }, i) => (
          <li key={month}>
            <button
              className={{ settled: '', doubtful: 'gold', 'not settled': 'rust' }[verdict]}
              aria-current={dateOfDay(day).month === i + 1}
              onClick={() => setDay(midMonth(i))}
              title={t`${MONTHS[i]!}: ${inTongue(verdict)}, ${decimal(100 * error, 1)} % error`}
            >
              <span aria-hidden="true">{MARKS[verdict]}</span> {MONTHS[i]}
              <span className="visually-hidden"> {inTongue(verdict)}</span>
            </button>
          </li>
        ))}
      </ol>
      <span className="quiet">
        <Trans>● settled ◐ doubtful ○ not settled, month by month.</Trans>
      </span>
      {site && <Meeting a={a} b={b} site={site} />}
    </div>
  );
}

function Meeting({
  a,
  b,
  site,
}: Pick<ContrastProps, 'a' | 'b'> & { site: NonNullable<ContrastProps['site']> }) {
  const held = useQuery({
    queryKey: ['range', 'all'],
    queryFn: () => call('GET /api/library/ranges'),
  }).data;
  if (!held) return null;
  const [here, there] = [a, b].map(({ taxon, scores }) => {
    const elevation = scores.find(({ characterId }) => characterId === 'site.elevation')?.value;
    const band = elevation?.kind === 'range' ? { low: elevation.low, high: elevation.high } : {};
    return growsHere(site, held.ranges[taxon.id]?.cells ?? {}, band);
  });
  const meet = canMeet(here!, there!);
  const absent = [a, b]
    .filter((_, i) => [here, there][i]!.answer === 'no')
    .map(({ taxon }) => commonName(taxon));
  return (
    <span className="quiet">
      {meet === 'yes'
        ? t`Both grow about the site of the course.`
        : meet === 'no'
          ? t`They do not meet at the site: ${absent.join(t` and `)} ${plural(absent.length, { one: 'is', other: 'are' })} not recorded there.`
          : t`Whether they meet at the site is not known: a range is missing.`}{' '}
      <Habitat a={a} b={b} />
    </span>
  );
}

/** In which habitats the two can stand side by side. */
function Habitat({ a, b }: Pick<ContrastProps, 'a' | 'b'>) {
  const vocabulary = useVocabulary();
  const found = comparedHabitats(a.scores, b.scores);
  if (!found) return null;
  const states = vocabulary.get('site.habitat')?.states ?? [];
  const words = (ids: readonly string[]) =>
    listInWords(ids.map((id) => states.find((state) => state.id === id)?.term ?? id));
  return found.shared.length > 0 ? (
    <>
      <Trans>They share {words(found.shared)}.</Trans>
    </>
  ) : (
    <>
      <Trans>
        Their habitats differ: {commonName(a.taxon)} {words(found.onlyFirst)}, {commonName(b.taxon)}{' '}
        {words(found.onlySecond)}.
      </Trans>
    </>
  );
}

import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useMemo } from 'react';
import { Link, NavLink, Route, Routes, useLocation } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName } from '@hurrow/core/taxon';
import { messageOf } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { decoded } from '../app/decoded.ts';
import { Profile } from './Profile.tsx';
import { STARTERS } from '../library/starters.ts';
import { SpeciesList } from './SpeciesList.tsx';
import { Opening, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import styles from './species.module.css';

const Editor = lazy(() => import('./Editor.tsx').then(({ Editor: page }) => ({ default: page })));
const Exchange = lazy(() => import('../library/Exchange.tsx'));
const SideBySide = lazy(() => import('../library/SideBySide.tsx'));
const Sources = lazy(() => import('../library/Sources.tsx'));
const Characters = lazy(() => import('../library/Characters.tsx'));
const CharacterList = lazy(() => import('../library/CharacterList.tsx'));
const RangePage = lazy(() => import('../range/RangePage.tsx'));
const SpecimenBench = lazy(() => import('../specimens/SpecimenBench.tsx'));
const MeasuringPage = lazy(() => import('../measuring/MeasuringPage.tsx'));

/** Pages about the whole library; the rest of the address names a taxon. */
const PAGES: [string, string][] = [
  ['side-by-side', t`Side by side`],
  ['sources', t`Sources and gaps`],
  ['characters', t`Characters`],
  ['character-list', t`List of characters`],
  ['exchange', t`Exchange`],
];

/** The library: the list at the left; a profile, the editor or a page about the whole library beside it. */
export default function SpeciesPlace({ courseId }: { courseId: string }) {
  const { query, library, profiles, every } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const taught = useMemo(() => course?.sets.flatMap((set) => set.taxa) ?? [], [course]);
  const path = useLocation().pathname;
  const named = decoded(/\/species\/([^/]+)/.exec(path)?.[1] ?? '');
  const open = PAGES.some(([page]) => page === named) ? '' : named;
  const base = `/c/${courseId}/species`;
  if (query.isPending)
    return (
      <Opening>
        <Trans>Opening the library…</Trans>
      </Opening>
    );
  if (query.isError && !library) return <Problem>{messageOf(query.error)}</Problem>;
  const first =
    taught.map((id) => profiles.find(({ taxon }) => taxon.id === id)).find(Boolean) ?? profiles[0];
  return (
    <div className={styles['species']}>
      <div className={styles['species-side']}>
        <SpeciesList
          base={base}
          profiles={profiles}
          taught={taught}
          revision={library?.revision ?? 0}
          open={named === '' ? (first?.taxon.id ?? '') : open}
        />
        <Retired base={base} every={every} />
        <p className={styles['library-pages']}>
          {PAGES.map(([page, title]) => (
            <NavLink key={page} to={`${base}/${page}`}>
              {title}
            </NavLink>
          ))}
        </p>
      </div>
      <Suspense
        fallback={
          <Opening>
            <Trans>Opening…</Trans>
          </Opening>
        }
      >
        <Routes>
          <Route path="new" element={<Editor key="new" courseId={courseId} taxonId={undefined} />} />
          <Route path="exchange" element={<Exchange courseId={courseId} />} />
          <Route path="side-by-side" element={<SideBySide courseId={courseId} />} />
          <Route path="sources" element={<Sources courseId={courseId} />} />
          <Route path="characters" element={<Characters />} />
          <Route path="character-list" element={<CharacterList courseId={courseId} />} />
          <Route path=":taxonId" element={<Profile courseId={courseId} taxonId={open} />} />
          <Route path=":taxonId/edit" element={<Editor key={open} courseId={courseId} taxonId={open} />} />
          <Route
            path=":taxonId/range"
            element={<RangePage key={open} courseId={courseId} taxonId={open} />}
          />
          <Route
            path=":taxonId/specimens"
            element={<SpecimenBench key={open} courseId={courseId} taxonId={open} />}
          />
          <Route
            path=":taxonId/measuring"
            element={<MeasuringPage key={open} courseId={courseId} taxonId={open} />}
          />
          <Route
            path=""
            element={
              first ? <Profile courseId={courseId} taxonId={first.taxon.id} /> : <EmptyLibrary base={base} />
            }
          />
        </Routes>
      </Suspense>
    </div>
  );
}

/** Species that were retired, with the way to take one back in. */
function Retired({ base, every }: { base: string; every: readonly ProfiledTaxon[] }) {
  const retired = every.filter(({ taxon }) => taxon.retired);
  if (retired.length === 0) return null;
  return (
    <details className={styles['library-pages']}>
      <summary>{plural(retired.length, { one: '# retired species', other: '# retired species' })}</summary>
      {retired.map(({ taxon }) => (
        <Link key={taxon.id} to={`${base}/${taxon.id}/edit`}>
          {commonName(taxon)}
        </Link>
      ))}
    </details>
  );
}

function EmptyLibrary({ base }: { base: string }) {
  return (
    <section className={ui['page']}>
      <h1>
        <Trans>The library is empty</Trans>
      </h1>
      <p>
        <Trans>
          Begin with a starter library, or with three species that your students mix up:{' '}
          <Link to={`${base}/new`}>enter a species by hand</Link>, organ by organ, or{' '}
          <Link to={`${base}/exchange`}>import a table</Link> with one row a species.
        </Trans>
      </p>
      <ul>
        {STARTERS.map(({ id, title, what }) => (
          <li key={id}>
            <Link to={`${base}/exchange?starter=${id}`}>
              <Trans>Begin with {title}</Trans>
            </Link>{' '}
            <span className="quiet">
              <Trans>{what}; you see what it would add first</Trans>
            </span>
          </li>
        ))}
      </ul>
      <p className="quiet">
        <Trans>
          A dozen characters each are enough to draw them and to see what settles them. Then make a course
          under Course, plan a quiz under Quizzes, and read under Confusions who was taken for whom.
        </Trans>
      </p>
    </section>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { GroundsFacts } from '@hurrow/contract/grounds';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { Navigate, Route, Routes, useNavigate, useParams } from 'react-router';
import { call, messageOf } from '../app/api.ts';
import { courseQuery } from '../app/data.ts';
import { Opening, PageHead, Problem, Tabs } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { GroundsForm } from './GroundsForm.tsx';
import { allGroundsQuery } from './groundsData.ts';
import styles from './grounds.module.css';
import ui from '../app/parts.module.css';

const TreesPage = lazy(() => import('./TreesPage.tsx'));
const WalksPage = lazy(() => import('./WalksPage.tsx'));
const WalkPage = lazy(() => import('./WalkPage.tsx'));
const CollectingLists = lazy(() => import('./CollectingLists.tsx'));
const CollectingPage = lazy(() => import('./CollectingPage.tsx'));

/** Where trees stand, how one walks to them, and what is cut from them. */
export default function GroundsPlace({ courseId }: { courseId: string }) {
  const query = useQuery(allGroundsQuery);
  const course = useQuery(courseQuery(courseId)).data;
  if (query.isError) return <Problem>{messageOf(query.error)}</Problem>;
  if (!query.data)
    return (
      <Opening>
        <Trans>Opening the grounds…</Trans>
      </Opening>
    );
  const { grounds } = query.data;
  const base = `/c/${courseId}/grounds`;
  const [first] = grounds;
  const tabs = [
    ...grounds.map(({ id, name, trees }) => ({ to: `${base}/${id}`, title: `${name} · ${trees}` })),
    ...(course && first
      ? [
          { to: `${base}/walks`, title: t`Walks` },
          { to: `${base}/collecting`, title: t`Collecting lists` },
        ]
      : []),
    { to: `${base}/new`, title: first ? t`Other grounds…` : t`New grounds` },
  ];
  return (
    <section className={ui['page']}>
      <PageHead title={t`Grounds`}>
        <span className="quiet">
          <Trans>where trees stand, how you walk to them, what you cut from them</Trans>
        </span>
      </PageHead>
      <Tabs label={t`Parts of the grounds`} tabs={tabs} />
      <Suspense fallback={<Opening />}>
        <Routes>
          <Route path="" element={<Navigate to={first ? `${base}/${first.id}` : `${base}/new`} replace />} />
          <Route path="new" element={<NewGrounds key={course?.id ?? courseId} base={base} site={course} />} />
          {course && (
            <>
              <Route path="walks" element={<WalksPage course={course} />} />
              <Route path="walks/:walkId" element={<WalkPage course={course} />} />
              <Route path="collecting" element={<CollectingLists course={course} />} />
              <Route path="collecting/:listId" element={<CollectingPage course={course} />} />
            </>
          )}
          <Route path=":groundsId" element={<ThisGround courseId={courseId} />} />
        </Routes>
      </Suspense>
    </section>
  );
}

function ThisGround({ courseId }: { courseId: string }) {
  const { groundsId = '' } = useParams();
  return <TreesPage key={groundsId} courseId={courseId} groundsId={groundsId} />;
}

function NewGrounds({ base, site }: { base: string; site: Omit<GroundsFacts, 'name'> | undefined }) {
  const go = useNavigate();
  const mayChange = useMayChange();
  const [begin] = useState<GroundsFacts>({
    name: '',
    latitude: site?.latitude ?? 47.6,
    longitude: site?.longitude ?? -116.4,
    elevation: site?.elevation ?? 0,
  });
  if (!mayChange)
    return (
      <p>
        <Trans>Instructors begin grounds. Ask one of them.</Trans>
      </p>
    );
  return (
    <div className={styles['narrow']}>
      <h2>
        <Trans>New grounds</Trans>
      </h2>
      <p>
        <Trans>
          A campus, a park, a trail: a place with trees that you walk to. Give it a name and say where it is;
          then import its trees and paths, or put them on the map one by one.
        </Trans>
      </p>
      <GroundsForm
        begin={begin}
        does={t`Begin`}
        save={async (body) => {
          const { id } = await call('POST /api/grounds', { body });
          await go(`${base}/${id}`);
        }}
      />
    </div>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Sitting } from '@hurrow/contract/sitting';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, Route, Routes, useParams } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName } from '@hurrow/core/taxon';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { messageOf } from '../../app/api.ts';
import { useLibrary } from '../../app/data.ts';
import { Strip } from '../../app/Drawings.tsx';
import { FieldDateProvider, useFieldDate } from '../../app/fieldDate.tsx';
import { Latin } from '../../app/Names.tsx';
import { sessionQuery } from '../../app/session.ts';
import { useGround, type Ground } from '../../lookalikes/setting.ts';
import { dayOfLesson, lessonQuery } from '../../lessons/lessonQuery.ts';
import { Glossary } from '../../lessons/Glossary.tsx';
import { Sheet } from '../../lessons/Sheet.tsx';
import { Calling, Callings } from './Callings.tsx';
import styles from './trees.module.css';
import studentStyles from '../student.module.css';
import ui from '../../app/parts.module.css';
import { PhonePage } from './PhonePage.tsx';
import { Compared, KeyOfList, Recap } from './Compared.tsx';
import { OneTree } from './OneTree.tsx';
import { OwnSort } from './OwnSort.tsx';

/** The trees of the course on a student's phone: what the instructor has opened of profiles, contrasts, key and recap. */
export default function Trees({ sitting }: { sitting: Sitting }) {
  const today = useQuery(sessionQuery).data?.today ?? '';
  return (
    <FieldDateProvider today={today}>
      <Open sitting={sitting} />
    </FieldDateProvider>
  );
}

function Open({ sitting }: { sitting: Sitting }) {
  const { query } = useLibrary();
  const { day } = useFieldDate();
  const view = useMemo<View>(
    () => ({ ...MEDIUM_VIEWS.cutting, day, qualifiers: { plantAge: 'mature' } }),
    [day],
  );
  const ground = useGround(sitting.courseId, view, 'intermediate');
  if (query.isError) return <PhonePage title={t`Trees`}>{messageOf(query.error)}</PhonePage>;
  if (!ground?.course)
    return (
      <PhonePage title={t`Trees`}>
        <Trans>Opening…</Trans>
      </PhonePage>
    );
  const opens = (part: Sitting['opens'][number]) => sitting.opens.includes(part);
  return (
    <Routes>
      <Route path="" element={<List ground={ground} opens={opens} />} />
      {opens('contrasts') && <Route path="contrast" element={<Compared ground={ground} />} />}
      {opens('keys') && <Route path="key" element={<KeyOfList ground={ground} />} />}
      {opens('lessons') && <Route path="words" element={<Words ground={ground} />} />}
      {opens('lessons') && <Route path="call" element={<Call ground={ground} />} />}
      {opens('lessons') && <Route path="call/:about" element={<CallOne ground={ground} />} />}
      {opens('lessons') && <Route path="sort" element={<OwnSort ground={ground} />} />}
      {opens('lessons') && <Route path="lesson/:setId" element={<Lesson ground={ground} />} />}
      {opens('recap') && <Route path="recap/:setId" element={<Recap ground={ground} />} />}
      {opens('profiles') && <Route path=":taxonId" element={<OneTree ground={ground} />} />}
      <Route
        path="*"
        element={
          <PhonePage title={t`Trees`}>
            <Trans>This is not open to you now.</Trans>
          </PhonePage>
        }
      />
    </Routes>
  );
}

function List({ ground, opens }: { ground: Ground; opens(part: Sitting['opens'][number]): boolean }) {
  const { course, profiles } = ground;
  return (
    <PhonePage title={t`Trees of the course`} back="/">
      {opens('contrasts') && (
        <Link className={`${ui['press']} ${studentStyles['wide-press']}`} to="/trees/contrast">
          <Trans>Two trees side by side</Trans>
        </Link>
      )}
      {opens('keys') && (
        <Link className={`${ui['press']} ${studentStyles['wide-press']}`} to="/trees/key">
          <Trans>Walk through a key</Trans>
        </Link>
      )}
      {opens('lessons') && (
        <Link className={`${ui['press']} ${studentStyles['wide-press']}`} to="/trees/sort">
          <Trans>Sort twelve twigs</Trans>
        </Link>
      )}
      {opens('lessons') && (
        <Link className={`${ui['press']} ${studentStyles['wide-press']}`} to="/trees/call">
          <Trans>Call what you see</Trans>
        </Link>
      )}
      {opens('lessons') && (
        <Link className={`${ui['press']} ${studentStyles['wide-press']}`} to="/trees/words">
          <Trans>The words we use</Trans>
        </Link>
      )}
      {course!.sets.map((set) => (
        <section key={set.id}>
          <h2>{set.title}</h2>
          <ul className={styles['list']}>
            {set.taxa
              .flatMap((id) => profiles.find(({ taxon }) => taxon.id === id) ?? [])
              .map((profiled) => (
                <li key={profiled.taxon.id}>
                  {opens('profiles') ? (
                    <Link to={`/trees/${profiled.taxon.id}`}>
                      <Names profiled={profiled} />
                      <Strip profiled={profiled} />
                    </Link>
                  ) : (
                    <Names profiled={profiled} />
                  )}
                </li>
              ))}
          </ul>
          {opens('recap') && (
            <Link to={`/trees/recap/${set.id}`}>
              <Trans>Recap of {set.title}</Trans>
            </Link>
          )}{' '}
          {opens('lessons') && (
            <Link to={`/trees/lesson/${set.id}`}>
              <Trans>Lesson of {set.title}</Trans>
            </Link>
          )}
        </section>
      ))}
    </PhonePage>
  );
}

const Names = ({ profiled: { taxon } }: { profiled: ProfiledTaxon }) => (
  <span>
    {commonName(taxon)}
    <br />
    <Latin names={taxon} />
  </span>
);

/** Drawn specimens to call, one character or another. */
function Call({ ground }: { ground: Ground }) {
  return (
    <PhonePage title={t`Call what you see`}>
      <Callings course={ground.course!} list={ground.setting.list} vocabulary={ground.vocabulary} />
    </PhonePage>
  );
}

function CallOne({ ground }: { ground: Ground }) {
  return (
    <PhonePage title={t`Call what you see`} back="/trees/call">
      <Calling course={ground.course!} list={ground.setting.list} vocabulary={ground.vocabulary} />
    </PhonePage>
  );
}

/** What the words of the course mean. */
function Words({ ground }: { ground: Ground }) {
  const { course, vocabulary, setting } = ground;
  return (
    <PhonePage title={t`The words we use`}>
      <Glossary course={course!} list={setting.list} vocabulary={vocabulary} />
    </PhonePage>
  );
}

/** The lesson of a set after class: its points one under another. */
function Lesson({ ground }: { ground: Ground }) {
  const { setId = '' } = useParams();
  const course = ground.course!;
  const query = useQuery(lessonQuery(course.id, setId));
  if (query.isPending)
    return (
      <PhonePage title={t`Lesson`}>
        <Trans>Opening the lesson…</Trans>
      </PhonePage>
    );
  if (!query.data)
    return (
      <PhonePage title={t`Lesson`}>
        <Trans>This lesson opens with its week. {messageOf(query.error)}</Trans>
      </PhonePage>
    );
  const { title, week, stops } = query.data;
  const photos = { courseId: course.id, setId, all: query.data.photos, units: course.units };
  return (
    <PhonePage title={title}>
      {stops.map((stop) => (
        <section key={stop.key} className={styles['point']}>
          <Sheet
            course={course}
            stop={stop}
            day={dayOfLesson(course, week)}
            shape="classic"
            photos={photos}
          />
        </section>
      ))}
    </PhonePage>
  );
}

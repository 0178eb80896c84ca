import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { PracticePack } from '@hurrow/contract/practice';
import { MINI_PLATE, miniLesson } from '@hurrow/core/lesson';
import { pairView } from '@hurrow/core/practice';
import { dayOfYear } from '@hurrow/core/season';
import { drawingToSvg } from '@hurrow/core/specimen';
import { useEffect, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { call } from '../app/api.ts';
import { groundOf } from './drill.ts';
import { Lines } from './Lines.tsx';
import { MiniCalls } from './MiniCalls.tsx';
import { nameOf, TreeName } from './TreeName.tsx';
import ui from '../app/parts.module.css';
import student from '../student/student.module.css';
import styles from './practice.module.css';
import { inTongue } from '../language/inTongue.ts';

/** The ten specimens of a lesson are the same each time it is opened. */
const SEED = 4;

/** A mini-lesson that was sent: both trees, what tells them apart, ten to call, and the drill. */
export function MiniLessonPage({ pack }: { pack: PracticePack }) {
  const { lessonId } = useParams();
  const lesson = pack.miniLessons.find(({ id }) => id === lessonId);
  const made = useMemo(() => {
    if (!lesson) return undefined;
    const ground = groundOf(pack);
    const day = dayOfYear(new Date(pack.now).toISOString().slice(0, 10));
    const view = pairView(ground, lesson.a, lesson.b, day);
    if (!view) return undefined;
    const { a, b, characterId } = lesson;
    const wording = { ...ground, view };
    return { view, ground, ...miniLesson(pack.taxa, a, b, characterId, wording, SEED, MINI_PLATE.phone) };
  }, [pack, lesson]);
  const id = lesson?.id;
  useEffect(() => {
    if (id) call('POST /api/sit/mini-lessons/{id}/opened', { params: { id } }).catch(() => undefined);
  }, [id]);
  if (!lesson || !made)
    return (
      <main className={student['pad']}>
        <p>
          <Trans>This lesson is not here any more.</Trans>
        </p>
        <Link to="/practice">
          <Trans>Back to practice</Trans>
        </Link>
      </main>
    );
  const pair: [string, string] = [lesson.a, lesson.b];
  const drill = `/practice/go?${new URLSearchParams({ what: `pair:${pair.join(',')}`, way: 'mixed', minutes: '5' })}`;
  return (
    <>
      <header className={student['phone-bar']}>
        <h1>
          <TreeName pack={pack} id={pair[0]} />{' '}
          <Trans>
            or <TreeName pack={pack} id={pair[1]} />?
          </Trans>
        </h1>
        <Link className={ui['press']} to="/practice">
          <Trans>Back</Trans>
        </Link>
      </header>
      <main className={student['pad']}>
        {lesson.note && <p className={styles['note']}>{lesson.note}</p>}
        <img
          className={styles['picture']}
          src={`data:image/svg+xml;utf8,${encodeURIComponent(drawingToSvg(made.plate, ''))}`}
          alt={t`${nameOf(pack, pair[0])} to the left, ${nameOf(pack, pair[1])} to the right`}
        />
        <p className={styles['under']}>
          <TreeName pack={pack} id={pair[0]} />
          <TreeName pack={pack} id={pair[1]} />
        </p>
        <Lines lines={made.lines} pack={pack} pair={pair} />
        {made.settles && <p>{inTongue(made.settles)}.</p>}
        {made.exceptions.map((text) => (
          <p key={text} className="quiet">
            {text}
          </p>
        ))}
        <MiniCalls
          specimens={made.specimens}
          view={made.view}
          pair={pair}
          ground={made.ground}
          name={(taxonId) => nameOf(pack, taxonId)}
        />
        <Link className={`${ui['press']} ${ui['chief']} ${student['wide-press']}`} to={drill}>
          <Trans>
            Drill the two
            <small>5 minutes</small>
          </Trans>
        </Link>
      </main>
    </>
  );
}

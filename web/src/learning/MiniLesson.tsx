import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useRef } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Button } from 'antd';
import { miniLesson } from '@hurrow/core/lesson';
import { pairView, type PracticeGround } from '@hurrow/core/practice';
import { drawingToSvg } from '@hurrow/core/specimen';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { upperFirst } from '@hurrow/core/words';
import { useFieldDate } from '../app/fieldDate.tsx';
import { Opening, PageHead } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { sessionQuery } from '../app/session.ts';
import { MiniCalls } from '../practice/MiniCalls.tsx';
import { SendLesson } from './SendLesson.tsx';
import { useGroundOf } from './useGroundOf.ts';
import ui from '../app/parts.module.css';
import styles from './learning.module.css';
import { viewInWords } from '../language/inWords.ts';
import { inTongue } from '../language/inTongue.ts';

/** The ten specimens are the same on the wall, on paper and on the phones. */
const SEED = 4;

/** A mini-lesson on two trees that are mixed up: shown, printed, or sent to those whom it concerns. */
export function MiniLesson({ courseId }: { courseId: string }) {
  const { aId = '', bId = '' } = useParams();
  const [search] = useSearchParams();
  const ground = useGroundOf(courseId, [aId, bId]);
  const { day } = useFieldDate();
  const today = useQuery(sessionQuery).data?.today;
  const mayChange = useMayChange();
  if (!ground || !today)
    return (
      <Opening>
        <Trans>Opening the two…</Trans>
      </Opening>
    );
  const [a, b] = [aId, bId].map((id) => ground.list.find(({ taxon }) => taxon.id === id)?.taxon);
  const base = `/c/${courseId}/confusions`;
  if (!a || !b)
    return (
      <section className={ui['page']}>
        <h1>
          <Trans>No such pair</Trans>
        </h1>
        <p>
          <Trans>
            One of the two is not in the library. <Link to={`${base}/pairs`}>Back to the pairs</Link>
          </Trans>
        </p>
      </section>
    );
  return (
    <section className={ui['page']}>
      <PageHead title={t`${upperFirst(commonName(a))} or ${commonName(b)}?`}>
        <Link to={`${base}/${aId}/${bId}`}>
          <Trans>The answers behind it</Trans>
        </Link>
      </PageHead>
      <div className={styles['mini']}>
        <Lesson
          ground={ground}
          aId={aId}
          bId={bId}
          first={search.get('first')}
          day={day}
          printAt={`/api/courses/${courseId}/mini-lessons/${aId}/${bId}/sheet.pdf?day=${day}`}
        />
        <aside aria-label={t`To whom`}>
          {mayChange && (
            <SendLesson
              courseId={courseId}
              a={aId}
              b={bId}
              characterId={search.get('first')}
              today={today}
              only={search.get('to')?.split(',')}
            />
          )}
          <h2>
            <Trans>In the next quiz</Trans>
          </h2>
          <p>
            <Trans>
              <Link to={`/c/${courseId}/quizzes/new?taxa=${aId},${bId},${aId},${bId}&ask=all`}>
                Plan four stations of the two
              </Link>
              , which ask what they went by. What became of it is said when they are answered.
            </Trans>
          </p>
        </aside>
      </div>
    </section>
  );
}

interface LessonProps {
  ground: PracticeGround;
  aId: string;
  bId: string;
  first: string | null;
  day: number;
  printAt: string;
}

/** The lesson itself, which also fills a wall. */
function Lesson({ ground, aId, bId, first, day, printAt }: LessonProps) {
  const frame = useRef<HTMLDivElement>(null);
  const made = useMemo(() => {
    const view = pairView(ground, aId, bId, day);
    return view && { view, ...miniLesson(ground.list, aId, bId, first, { ...ground, view }, SEED) };
  }, [ground, aId, bId, first, day]);
  if (!made)
    return (
      <p>
        <Trans>
          Too little is scored of these two to draw them: score leaf, twig, fruit or bark of both.
        </Trans>
      </p>
    );
  const taxonOf = (id: string) => ground.list.find(({ taxon }) => taxon.id === id)!.taxon;
  const name = (id: string) => commonName(taxonOf(id));
  return (
    <div>
      <p className={styles['doors']}>
        <Button onClick={() => void frame.current?.requestFullscreen?.()}>
          <Trans>Show on the wall</Trans>
        </Button>
        <a href={printAt}>
          <Trans>Print</Trans>
        </a>
        <span className="quiet">{viewInWords(made.view)}</span>
      </p>
      <div ref={frame} className={styles['wall']}>
        <img
          src={`data:image/svg+xml;utf8,${encodeURIComponent(drawingToSvg(made.plate, ''))}`}
          alt={t`${name(aId)} to the left, ${name(bId)} to the right, alike but for what decides`}
        />
        <p className={styles['two-names']}>
          {[aId, bId].map((id) => (
            <span key={id}>
              {name(id)} <span className="latin">{scientificName(taxonOf(id))}</span>
            </span>
          ))}
        </p>
        <ol className={styles['rule']}>
          {made.lines.map(({ lead, character, shows }) => (
            <li key={character}>
              <Trans>
                {inTongue(lead)} <strong>{character}</strong>: {shows[0]} in {name(aId)}; {shows[1]} in{' '}
                {name(bId)}
              </Trans>
            </li>
          ))}
        </ol>
        {made.lines.length === 0 && (
          <p>
            <Trans>Nothing that is seen here tells the two apart.</Trans>
          </p>
        )}
        {made.settles && <p>{inTongue(made.settles)}.</p>}
        {made.exceptions.map((text) => (
          <p key={text} className="quiet">
            {text}
          </p>
        ))}
        <MiniCalls
          specimens={made.specimens}
          view={made.view}
          pair={[aId, bId]}
          ground={ground}
          name={name}
        />
      </div>
    </div>
  );
}

import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { PracticePack } from '@hurrow/contract/practice';
import { LENGTHS, WAYS, WAY_WORDS } from '@hurrow/core/practice';
import { useState } from 'react';
import { Link } from 'react-router';
import { mixUpsOf, workOf } from './drill.ts';
import type { ReviewBox, ReviewState } from './reviewBox.ts';
import { TreeName } from './TreeName.tsx';
import { workInWords } from './words.ts';
import { USUAL, WHATS, type Wish } from './wish.ts';
import { withinSentence } from '../language/inWords.ts';
import ui from '../app/parts.module.css';
import student from '../student/student.module.css';
import styles from './practice.module.css';
import { inTongue } from '../language/inTongue.ts';

/** So many of one's own mix-ups are named. */
const NAMED = 4;

/** What there is to practice: a sentence whose parts are chosen, what is due, lessons that were sent, and what one mixes up. */
export function Start({ pack, box, state }: { pack: PracticePack; box: ReviewBox; state: ReviewState }) {
  const [wish, setWish] = useState<Wish>(USUAL);
  const answers = box.answers();
  const now = box.now();
  const work = workOf(pack, answers, wish, now);
  const own = mixUpsOf(pack, answers, now).filter((each) => each.own);
  const { what, way, minutes } = wish;
  const to = `/practice/go?${new URLSearchParams({ what, way, minutes: String(minutes || work.minutes) })}`;
  return (
    <>
      <header className={student['phone-bar']}>
        <h1>
          <Trans>Practice</Trans>
        </h1>
        <Link className={ui['press']} to="/">
          <Trans>Back</Trans>
        </Link>
      </header>
      <main className={student['pad']}>
        <p className={styles['asked']}>{workInWords(work)}</p>
        <Sentence wish={wish} proposed={work.minutes} onWish={setWish} />
        <Link className={`${ui['press']} ${ui['chief']} ${student['wide-press']}`} to={to}>
          <Trans>
            Practice
            <small>{minutes || work.minutes} minutes</small>
          </Trans>
        </Link>
        <Sent pack={pack} />
        {own.length > 0 && (
          <h2>
            <Trans>You mix up</Trans>
          </h2>
        )}
        <ul className={styles['mixups']}>
          {own.slice(0, NAMED).map(({ a, b }) => (
            <li key={`${a} ${b}`}>
              <Link
                to={`/practice/go?${new URLSearchParams({ what: `pair:${a},${b}`, way: 'mixed', minutes: '5' })}`}
              >
                <TreeName pack={pack} id={a} /> <Trans>and</Trans> <TreeName pack={pack} id={b} />
              </Link>
            </li>
          ))}
        </ul>
        <p className="quiet">{keptInWords(state)}</p>
      </main>
    </>
  );
}

const keptInWords = ({ waiting, offline, unkept }: ReviewState): string => {
  if (unkept) return t`This phone keeps nothing: stay on the page until your answers are sent.`;
  if (waiting > 0)
    return t`${plural(waiting, { one: 'One answer waits', other: '# answers wait' })} on this phone; sent when there is a signal.`;
  return offline ? t`No signal: everything you need is on this phone.` : '';
};

/** The wish as a sentence whose parts open in place. */
function Sentence({ wish, proposed, onWish }: { wish: Wish; proposed: number; onWish(wish: Wish): void }) {
  return (
    <p className={styles['sentence']}>
      <Trans>Practice</Trans>{' '}
      <select
        aria-label={t`Of what`}
        value={wish.what}
        onChange={(event) => onWish({ ...wish, what: event.target.value })}
      >
        {WHATS.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
      ,{' '}
      <select
        aria-label={t`In which way`}
        value={wish.way}
        onChange={(event) => onWish({ ...wish, way: event.target.value as Wish['way'] })}
      >
        <option value="mixed">
          <Trans>in whatever way fits</Trans>
        </option>
        {WAYS.map((way) => (
          <option key={way} value={way}>
            {withinSentence(inTongue(WAY_WORDS[way].title))}
          </option>
        ))}
      </select>
      <Trans>, for</Trans>{' '}
      <select
        aria-label={t`How long`}
        value={wish.minutes || proposed}
        onChange={(event) => onWish({ ...wish, minutes: Number(event.target.value) })}
      >
        {LENGTHS.map((length) => (
          <option key={length} value={length}>
            <Trans>{length} minutes</Trans>
          </option>
        ))}
      </select>
      .
    </p>
  );
}

/** Mini-lessons that were sent to this student. */
function Sent({ pack }: { pack: PracticePack }) {
  if (pack.miniLessons.length === 0) return null;
  return (
    <>
      <h2>
        <Trans>For you</Trans>
      </h2>
      {pack.miniLessons.map(({ id, a, b, sentOn }) => (
        <Link key={id} className={`${ui['press']} ${student['wide-press']}`} to={`/practice/lesson/${id}`}>
          <span>
            <TreeName pack={pack} id={a} />{' '}
            <Trans>
              or <TreeName pack={pack} id={b} />?
            </Trans>
          </span>
          <small>{sentOn}</small>
        </Link>
      ))}
    </>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { PracticePack } from '@hurrow/contract/practice';
import { WAY_WORDS } from '@hurrow/core/practice';
import { useEffect, useMemo, useReducer, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { After } from './After.tsx';
import { Differs } from './Differs.tsx';
import { Drill, type Told } from './drill.ts';
import { NameIt } from './NameIt.tsx';
import type { ReviewBox } from './reviewBox.ts';
import { Settles } from './Settles.tsx';
import { SortThese } from './SortThese.tsx';
import { wishOf } from './wish.ts';
import ui from '../app/parts.module.css';
import student from '../student/student.module.css';
import styles from './practice.module.css';
import { inTongue } from '../language/inTongue.ts';

/** So many of six may lie wrong for the two trees to count as known. */
const FORGIVEN = 1;

/** A session: one question, one specimen, the whole screen. */
export function DrillPage({ pack, box }: { pack: PracticePack; box: ReviewBox }) {
  const [search] = useSearchParams();
  const wished = search.toString();
  const drill = useMemo(
    () =>
      new Drill(pack, box.answers(), wishOf(new URLSearchParams(wished)), {
        now: box.now,
        save: (review) => void box.add(review).then(() => box.send()),
        seed: 1 + Math.floor(Math.random() * 1e6),
      }),
    [pack, box, wished],
  );
  const [turn, again] = useReducer((n: number) => n + 1, 0);
  const [after, setAfter] = useState<{ told: Told; said: string }>();
  const { question, answered, right, minutes, spent, ended } = drill.state();
  const named = useNamed();
  const tell = (told: Omit<Told, 'took'>, said: string, took: number) => {
    named.done();
    const whole = { ...told, took };
    drill.told(whole);
    setAfter({ told: whole, said });
  };
  const next = () => {
    drill.next();
    setAfter(undefined);
    again();
  };
  if (!question) return <Ended answered={answered} right={right} ended={ended ?? 'done'} />;
  return (
    <>
      <header>
        <div className={student['phone-bar']}>
          <h1>{inTongue(WAY_WORDS[question.way].title)}</h1>
          <Link className={ui['press']} to="/practice">
            <Trans>Stop</Trans>
          </Link>
        </div>
        <div
          className={student['phone-progress']}
          role="img"
          aria-label={t`${answered} answered, ${Math.max(0, Math.round(minutes - spent))} minutes left`}
        >
          <i style={{ width: `${Math.min(100, (100 * spent) / minutes)}%` }} />
        </div>
      </header>
      <main className={student['pad']}>
        {!after && (
          <Asked
            key={turn}
            question={question}
            pack={pack}
            onNamed={(told) => named.keep(() => drill.told(told))}
            onTold={tell}
          />
        )}
        {after && (
          <After
            key={`after ${turn}`}
            question={question}
            told={after.told}
            said={after.said}
            pack={pack}
            ground={drill.ground}
            mixUps={drill.known()}
            onNext={next}
          />
        )}
      </main>
    </>
  );
}

/** A tree that was named while it is still asked what by: leaving then writes the name down all the same. */
function useNamed() {
  const write = useRef<() => void>(undefined);
  useEffect(() => {
    const leave = () => {
      const now = write.current;
      write.current = undefined;
      now?.();
    };
    // A page that may come back is not left yet.
    const hidden = ({ persisted }: PageTransitionEvent) => !persisted && leave();
    window.addEventListener('pagehide', hidden);
    return () => {
      window.removeEventListener('pagehide', hidden);
      leave();
    };
  }, []);
  return {
    keep: (work: () => void) => {
      write.current = work;
    },
    done: () => {
      write.current = undefined;
    },
  };
}

type Shown = NonNullable<ReturnType<Drill['state']>['question']>;

interface AskedProps {
  question: Shown;
  pack: PracticePack;
  /** Told that a tree was named, of which something more is asked. */
  onNamed(told: Told): void;
  onTold(told: Omit<Told, 'took'>, said: string, took: number): void;
}

/** The question in its way. */
function Asked({ question, pack, onNamed, onTold }: AskedProps) {
  const began = useRef(performance.now());
  const tell = (told: Omit<Told, 'took'>, said = '', at = performance.now()) =>
    onTold(told, said, (at - began.current) / 1000);
  switch (question.way) {
    case 'differs':
      return <Differs question={question} pack={pack} onTold={(right, slips) => tell({ right, slips })} />;
    case 'settles':
      return <Settles question={question} pack={pack} onTold={(right) => tell({ right, slips: 0 })} />;
    case 'sort':
      return (
        <SortThese
          question={question}
          pack={pack}
          onTold={(wrong) =>
            tell({
              right: wrong <= FORGIVEN,
              slips: wrong,
              ...(wrong > FORGIVEN
                ? { named: question.pair.find((id) => id !== question.card.taxonId)! }
                : {}),
            })
          }
        />
      );
    default:
      return (
        <NameIt
          question={question}
          pack={pack}
          onNamed={(told, at) => onNamed({ ...told, took: (at - began.current) / 1000 })}
          onTold={tell}
        />
      );
  }
}

function Ended({ answered, right, ended }: { answered: number; right: number; ended: 'time' | 'done' }) {
  return (
    <>
      <header className={student['phone-bar']}>
        <h1>
          <Trans>Practice</Trans>
        </h1>
      </header>
      <main className={student['pad']}>
        <p className={styles['asked']}>
          {answered === 0
            ? t`Nothing of this is due now.`
            : t`${answered} answered, ${right} of them right at the first try.`}
        </p>
        <p className="quiet">
          {ended === 'time'
            ? t`The time is over. What was wrong comes back first.`
            : t`That is all for now. What you know comes back when it is about to fade.`}
        </p>
        <Link className={`${ui['press']} ${ui['chief']} ${student['wide-press']}`} to="/practice">
          <Trans>Back to practice</Trans>
        </Link>
      </main>
    </>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { dayOfYear, wrapDay } from '@hurrow/core/season';
import { useFieldDate } from './fieldDate.tsx';
import styles from './ribbon.module.css';
import { courseWeek, pieces, share } from './weeks.ts';
import { MONTHS, dayLabel } from '../language/inWords.ts';

/** The season ribbon: the year, the weeks of the course, the parts on show, and the field date as a handle. */
export function Ribbon({ course }: { course: WholeCourse | undefined }) {
  const { day, today, setDay, rows } = useFieldDate();
  const band = useRef<HTMLDivElement>(null);
  const week = courseWeek(course, day);
  const label = `${dayLabel(day)}${week ? t` · week ${week}` : ''}`;

  const dayAt = (event: PointerEvent) => {
    const box = band.current!.getBoundingClientRect();
    return 1 + Math.min(364, Math.max(0, ((event.clientX - box.left) / box.width) * 365));
  };
  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
    if (event.buttons & 1) setDay(dayAt(event));
  };
  const step = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageDown: -30, PageUp: 30 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    setDay(day + by);
  };
  return (
    <section className={styles['ribbon']} aria-label={t`Season ribbon`}>
      <div className={styles['ribbon-titles']} aria-hidden="true">
        {rows.map((row) => (
          <span key={row.title}>{row.title}</span>
        ))}
      </div>
      <div className={styles['ribbon-band']} ref={band} onPointerDown={drag} onPointerMove={drag}>
        {MONTHS.map((month, i) => (
          <span className={styles['ribbon-month']} key={month} style={{ left: `${(i / 12) * 100}%` }}>
            {month}
          </span>
        ))}
        {course && <Weeks course={course} now={week} />}
        <div className={styles['ribbon-rows']}>
          {rows.map((row) => (
            <div className={styles['ribbon-row']} key={row.title}>
              {row.arcs.flatMap(pieces).map((arc) => (
                <i
                  key={arc.from}
                  style={{
                    left: `${share(arc.from)}%`,
                    width: `${share(arc.to + 1) - share(arc.from)}%`,
                    background: row.color,
                  }}
                />
              ))}
            </div>
          ))}
        </div>
        {day !== today && (
          <span
            className={styles['ribbon-today']}
            style={{ left: `${share(today)}%` }}
            title={t`Today, ${dayLabel(today)}`}
          />
        )}
        <div
          className={styles['ribbon-handle']}
          role="slider"
          tabIndex={0}
          aria-label={t`Field date`}
          aria-valuemin={1}
          aria-valuemax={365}
          aria-valuenow={day}
          aria-valuetext={label}
          style={{ left: `${share(day)}%` }}
          onKeyDown={step}
        >
          <span className={day > 320 ? styles['left'] : day < 45 ? styles['right'] : ''}>{label}</span>
        </div>
      </div>
      <button className={styles['ribbon-reset']} disabled={day === today} onClick={() => setDay(today)}>
        <Trans>Today</Trans>
      </button>
    </section>
  );
}

function Weeks({ course, now }: { course: WholeCourse; now: number | undefined }) {
  const first = dayOfYear(course.startsOn);
  return (
    <div aria-hidden="true">
      {Array.from({ length: course.weeks }, (_, i) => {
        const from = wrapDay(first + i * 7);
        return (
          <span
            key={i}
            className={`${styles['ribbon-week']} ${i + 1 === now ? styles['now'] : ''}`}
            style={{ left: `${share(from)}%`, width: `${(6.4 / 365) * 100}%` }}
          >
            {i % 2 === 0 ? i + 1 : ''}
          </span>
        );
      })}
      {course.quizzes.map((quiz) => (
        <span
          key={quiz.id}
          className={`${styles['ribbon-quiz']} ${quiz.state === 'planned' ? styles['planned'] : ''}`}
          style={{ left: `${share(dayOfYear(quiz.heldOn))}%` }}
          title={`${quiz.title}, ${dayLabel(dayOfYear(quiz.heldOn))}`}
        />
      ))}
    </div>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { App, Button } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call, isProblem } from '../app/api.ts';
import { useMayChange } from '../app/mayChange.ts';
import { ImportFile } from '../app/ImportFile.tsx';
import { Needs } from './Needs.tsx';
import { RemoveStudent } from '../keeping/RemoveStudent.tsx';
import ui from '../app/parts.module.css';
import styles from './course.module.css';
import { STALE, useSaving } from '../app/useSaving.ts';
import { Problem } from '../app/parts.tsx';

/** The class list with the codes that students sign in with. */
export function Students({ course }: { course: WholeCourse }) {
  const [importing, setImporting] = useState(course.students.length === 0);
  const mayChange = useMayChange();
  return (
    <>
      <p>
        <Trans>
          Students open this page’s address on their phones and sign in with the course code{' '}
          <strong className={ui['code']}>{course.code}</strong> and their own code. No e-mail and no password.
        </Trans>
      </p>
      {mayChange && importing && (
        <>
          <ImportClass courseId={course.id} onDone={() => setImporting(false)} />
          {course.students.length > 0 && (
            <Button type="link" onClick={() => setImporting(false)}>
              <Trans>Close</Trans>
            </Button>
          )}
        </>
      )}
      {mayChange && !importing && (
        <Button onClick={() => setImporting(true)}>
          <Trans>Import a class list</Trans>
        </Button>
      )}
      {course.students.length > 0 && <Slips course={course} />}
      {course.students.length > 0 && <ClassTable course={course} />}
    </>
  );
}

/** The students with their codes; a new code, what is done otherwise, and taking one off the list. */
function ClassTable({ course }: { course: WholeCourse }) {
  const { save, problem } = useSaving();
  return (
    <>
      {problem && <Problem>{problem}</Problem>}
      <table className={`${ui['plain-table']} ${styles['students']}`}>
        <thead>
          <tr>
            <th>
              <Trans>Name</Trans>
            </th>
            <th>
              <Trans>Personal code</Trans>
            </th>
            <th />
          </tr>
        </thead>
        <tbody>
          {course.students.map((student) => (
            <StudentRows key={student.id} course={course} student={student} save={save} />
          ))}
        </tbody>
      </table>
    </>
  );
}

/** A student, and below what was opened: what is done otherwise, or what becomes of the answers before anything is removed. */
function StudentRows({
  course,
  student,
  save,
}: {
  course: WholeCourse;
  student: WholeCourse['students'][number];
  save: ReturnType<typeof useSaving>['save'];
}) {
  const mayChange = useMayChange();
  const queries = useQueryClient();
  const { message } = App.useApp();
  const [open, setOpen] = useState<'needs' | 'removing'>();
  const stale = [STALE.course(course.id)];
  const params = { courseId: course.id, studentId: student.id };
  const takeOff = () =>
    save(() => call('DELETE /api/courses/{courseId}/students/{studentId}', { params }), {
      refused: (error) => {
        const asks = isProblem(error, 'hasAnswers');
        if (asks) setOpen('removing');
        return asks;
      },
      stale,
    });
  const renew = () =>
    save(() => call('POST /api/courses/{courseId}/students/{studentId}/code', { params }), {
      done: ({ code }) =>
        void message.success(
          t`${student.name} now signs in with ${code}. The old code opens nothing any more.`,
        ),
      stale,
    });
  return (
    <>
      <StudentRow
        student={student}
        onRenew={() => void renew()}
        needsOpen={open === 'needs'}
        {...(mayChange
          ? {
              onTakeOff: () => void takeOff(),
              onNeeds: () => setOpen(open === 'needs' ? undefined : 'needs'),
            }
          : {})}
      />
      {open && (
        <tr>
          <td colSpan={3}>
            {open === 'needs' ? (
              <Needs courseId={course.id} student={student} />
            ) : (
              <RemoveStudent
                courseId={course.id}
                student={student}
                onLeave={() => setOpen(undefined)}
                onDone={async () => {
                  setOpen(undefined);
                  await queries.invalidateQueries();
                }}
              />
            )}
          </td>
        </tr>
      )}
    </>
  );
}

/** Names from a file or a pasted list. */
function ImportClass({ courseId, onDone }: { courseId: string; onDone(): void }) {
  const queries = useQueryClient();
  const { message } = App.useApp();
  return (
    <>
      <h2>
        <Trans>Import a class list</Trans>
      </h2>
      <ImportFile
        send={({ csv, dryRun }) =>
          call('POST /api/courses/{courseId}/students/import', {
            params: { courseId },
            body: { csv, dryRun },
          })
        }
        example={t`name\nRowan Achterberg\nSelma Idowu`}
        onDone={(report) => {
          void message.success(t`${report.added.length} students added.`);
          onDone();
          void queries.invalidateQueries({ queryKey: STALE.course(courseId) });
        }}
      />
    </>
  );
}

/** A student with the code to sign in with; one whose name was taken away has none. */
function StudentRow({
  student,
  onRenew,
  onTakeOff,
  onNeeds,
  needsOpen,
}: {
  student: WholeCourse['students'][number];
  onRenew(): void;
  onTakeOff?(): void;
  onNeeds?(): void;
  needsOpen: boolean;
}) {
  return (
    <tr>
      <td>{student.name}</td>
      <td>
        <span className={ui['code']}>{student.nameless ? '' : student.code}</span>
      </td>
      <td>
        {!student.nameless && (
          <Button size="small" type="text" onClick={onRenew}>
            <Trans>New code</Trans>
          </Button>
        )}
        {onNeeds && !student.nameless && (
          <Button size="small" type="text" aria-expanded={needsOpen} onClick={onNeeds}>
            <Trans>Needs</Trans>
          </Button>
        )}
        {onTakeOff && (
          <Button size="small" type="text" onClick={onTakeOff}>
            <Trans>Take off the list</Trans>
          </Button>
        )}
      </td>
    </tr>
  );
}

/** Slips to hand out, with the address that phones reach: on a laptop in a lab that is not “localhost”. */
function Slips({ course }: { course: WholeCourse }) {
  const [at, setAt] = useState(window.location.origin);
  const local = /\/\/(localhost|127\.|\[::1\])/.test(at);
  const href = (paper: string) =>
    `/api/prints/slips.pdf?courseId=${course.id}&paper=${paper}&at=${encodeURIComponent(at)}`;
  return (
    <p>
      <Trans>
        Print slips with both codes and a QR code that signs in:{' '}
        <a href={href('letter')} target="_blank" rel="noreferrer">
          Letter
        </a>{' '}
        ·{' '}
        <a href={href('a4')} target="_blank" rel="noreferrer">
          A4
        </a>
        , for the address
      </Trans>{' '}
      <input
        className={ui['typed']}
        aria-label={t`Address for phones`}
        value={at}
        onChange={(event) => setAt(event.target.value)}
      />
      {local && (
        <span className="gold">
          {' '}
          <Trans>Phones do not reach this address: write the one that this machine has in its network.</Trans>
        </span>
      )}
    </p>
  );
}

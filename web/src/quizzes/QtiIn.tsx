import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { readQti, type QtiFiles } from '@hurrow/core/formats';
import { App } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { sessionQuery } from '../app/session.ts';
import { STALE, useSaving } from '../app/useSaving.ts';
import { planOfQti } from './qti.ts';
import styles from './quizzes.module.css';

/** More than a quiz of two hundred drawings takes. */
const LARGEST = 40_000_000;

/** The texts of a package. Throws where it is no ZIP file. */
async function filesOf(file: File): Promise<QtiFiles> {
  const { default: Zip } = await import('jszip');
  const zip = await Zip.loadAsync(file).catch(() => {
    throw new Error('This is no ZIP file. Choose the package as it was taken out.');
  });
  const files: QtiFiles = {};
  for (const entry of Object.values(zip.files))
    if (!entry.dir && /\.(xml|json)$/i.test(entry.name)) files[entry.name] = await entry.async('string');
  return files;
}

/** Plans a quiz from a QTI package, ours or another’s. */
export function QtiIn({ course }: { course: WholeCourse }) {
  const { profileOf } = useLibrary();
  const { message } = App.useApp();
  const today = useQuery(sessionQuery).data?.today;
  const mayChange = useMayChange();
  const { save, saving, problem, say } = useSaving();
  const go = useNavigate();
  if (!mayChange || !today) return null;
  const bring = (file: File) =>
    save(
      async () => {
        if (file.size > LARGEST) throw new Error('The file is larger than any quiz. Choose the QTI package.');
        const read = readQti(await filesOf(file));
        if (!read.ok) throw new Error(read.problem);
        const list = course.sets.flatMap(({ taxa }) => taxa).flatMap((id) => profileOf(id)?.taxon ?? []);
        const { plan, left } = planOfQti(read.value, list, course.quizzes, today);
        if (plan.stations.length === 0)
          throw new Error(
            left.length > 0 ? `Nothing could be taken: ${left.join('; ')}.` : 'The package has no stations.',
          );
        const { id } = await call('POST /api/courses/{courseId}/quizzes', {
          params: { courseId: course.id },
          body: plan,
        });
        return { id, left };
      },
      {
        done: ({ id, left }) => {
          if (left.length > 0) void message.warning(t`Left out: ${left.join('; ')}.`, 10);
          return go(`/c/${course.id}/quizzes/${id}/plan`);
        },
        stale: [STALE.course(course.id)],
      },
    );
  return (
    <p className={`quiet ${styles['bring']}`}>
      <label>
        <Trans>Bring a quiz in from a QTI package (ZIP):</Trans>{' '}
        <input
          type="file"
          accept=".zip,application/zip"
          disabled={saving}
          onChange={(event) => {
            say(undefined);
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void bring(file);
          }}
        />
      </label>
      {problem && <Problem>{problem}</Problem>}
    </p>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { readLibrary } from '@hurrow/core/library';
import { useLibrary } from '../app/data.ts';
import { Opening } from '../app/parts.tsx';
import { Glossary } from './Glossary.tsx';
import styles from './character.module.css';

/** The words of a course, to be looked up and printed. */
export default function WordsPage({ course }: { course: WholeCourse }) {
  const { library, vocabulary } = useLibrary();
  const list = useMemo(
    () => (library ? readLibrary(library).profilesOf(course.sets.flatMap(({ taxa }) => taxa)) : []),
    [course.sets, library],
  );
  if (!library) return <Opening />;
  return (
    <>
      <p className={styles['prints']}>
        <Trans>
          <Link to={`/c/${course.id}/course/characters`}>Back to the characters</Link>
          Print on
        </Trans>{' '}
        {(['letter', 'a4'] as const).map((paper) => (
          <a key={paper} href={`/api/courses/${course.id}/words.pdf?paper=${paper}`} download>
            {paper === 'a4' ? 'A4' : t`Letter`}
          </a>
        ))}
      </p>
      <Glossary course={course} list={list} vocabulary={vocabulary} />
    </>
  );
}

import { Plural, Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { commonnessAt } from '@hurrow/core/term';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import styles from './board.module.css';

/** An empty list: where its species may come from. */
export function FirstSpecies({ course, onTake }: { course: WholeCourse; onTake(taxa: string[]): void }) {
  const { profiles } = useLibrary();
  const ranges = useQuery({ queryKey: ['range', 'all'], queryFn: () => call('GET /api/library/ranges') }).data
    ?.ranges;
  const here = useMemo(() => {
    if (!ranges) return [];
    const found = commonnessAt(profiles, course, (id) => ranges[id]);
    return profiles.filter(({ taxon }) => (found.get(taxon.id) ?? 0) > 0).map(({ taxon }) => taxon.id);
  }, [profiles, ranges, course]);
  if (profiles.length === 0)
    return (
      <p>
        <Trans>
          The library is empty.{' '}
          <Link to={`/c/${course.id}/species`}>Enter species, or bring a library in.</Link>
        </Trans>
      </p>
    );
  return (
    <div className={styles['first']}>
      <h2>
        <Trans>Which trees does this course teach?</Trans>
      </h2>
      <p>
        <Button type="primary" onClick={() => onTake(profiles.map(({ taxon }) => taxon.id))}>
          <Trans>
            All <Plural value={profiles.length} one="# species" other="# species" /> of the library
          </Trans>
        </Button>{' '}
        {here.length > 0 && here.length < profiles.length && (
          <Button onClick={() => onTake(here)}>
            <Trans>The {here.length} that grow where the course is</Trans>
          </Button>
        )}
      </p>
      <p className="quiet">
        <Trans>
          Or gather some in <Link to={`/c/${course.id}/species`}>Species</Link> (key c) and choose “Into the
          list” from the vasculum. You can take any of them off again.
        </Trans>
      </p>
    </div>
  );
}

import type { WholeCourse } from '@hurrow/contract/courses';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { commonnessAt } from '@hurrow/core/term';
import { counted } from '@hurrow/core/words';
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
        The library is empty.{' '}
        <Link to={`/c/${course.id}/species`}>Enter species, or bring a library in.</Link>
      </p>
    );
  return (
    <div className={styles['first']}>
      <h2>Which trees does this course teach?</h2>
      <p>
        <Button type="primary" onClick={() => onTake(profiles.map(({ taxon }) => taxon.id))}>
          All {counted(profiles.length, 'species', 'species')} of the library
        </Button>{' '}
        {here.length > 0 && here.length < profiles.length && (
          <Button onClick={() => onTake(here)}>The {here.length} that grow where the course is</Button>
        )}
      </p>
      <p className="quiet">
        Or gather some in <Link to={`/c/${course.id}/species`}>Species</Link> (key c) and choose “Into the
        list” from the vasculum. You can take any of them off again.
      </p>
    </div>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { commonName } from '@hurrow/core/taxon';
import { useLibrary } from '../app/data.ts';
import { sessionQuery } from '../app/session.ts';
import { expiring } from './expiring.ts';
import { collectingQuery } from './groundsData.ts';

/** Pieces that will not last until the day for which they were cut, a line each, to be replaced in time. */
export function ExpiringTodo({ courseId }: { courseId: string }) {
  const { profileOf } = useLibrary();
  const today = useQuery(sessionQuery).data?.today;
  const lists = useQuery(collectingQuery(courseId)).data?.lists;
  if (!today || !lists) return null;
  return expiring(lists, today).map(({ list, item, over, taxonId }) => {
    const taxon = taxonId === undefined ? undefined : profileOf(taxonId)?.taxon;
    return (
      <li key={item.id}>
        <Trans>
          <strong>{taxon ? commonName(taxon) : t`A piece`}</strong> {over ? t`was` : t`will be`} good until{' '}
          {item.goodUntil}, and is wanted on {list.day}.{' '}
          <Link to={`/c/${courseId}/grounds/collecting/${list.id}`}>Replace it, or look at it.</Link>
        </Trans>
      </li>
    );
  });
}

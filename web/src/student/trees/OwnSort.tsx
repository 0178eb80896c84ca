import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { readLibrary } from '@hurrow/core/library';
import { call } from '../../app/api.ts';
import { type Ground } from '../../lookalikes/setting.ts';
import { bagProblem, treesOfBag } from '../../sorting/bag.ts';
import { bagQuery } from '../../sorting/bagQuery.ts';
import { sortDepth, sortSaid, type LaidFrom, type TableState } from '../../sorting/kept.ts';
import { SortTable } from '../../sorting/SortTable.tsx';
import { useTable } from '../../sorting/useTable.ts';
import styles from './trees.module.css';
import studentStyles from '../student.module.css';
import ui from '../../app/parts.module.css';
import { PhonePage } from './PhonePage.tsx';

/** Twigs to sort into two piles, and each pile again: drawn ones, or the real ones on the table by their tags. */
export function OwnSort({ ground }: { ground: Ground }) {
  const course = ground.course!;
  const [isReal, setReal] = useState(false);
  const bag = useQuery(bagQuery(course.id)).data?.twigs ?? [];
  const taxa = useMemo(() => course.sets.flatMap((set) => set.taxa), [course]);
  const hasBag = bagProblem(bag) === undefined;
  return (
    <PhonePage title={t`Sort`}>
      {hasBag && (
        <p className={styles['which']} role="group" aria-label={t`What is sorted`}>
          <button className={ui['press']} aria-pressed={!isReal} onClick={() => setReal(false)}>
            <Trans>Drawn twigs</Trans>
          </button>{' '}
          <button className={ui['press']} aria-pressed={isReal} onClick={() => setReal(true)}>
            <Trans>Those on the table</Trans>
          </button>
        </p>
      )}
      {taxa.length < 2 ? (
        <p>
          <Trans>There are no two trees on your list yet.</Trans>
        </p>
      ) : isReal && hasBag ? (
        <OwnTable key="real" ground={ground} from={{ taxa: treesOfBag(bag), real: bag }} where="real" />
      ) : (
        <OwnTable key="drawn" ground={ground} from={{ taxa }} where="own" />
      )}
    </PhonePage>
  );
}

/** A student's table, kept as it lies; the instructor reads how it was sorted. */
function OwnTable({ ground, from, where }: { ground: Ground; from: LaidFrom; where: string }) {
  const { course, library, vocabulary, setting } = ground;
  const inUse = useTable(`${where}.${course!.id}`, from, setting.view.day, ({ id: sortId, ...body }) =>
    call('PUT /api/sit/sorts/{sortId}', { params: { sortId }, body }),
  );
  const list = useMemo(() => readLibrary(library).profilesOf(inUse.state.taxa), [library, inUse.state.taxa]);
  return (
    <>
      <SortTable course={course!} list={list} vocabulary={vocabulary} inUse={inUse} />
      <EarlierTables current={inUse.state.id} onOpen={inUse.open} />
      {inUse.problem && (
        <p role="status">
          <Trans>{inUse.problem} The table stays on this phone.</Trans>
        </p>
      )}
    </>
  );
}

/** Tables that were sorted before, on this phone or another. */
function EarlierTables({ current, onOpen }: { current: string; onOpen(table: TableState): void }) {
  const query = useQuery({ queryKey: ['sorts', 'own'], queryFn: () => call('GET /api/sit/sorts') });
  const earlier = (query.data?.sorts ?? []).filter(({ id }) => id !== current);
  if (earlier.length === 0) return null;
  return (
    <>
      <h2>
        <Trans>What you have sorted before</Trans>
      </h2>
      <ul className={styles['list']}>
        {earlier.map(({ at, revision: _revision, ...table }) => (
          <li key={table.id}>
            <button
              type="button"
              className={`${ui['press']} ${studentStyles['wide-press']}`}
              onClick={() => onOpen(table)}
            >
              {at.slice(0, 10)}, {sortSaid(sortDepth(table.piles))}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { KeptTree, WholeGrounds } from '@hurrow/contract/grounds';
import { useQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Button, Input, Select } from 'antd';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { LatLon } from '@hurrow/core/grounds';
import { messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { newId } from '../app/newId.ts';
import { LinkButton, Opening, Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import type { Drawing } from './drawn.ts';
import { GroundsMap } from './GroundsMap.tsx';
import { groundsQuery } from './groundsData.ts';
import { askingFor, treeAsked } from './asked.ts';
import { GroundsFiles } from './GroundsFiles.tsx';
import { MapDrawing } from './MapDrawing.tsx';
import { TREE_LOOK_WORDS } from './mapLook.ts';
import { lookOfTree, mapTrees, nameOfTree, treesFound, type TreeLook } from './mapTrees.ts';
import { withNoted } from './pending.ts';
import { TreeForm } from './TreeForm.tsx';
import { TreeSheet } from './TreeSheet.tsx';
import { useKept } from '../drafts/useKept.ts';
import { useField } from './useField.ts';
import { useFieldDay } from './useFieldDay.ts';
import styles from './grounds.module.css';

interface TreesPageProps {
  courseId: string;
  groundsId: string;
}

/** Grounds: their map, the list of their trees in words, and the tree that is looked at. */
export default function TreesPage({ courseId, groundsId }: TreesPageProps) {
  const query = useQuery(groundsQuery(groundsId));
  const field = useField();
  const { arrived, waiting, who } = field;
  const whole = useMemo(
    () => query.data && withNoted(query.data, [...arrived, ...waiting], who),
    [query.data, arrived, waiting, who],
  );
  if (query.isError && !whole) return <Problem>{messageOf(query.error)}</Problem>;
  if (!whole)
    return (
      <Opening>
        <Trans>Opening the grounds…</Trans>
      </Opening>
    );
  return <Trees courseId={courseId} whole={whole} />;
}

type Only = 'all' | 'cut' | 'unconfirmed' | 'unmeasured';
const ONLY: { value: Only; label: string }[] = [
  { value: 'all', label: t`all trees` },
  { value: 'cut', label: t`may be cut from` },
  { value: 'unconfirmed', label: t`name not confirmed` },
  { value: 'unmeasured', label: t`not measured` },
];

/** What is looked at of grounds: which trees, the one that is open, and what is being put on the map. */
function useTrees(whole: WholeGrounds) {
  const { profileOf } = useLibrary();
  const on = useFieldDay();
  const [search, setSearch] = useSearchParams();
  const [words, setWords] = useState('');
  const [only, setOnly] = useState<Only>('all');
  const [placing, setPlacing] = useState<'new' | 'move'>();
  // What is begun outlives a reload: a new tree stands in the address, a line on the map in the drafts.
  const begun = useKept<Drawing | null>(`map/${whole.id}`, `Drawn on the map of ${whole.name}`, null);
  const drawing = begun.value ?? undefined;
  const setDrawing = (next: Drawing | undefined) => (next ? begun.set(next) : begun.forget());
  const deferred = useDeferredValue(words);
  const found = useMemo(
    () => treesFound(whole.trees, { words: deferred, only }, profileOf, on),
    [whole.trees, deferred, only, profileOf, on],
  );
  const { tree, editing } = useMemo(() => treeAsked(search, whole.trees), [search, whole.trees]);
  const shown = useMemo(() => {
    // One that is new, or is to stand elsewhere, is seen where it will be.
    const placed = tree && search.has('at') ? [...found.filter(({ id }) => id !== tree.id), tree] : found;
    return mapTrees(placed, profileOf, on);
  }, [found, tree, search, profileOf, on]);
  const choose = (id: string) => setSearch(id === tree?.id ? {} : { tree: id });
  const place = (at: LatLon) => {
    if (drawing) return setDrawing({ ...drawing, points: [...drawing.points, at] });
    if (placing === 'move' && tree) setSearch(askingFor(tree, at));
    if (placing === 'new') setSearch(askingFor({ id: newId(), version: 0 }, at));
    setPlacing(undefined);
  };
  const leave = (id?: string) => setSearch(id ? { tree: id } : {});
  return {
    on,
    words,
    setWords,
    only,
    setOnly,
    placing,
    setPlacing,
    drawing,
    setDrawing,
    found,
    shown,
    tree,
    editing,
    choose,
    place,
    leave,
    edit: (id: string) => setSearch({ tree: id, edit: '' }),
  };
}

function Trees({ courseId, whole }: { courseId: string; whole: WholeGrounds }) {
  const { profileOf } = useLibrary();
  const mayChange = useMayChange();
  const trees = useTrees(whole);
  const { placing, setPlacing, drawing, setDrawing, found, shown, tree, choose, place } = trees;
  return (
    <div className={styles['grounds']}>
      <div className={styles['mapside']}>
        <div className={styles['mapframe']}>
          <GroundsMap
            features={whole.features}
            trees={shown}
            chosen={tree?.id}
            drawn={drawing?.points ?? NOWHERE}
            label={t`Map of ${whole.name}: ${found.length} trees`}
            onChoose={choose}
            onPlace={placing || drawing ? place : undefined}
          />
        </div>
        <Legend />
        <p className={styles['status']} role="status">
          {statusOf(trees, whole, profileOf)}
        </p>
        {mayChange && (
          <p className={styles['does']}>
            <Button onClick={() => setPlacing(placing === 'new' ? undefined : 'new')}>
              {placing === 'new' ? t`No tree` : t`Add a tree`}
            </Button>
            <MapDrawing whole={whole} drawing={drawing} onDrawing={setDrawing} />
            <GroundsFiles whole={whole} />
          </p>
        )}
      </div>
      <ListSide courseId={courseId} whole={whole} trees={trees} />
    </div>
  );
}

type Looking = ReturnType<typeof useTrees>;

/** What the map is waiting for, or what is open, in words. */
function statusOf(
  { placing, drawing, tree, found }: Looking,
  whole: WholeGrounds,
  profileOf: ReturnType<typeof useLibrary>['profileOf'],
): string {
  if (placing) return t`Press on the map where the tree stands.`;
  if (drawing) return t`${drawing.points.length} points: press on the map for the next.`;
  if (tree?.tag)
    return `${tree.tag}, ${nameOfTree(tree, profileOf)}, ${tree.latitude.toFixed(5)}, ${tree.longitude.toFixed(5)}`;
  return t`${found.length} of ${whole.trees.length} trees`;
}

/** Beside the map: the tree that is looked at or changed, or all of them as a list. */
function ListSide({ courseId, whole, trees }: { courseId: string; whole: WholeGrounds; trees: Looking }) {
  const { on, words, setWords, only, setOnly, setPlacing, found, tree, editing, choose, leave, edit } = trees;
  return (
    <div className={styles['listside']}>
      {tree && editing ? (
        <TreeForm
          key={tree.id}
          groundsId={whole.id}
          tree={tree}
          onMove={() => setPlacing('move')}
          onDone={() => leave(tree.id)}
          onLeave={() => leave(tree.version > 0 ? tree.id : undefined)}
        />
      ) : tree ? (
        <>
          <LinkButton onClick={() => leave()}>
            <Trans>‹ All trees</Trans>
          </LinkButton>
          <TreeSheet courseId={courseId} whole={whole} tree={tree} day={on} onEdit={() => edit(tree.id)} />
        </>
      ) : (
        <>
          <div className={styles['find']}>
            <Input
              allowClear
              placeholder={t`Find by tag, name or note`}
              aria-label={t`Find a tree of these grounds`}
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
            <Select aria-label={t`Which trees`} value={only} options={ONLY} onChange={setOnly} />
          </div>
          <List trees={found} day={on} onChoose={choose} />
          {whole.trees.length === 0 && (
            <p>
              <Trans>
                No tree stands here yet. Press “Add a tree” and then the place on the map, or import a list as
                CSV, GeoJSON or GPX under “Files”.
              </Trans>
            </p>
          )}
          <p>
            <Link to={`/field/${courseId}/${whole.id}`}>
              <Trans>Open it on a phone, to measure and note</Trans>
            </Link>
          </p>
        </>
      )}
    </div>
  );
}

const NOWHERE: LatLon[] = [];

const Legend = () => (
  <ul className={styles['legend']} aria-label={t`How trees are drawn`}>
    {(Object.keys(TREE_LOOK_WORDS) as TreeLook[]).map((look) => (
      <li key={look} data-look={look}>
        {TREE_LOOK_WORDS[look]}
      </li>
    ))}
  </ul>
);

const ROW = 44;

/** The trees in words, as many as it may be: only the rows in sight are drawn. */
function List({
  trees,
  day,
  onChoose,
}: {
  trees: readonly KeptTree[];
  day: string;
  onChoose(id: string): void;
}) {
  const { profileOf } = useLibrary();
  const frame = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: trees.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW,
    overscan: 8,
  });
  return (
    <div ref={frame} className={styles['trees']} role="list" aria-label={t`Trees`} tabIndex={-1}>
      <div className={styles['tall']} style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const tree = trees[index]!;
          const look = lookOfTree(tree, profileOf, day);
          return (
            <div
              key={tree.id}
              role="listitem"
              className={styles['row']}
              style={{ transform: `translateY(${start}px)` }}
            >
              <button type="button" onClick={() => onChoose(tree.id)}>
                <b>{tree.tag}</b>
                <span>{nameOfTree(tree, profileOf)}</span>
                <small data-look={look}>{TREE_LOOK_WORDS[look]}</small>
              </button>
            </div>
          );
        })}
      </div>
    </div>
  );
}

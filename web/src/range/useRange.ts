import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { cellAt, paint, type Range, type RangeCells } from '@hurrow/core/range';
import { commonName, type Taxon } from '@hurrow/core/taxon';
import { call } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { useQuery } from '@tanstack/react-query';
import { useDraft } from '../app/useDraft.ts';
import { useSaving } from '../app/useSaving.ts';
import { useSaved } from '../library/useSaved.tsx';
import { viewOf, type MapView } from '@hurrow/core/map';

import { readFile } from './rangeFile.ts';
import type { Tool } from './usePainting.ts';

/** Strokes that can be taken back. */
const STROKES = 41;

/** The range of a taxon as it is being painted: kept until it is saved, stroke by stroke. */
export function useRange(courseId: string, taxon: Taxon, held: { range: Range; revision: number }) {
  const course = useQuery(courseQuery(courseId)).data;
  const { library } = useLibrary();
  const site = course ?? library?.reference;
  const saved = useSaved();
  const {
    draft: range,
    setDraft: setRange,
    ...edit
  } = useDraft(`range/${taxon.id}`, `Range of ${commonName(taxon)}`, held.range, held.revision);
  const { cells } = range;
  const setCells = (next: RangeCells) => setRange({ ...range, cells: next });
  const { remember, canUndo, undo } = useStrokes(cells, setCells);
  const [tool, setTool] = useState<Tool>('move');
  const [radius, setRadius] = useState(1);
  const [view, setView] = useState<MapView>(() => viewOf(held.range.cells, site));
  const [cursor, setCursor] = useState(() => cellAt(site?.latitude ?? 45, site?.longitude ?? -100));
  const [said, setSaid] = useState<string[]>([]);
  const { save: saving, saving: busy, problem, say } = useSaving();
  const save = () =>
    saving(
      () =>
        call('PUT /api/library/taxa/{taxonId}/range', {
          params: { taxonId: taxon.id },
          body: { range, baseRevision: edit.base },
        }),
      {
        done: async ({ revision }) => {
          await saved(t`The range of ${commonName(taxon)} is saved.`, revision);
          edit.settle(revision);
        },
      },
    );
  const take = async (file: File | undefined) => {
    if (!file) return;
    const read = readFile(await file.text(), taxon);
    if (typeof read === 'string') return say(read);
    remember();
    say(undefined);
    setCells({ ...cells, ...read.cells });
    setView(viewOf({ ...cells, ...read.cells }, site));
    setSaid([
      t`${Object.keys(read.cells).length} cells taken from ${file.name}; save to keep them.`,
      ...read.said,
    ]);
  };
  return {
    site,
    range,
    cells,
    write: (note: string) => setRange({ ...range, note }),
    broughtBack: edit.broughtBack,
    changed: edit.changed,
    reset: edit.reset,
    tool,
    setTool,
    radius,
    setRadius,
    view,
    setView,
    cursor,
    setCursor,
    remember,
    canUndo,
    undo,
    paint: (painted: string[]) =>
      setRange((before) => ({
        ...before,
        cells: paint(before.cells, painted, tool === 'erase' || tool === 'move' ? undefined : tool),
      })),
    save,
    take,
    said,
    busy,
    problem,
  };
}

/** The cells before each of the last strokes. */
function useStrokes(cells: RangeCells, setCells: (cells: RangeCells) => void) {
  const [past, setPast] = useState<RangeCells[]>([]);
  return {
    remember: () => setPast([...past, cells].slice(-STROKES)),
    canUndo: past.length > 0,
    undo: () => {
      setCells(past.at(-1)!);
      setPast(past.slice(0, -1));
    },
  };
}

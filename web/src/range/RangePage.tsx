import { Button, Spin } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  areaOf,
  cellAt,
  growsHere,
  growsHereInWords,
  middleOf,
  paint,
  presentCells,
  RANGE_STATUSES,
  rangeAsGeoJson,
  rangeInWords,
  type Range,
  type RangeCells,
} from '@hurrow/core/range';
import { commonName, scientificName, type Taxon } from '@hurrow/core/taxon';
import { call, messageOf } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { useDraft } from '../app/useDraft.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { Latin } from '../app/Names.tsx';
import { useSaved } from '../library/useSaved.tsx';
import { atlasQuery } from './atlasQuery.ts';
import { placeName, type MapView } from './baseMap.ts';
import { RangeMap, STATUS_LOOK, type Tool } from './RangeMap.tsx';
import { LinkButton, Notice, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import styles from './range.module.css';
import { useSaving } from '../app/useSaving.ts';
import { readFile } from './rangeFile.ts';
import { viewOf } from './mapView.ts';

interface RangeAnswer {
  range: Range;
  revision: number;
}

/** The range of one taxon: painted, imported, exported, and asked whether the taxon grows at a place. */
export default function RangePage({ courseId, taxonId }: { courseId: string; taxonId: string }) {
  const { profileOf } = useLibrary();
  const profiled = profileOf(taxonId);
  const held = useQuery({
    queryKey: ['range', taxonId],
    queryFn: () => call('GET /api/library/taxa/{taxonId}/range', { params: { taxonId } }),
    retry: false,
  });
  if (held.isError) return <Problem>{messageOf(held.error)}</Problem>;
  if (!held.data || !profiled) return <Spin className={ui['opening']} />;
  return (
    <RangeEditor
      courseId={courseId}
      taxon={profiled.taxon}
      held={held.data}
      elevation={elevationOf(profiled.scores)}
    />
  );
}

function elevationOf(scores: { characterId: string; value: { kind: string } }[]) {
  const value = scores.find(({ characterId }) => characterId === 'site.elevation')?.value as
    { kind: string; low?: number; high?: number } | undefined;
  return { low: value?.low, high: value?.high };
}

interface EditorProps {
  courseId: string;
  taxon: Taxon;
  held: RangeAnswer;
  elevation: { low: number | undefined; high: number | undefined };
}

function RangeEditor({ courseId, taxon, held, elevation }: EditorProps) {
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
  const [past, setPast] = useState<RangeCells[]>([]);
  const [tool, setTool] = useState<Tool>('move');
  const [radius, setRadius] = useState(1);
  const [view, setView] = useState<MapView>(() => viewOf(held.range.cells, site));
  const [cursor, setCursor] = useState(() => cellAt(site?.latitude ?? 45, site?.longitude ?? -100));
  const [said, setSaid] = useState<string[]>([]);
  const { save: saving, saving: busy, problem, say } = useSaving();
  const remember = () => setPast([...past.slice(-40), cells]);
  const paintCells = (painted: string[]) =>
    setRange((before) => ({
      ...before,
      cells: paint(before.cells, painted, tool === 'erase' || tool === 'move' ? undefined : tool),
    }));
  const save = () =>
    saving(
      () =>
        call('PUT /api/library/taxa/{taxonId}/range', {
          params: { taxonId: taxon.id },
          body: { range, baseRevision: edit.base },
        }),
      {
        done: async ({ revision }) => {
          await saved(`The range of ${commonName(taxon)} is saved.`, revision);
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
      `${Object.keys(read.cells).length} cells taken from ${file.name}; save to keep them.`,
      ...read.said,
    ]);
  };
  const middle = middleOf(cursor);
  const atlas = useQuery(atlasQuery);
  const here = atlas.data && placeName(atlas.data, middle.longitude, middle.latitude);
  return (
    <section className={styles['range-page']}>
      <div className={styles['range-main']}>
        <header>
          <h1>
            Range of {commonName(taxon)} <Latin names={taxon} />
          </h1>
          <Link to={`/c/${courseId}/species/${taxon.id}`}>Profile</Link>
        </header>
        <div className={ui['toolbar']} role="toolbar" aria-label="Painting">
          <button aria-pressed={tool === 'move'} onClick={() => setTool('move')}>
            Move the map
          </button>
          {RANGE_STATUSES.map((status) => (
            <button key={status} aria-pressed={tool === status} onClick={() => setTool(status)}>
              <svg width="14" height="14" aria-hidden="true">
                <rect width="14" height="14" fill={STATUS_LOOK[status].fill} />
                {STATUS_LOOK[status].mark && (
                  <rect width="14" height="14" fill={`url(#${STATUS_LOOK[status].mark})`} fillOpacity={0.6} />
                )}
              </svg>
              {status}
            </button>
          ))}
          <button aria-pressed={tool === 'erase'} onClick={() => setTool('erase')}>
            erase
          </button>
          <label>
            Brush{' '}
            <select value={radius} onChange={(event) => setRadius(Number(event.target.value))}>
              <option value={0}>1 cell</option>
              <option value={1}>7 cells</option>
              <option value={2}>19 cells</option>
              <option value={4}>61 cells</option>
            </select>
          </label>
          <button
            aria-label="Zoom in"
            onClick={() => setView({ ...view, scale: Math.min(20000, view.scale * 1.4) })}
          >
            +
          </button>
          <button
            aria-label="Zoom out"
            onClick={() => setView({ ...view, scale: Math.max(350, view.scale / 1.4) })}
          >
            −
          </button>
          <button
            disabled={past.length === 0}
            onClick={() => {
              setCells(past.at(-1)!);
              setPast(past.slice(0, -1));
            }}
          >
            Undo stroke
          </button>
        </div>
        <BroughtBack at={edit.broughtBack} onGiveUp={edit.reset} />
        <RangeMap
          cells={cells}
          view={view}
          tool={tool}
          radius={radius}
          cursor={cursor}
          site={site}
          label={`Range map of ${scientificName(taxon)}. Arrow keys move the cursor, Space paints, plus and minus zoom.`}
          onView={setView}
          onCursor={setCursor}
          onPaint={paintCells}
          onStroke={remember}
        />
        <p className="quiet" aria-live="polite">
          Cursor: {Math.abs(middle.latitude).toFixed(1)}° {middle.latitude < 0 ? 'S' : 'N'},{' '}
          {Math.abs(middle.longitude).toFixed(1)}° {middle.longitude < 0 ? 'W' : 'E'}
          {atlas.data && (here ? `, ${here}` : ', at sea')}: {cells[cursor] ?? 'not recorded'}.
        </p>
      </div>
      <aside className={styles['range-side']}>
        {atlas.isError && (
          <Problem>
            {messageOf(atlas.error)}{' '}
            <LinkButton onClick={() => void atlas.refetch()}>Fetch the map again</LinkButton>
          </Problem>
        )}
        {problem && <Problem>{problem}</Problem>}
        {said.length > 0 && (
          <Notice>
            {said.map((line) => (
              <p key={line}>{line}</p>
            ))}
          </Notice>
        )}
        <p>{rangeInWords(range)}</p>
        {presentCells(cells).length > 0 && (
          <p className="quiet">
            In all about {Number(areaOf(presentCells(cells)).toPrecision(2)).toLocaleString('en-US')} km²
            where it can be met, to the grain of cells some 1,770 km² each.
          </p>
        )}
        <label className={ui['field-line']}>
          Where the map comes from
          <input
            value={range.note ?? ''}
            onChange={(event) => setRange({ ...range, note: event.target.value })}
            placeholder="generalized by hand"
          />
        </label>
        <p className={ui['profile-tools']}>
          <Button type="primary" disabled={!edit.changed} loading={busy} onClick={() => void save()}>
            Save the range
          </Button>
          {edit.changed && <Button onClick={edit.reset}>Back to the saved one</Button>}
        </p>
        <GrowsHere taxon={taxon} cells={cells} elevation={elevation} site={site} />
        <h2>Files</h2>
        <p>
          <label>
            Take in GeoJSON or occurrence rows (Darwin Core CSV):{' '}
            <input
              type="file"
              accept=".geojson,.json,.csv,.tsv,application/geo+json,text/csv"
              onChange={(event) => void take(event.target.files?.[0])}
            />
          </label>
        </p>
        <p>
          <LinkButton onClick={() => download(range, taxon)}>Write out as GeoJSON</LinkButton>
        </p>
      </aside>
    </section>
  );
}

function GrowsHere({
  taxon,
  cells,
  elevation,
  site,
}: {
  taxon: Taxon;
  cells: RangeCells;
  elevation: EditorProps['elevation'];
  site: { latitude: number; longitude: number; elevation: number } | undefined;
}) {
  const [place, setPlace] = useState<{ latitude: string; longitude: string; elevation: string }>();
  const written = place ?? {
    latitude: String(site?.latitude ?? ''),
    longitude: String(site?.longitude ?? ''),
    elevation: String(site?.elevation ?? ''),
  };
  const asked = {
    latitude: Number(written.latitude),
    longitude: Number(written.longitude),
    elevation: Number(written.elevation),
  };
  const valid =
    written.latitude.trim() !== '' &&
    written.longitude.trim() !== '' &&
    written.elevation.trim() !== '' &&
    Math.abs(asked.latitude) <= 90 &&
    Math.abs(asked.longitude) <= 180 &&
    Number.isFinite(asked.elevation);
  return (
    <>
      <h2>Does it grow here?</h2>
      <div className={styles['place-line']}>
        {(['latitude', 'longitude', 'elevation'] as const).map((part) => (
          <label key={part}>
            {part}
            <input
              inputMode="decimal"
              value={written[part]}
              onChange={(event) => setPlace({ ...written, [part]: event.target.value })}
            />
          </label>
        ))}
      </div>
      <p role="status">
        {valid
          ? growsHereInWords(growsHere(asked, cells, elevation), commonName(taxon))
          : 'Write latitude and longitude in degrees, such as 47.6 and -116.4, and the elevation in meters.'}
      </p>
      {elevation.low !== undefined && elevation.high !== undefined && (
        <p className="quiet">
          Recorded from {elevation.low.toLocaleString('en-US')} to {elevation.high.toLocaleString('en-US')} m.
        </p>
      )}
    </>
  );
}

function download(range: Range, taxon: Taxon): void {
  const text = JSON.stringify(rangeAsGeoJson(range, scientificName(taxon)), null, 1);
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'application/geo+json' }));
  link.download = `${taxon.id}.geojson`;
  link.click();
  URL.revokeObjectURL(link.href);
}

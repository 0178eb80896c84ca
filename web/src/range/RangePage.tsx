import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button, Spin } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import {
  areaOf,
  middleOf,
  presentCells,
  RANGE_STATUSES,
  rangeAsGeoJson,
  rangeInWords,
  type Range,
} from '@hurrow/core/range';
import { commonName, scientificName, type Taxon } from '@hurrow/core/taxon';
import { download } from '../app/download.ts';
import { call, messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { Latin } from '../app/Names.tsx';
import { LinkButton, Notice, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { atlasQuery } from './atlasQuery.ts';
import { placeName } from '@hurrow/core/map';
import { GrowsHere, type Elevations } from './GrowsHere.tsx';
import { degreesInWords } from './placeAsked.ts';
import styles from './range.module.css';
import { RangeMap, STATUS_LOOK } from './RangeMap.tsx';
import { useRange } from './useRange.ts';
import { writtenAs } from '../language/inWords.ts';
import { RANGE_WORDS } from './rangeWords.ts';
import { inTongue } from '../language/inTongue.ts';

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
  held: { range: Range; revision: number };
  elevation: Elevations;
}

function RangeEditor({ courseId, taxon, held, elevation }: EditorProps) {
  const edit = useRange(courseId, taxon, held);
  const atlas = useQuery(atlasQuery);
  const middle = middleOf(edit.cursor);
  const here = atlas.data && placeName(atlas.data, middle.longitude, middle.latitude);
  return (
    <section className={styles['range-page']}>
      <div className={styles['range-main']}>
        <header>
          <h1>
            <Trans>Range of {commonName(taxon)}</Trans> <Latin names={taxon} />
          </h1>
          <Link to={`/c/${courseId}/species/${taxon.id}`}>
            <Trans>Profile</Trans>
          </Link>
        </header>
        <Painting edit={edit} />
        <BroughtBack at={edit.broughtBack} onGiveUp={edit.reset} />
        <RangeMap
          cells={edit.cells}
          view={edit.view}
          tool={edit.tool}
          radius={edit.radius}
          cursor={edit.cursor}
          site={edit.site}
          label={t`Range map of ${scientificName(taxon)}. Arrow keys move the cursor, Space paints, plus and minus zoom.`}
          onView={edit.setView}
          onCursor={edit.setCursor}
          onPaint={edit.paint}
          onStroke={edit.remember}
        />
        <p className="quiet" aria-live="polite">
          <Trans>
            Cursor: {degreesInWords(middle)}
            {atlas.data && (here ? `, ${here}` : t`, at sea`)}: {edit.cells[edit.cursor] ?? t`not recorded`}.
          </Trans>
        </p>
      </div>
      <aside className={styles['range-side']}>
        {atlas.isError && (
          <Problem>
            {messageOf(atlas.error)}{' '}
            <LinkButton onClick={() => void atlas.refetch()}>
              <Trans>Fetch the map again</Trans>
            </LinkButton>
          </Problem>
        )}
        <Said edit={edit} />
        <GrowsHere taxon={taxon} cells={edit.cells} elevation={elevation} site={edit.site} />
        <Files edit={edit} taxon={taxon} />
      </aside>
    </section>
  );
}

type Edit = ReturnType<typeof useRange>;

/** What is painted, how broadly, and how near one looks. */
function Painting({ edit }: { edit: Edit }) {
  const { tool, setTool, view, setView } = edit;
  return (
    <div className={ui['toolbar']} role="toolbar" aria-label={t`Painting`}>
      <button aria-pressed={tool === 'move'} onClick={() => setTool('move')}>
        <Trans>Move the map</Trans>
      </button>
      {RANGE_STATUSES.map((status) => (
        <button key={status} aria-pressed={tool === status} onClick={() => setTool(status)}>
          <svg width="14" height="14" aria-hidden="true">
            <rect width="14" height="14" fill={STATUS_LOOK[status].fill} />
            {STATUS_LOOK[status].mark && (
              <rect width="14" height="14" fill={`url(#${STATUS_LOOK[status].mark})`} fillOpacity={0.6} />
            )}
          </svg>
          {inTongue(status)}
        </button>
      ))}
      <button aria-pressed={tool === 'erase'} onClick={() => setTool('erase')}>
        <Trans>erase</Trans>
      </button>
      <label>
        <Trans>Brush</Trans>{' '}
        <select value={edit.radius} onChange={(event) => edit.setRadius(Number(event.target.value))}>
          <option value={0}>
            <Trans>1 cell</Trans>
          </option>
          <option value={1}>
            <Trans>7 cells</Trans>
          </option>
          <option value={2}>
            <Trans>19 cells</Trans>
          </option>
          <option value={4}>
            <Trans>61 cells</Trans>
          </option>
        </select>
      </label>
      <button
        aria-label={t`Zoom in`}
        onClick={() => setView({ ...view, scale: Math.min(20000, view.scale * 1.4) })}
      >
        +
      </button>
      <button
        aria-label={t`Zoom out`}
        onClick={() => setView({ ...view, scale: Math.max(350, view.scale / 1.4) })}
      >
        −
      </button>
      <button disabled={!edit.canUndo} onClick={edit.undo}>
        <Trans>Undo stroke</Trans>
      </button>
    </div>
  );
}

/** The range in words, where it comes from, and saving it. */
function Said({ edit }: { edit: Edit }) {
  const { range, cells, said, problem } = edit;
  return (
    <>
      {problem && <Problem>{problem}</Problem>}
      {said.length > 0 && (
        <Notice>
          {said.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </Notice>
      )}
      <p>{rangeInWords(range, RANGE_WORDS)}</p>
      {presentCells(cells).length > 0 && (
        <p className="quiet">
          <Trans>
            In all about{' '}
            {Number(areaOf(presentCells(cells)).toPrecision(2)).toLocaleString(writtenAs('en-US'))} km² where
            it can be met, to the grain of cells some 1,770 km² each.
          </Trans>
        </p>
      )}
      <label className={ui['field-line']}>
        <Trans>Where the map comes from</Trans>
        <input
          value={range.note ?? ''}
          onChange={(event) => edit.write(event.target.value)}
          placeholder={t`generalized by hand`}
        />
      </label>
      <p className={ui['profile-tools']}>
        <Button type="primary" disabled={!edit.changed} loading={edit.busy} onClick={() => void edit.save()}>
          <Trans>Save the range</Trans>
        </Button>
        {edit.changed && (
          <Button onClick={edit.reset}>
            <Trans>Back to the saved one</Trans>
          </Button>
        )}
      </p>
    </>
  );
}

function Files({ edit, taxon }: { edit: Edit; taxon: Taxon }) {
  return (
    <>
      <h2>
        <Trans>Files</Trans>
      </h2>
      <p>
        <label>
          <Trans>Take in GeoJSON or occurrence rows (Darwin Core CSV):</Trans>{' '}
          <input
            type="file"
            accept=".geojson,.json,.csv,.tsv,application/geo+json,text/csv"
            onChange={(event) => void edit.take(event.target.files?.[0])}
          />
        </label>
      </p>
      <p>
        <LinkButton
          onClick={() =>
            download(`${taxon.id}.geojson`, geoJsonOf(edit.range, taxon), 'application/geo+json')
          }
        >
          <Trans>Write out as GeoJSON</Trans>
        </LinkButton>
      </p>
    </>
  );
}

const geoJsonOf = (range: Range, taxon: Taxon): string =>
  JSON.stringify(rangeAsGeoJson(range, scientificName(taxon)), null, 1);

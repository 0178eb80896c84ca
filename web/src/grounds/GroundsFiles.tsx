import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeGrounds } from '@hurrow/contract/grounds';
import { Button, Modal } from 'antd';
import { useState } from 'react';
import { writeTreeGeoJson, writeTreeGpx, writeTreeTable, type ReadTrees } from '@hurrow/core/formats';
import type { GroundFeatures } from '@hurrow/core/grounds';
import { scientificName } from '@hurrow/core/taxon';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { download } from '../app/download.ts';
import { Notice, Problem } from '../app/parts.tsx';
import { textOfFile } from '../app/textOfFile.ts';
import { useSaving } from '../app/useSaving.ts';
import { readGroundsFile, tally, taxaByName } from './groundsFile.ts';
import styles from './grounds.module.css';

/** A file that was read: what it would bring. */
interface ReadFile {
  name: string;
  trees?: ReadTrees;
  map?: { features: GroundFeatures; remarks: string[] };
}

/** Trees and maps in and out as files; what a file would do is said before it does it. */
export function GroundsFiles({ whole }: { whole: WholeGrounds }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Trans>Files and tags</Trans>
      </Button>
      <Modal
        open={open}
        onCancel={() => setOpen(false)}
        footer={null}
        title={t`Files of ${whole.name}`}
        destroyOnHidden
      >
        <h3>
          <Trans>Take out</Trans>
        </h3>
        <TakeOut whole={whole} />
        <h3>
          <Trans>Bring in</Trans>
        </h3>
        <BringIn whole={whole} onDone={() => setOpen(false)} />
      </Modal>
    </>
  );
}

function TakeOut({ whole }: { whole: WholeGrounds }) {
  const { profileOf } = useLibrary();
  const nameOf = (id: string) => {
    const taxon = profileOf(id)?.taxon;
    return taxon ? scientificName(taxon) : id;
  };
  const name = whole.name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  const GEOJSON = 'application/geo+json';
  return (
    <p className={styles['does']}>
      <Button onClick={() => download(`${name}.csv`, writeTreeTable(whole.trees, nameOf))}>
        <Trans>Trees as CSV</Trans>
      </Button>
      <Button
        onClick={() =>
          download(`${name}.geojson`, JSON.stringify(writeTreeGeoJson(whole.trees, nameOf)), GEOJSON)
        }
      >
        <Trans>Trees as GeoJSON</Trans>
      </Button>
      <Button
        onClick={() => download(`${name}.gpx`, writeTreeGpx(whole.trees, nameOf), 'application/gpx+xml')}
      >
        <Trans>Trees as GPX</Trans>
      </Button>
      <Button onClick={() => download(`${name}-map.geojson`, JSON.stringify(whole.features), GEOJSON)}>
        <Trans>Map as GeoJSON</Trans>
      </Button>
      <a href={`/api/grounds/${whole.id}/tags.pdf?at=${encodeURIComponent(window.location.origin)}`} download>
        <Trans>Tags to print</Trans>
      </a>
    </p>
  );
}

function BringIn({ whole, onDone }: { whole: WholeGrounds; onDone(): void }) {
  const { profiles } = useLibrary();
  const [read, setRead] = useState<ReadFile>();
  const { save, saving, problem, say } = useSaving();
  const take = async (file: File) => {
    setRead(undefined);
    const taxa = taxaByName(profiles.map(({ taxon }) => taxon));
    const found = readGroundsFile(file.name, await textOfFile(file), taxa);
    if (found.ok) {
      say(undefined);
      setRead({ name: file.name, ...found.value });
    } else say(found.problem);
  };
  const bring = ({ trees, map }: ReadFile) =>
    save(
      async () => {
        const params = { groundsId: whole.id };
        if (trees && trees.trees.length > 0)
          await call('POST /api/grounds/{groundsId}/trees', { params, body: { trees: trees.trees } });
        if (!map) return;
        const features = [...whole.features.features, ...map.features.features];
        await call('PUT /api/grounds/{groundsId}/map', {
          params,
          body: { features: { type: 'FeatureCollection', features }, baseVersion: whole.version },
        });
      },
      { stale: [['grounds']], done: onDone },
    );
  return (
    <>
      <p>
        <Trans>
          Trees as CSV with columns tag, taxon, latitude and longitude, or as points of GeoJSON or GPX; paths,
          water and buildings as lines and areas of GeoJSON. A tree whose tag is here already is changed.
        </Trans>
      </p>
      <input
        type="file"
        aria-label={t`File with trees or a map`}
        accept=".csv,.tsv,.txt,.geojson,.json,.gpx"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void take(file);
        }}
      />
      {problem && <Problem>{problem}</Problem>}
      {read && (
        <>
          <Notice>{tally(read, whole).join(' ')}</Notice>
          <ul className={styles['report']}>
            {read.trees?.problems.map(({ line, message }) => (
              <li key={line} className="rust">
                {line}: {message}
              </li>
            ))}
            {[...(read.trees?.remarks ?? []), ...(read.map?.remarks ?? [])].map((remark) => (
              <li key={remark}>{remark}</li>
            ))}
          </ul>
          <Button type="primary" loading={saving} onClick={() => void bring(read)}>
            <Trans>Bring it in</Trans>
          </Button>
        </>
      )}
    </>
  );
}

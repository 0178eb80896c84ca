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

/** Trees and maps in and out as files; what a file would do is said before it does it. */
export function GroundsFiles({ whole }: { whole: WholeGrounds }) {
  const { profiles, profileOf } = useLibrary();
  const [open, setOpen] = useState(false);
  const [read, setRead] = useState<{
    name: string;
    trees?: ReadTrees;
    map?: { features: GroundFeatures; remarks: string[] };
  }>();
  const { save, saving, problem, say } = useSaving();
  const nameOf = (id: string) => {
    const taxon = profileOf(id)?.taxon;
    return taxon ? scientificName(taxon) : id;
  };
  const take = async (file: File) => {
    setRead(undefined);
    const found = readGroundsFile(
      file.name,
      await textOfFile(file),
      taxaByName(profiles.map(({ taxon }) => taxon)),
    );
    if (found.ok) {
      say(undefined);
      setRead({ name: file.name, ...found.value });
    } else say(found.problem);
  };
  const close = () => {
    setOpen(false);
    setRead(undefined);
  };
  const bring = () =>
    void save(
      async () => {
        const params = { groundsId: whole.id };
        if (read?.trees && read.trees.trees.length > 0)
          await call('POST /api/grounds/{groundsId}/trees', { params, body: { trees: read.trees.trees } });
        if (read?.map)
          await call('PUT /api/grounds/{groundsId}/map', {
            params,
            body: {
              features: {
                type: 'FeatureCollection',
                features: [...whole.features.features, ...read.map.features.features],
              },
              baseVersion: whole.version,
            },
          });
      },
      { stale: [['grounds']], done: close },
    );
  const name = whole.name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  return (
    <>
      <Button onClick={() => setOpen(true)}>Files and tags</Button>
      <Modal open={open} onCancel={close} footer={null} title={`Files of ${whole.name}`}>
        <h3>Take out</h3>
        <p className={styles['does']}>
          <Button onClick={() => download(`${name}.csv`, writeTreeTable(whole.trees, nameOf))}>
            Trees as CSV
          </Button>
          <Button
            onClick={() =>
              download(
                `${name}.geojson`,
                JSON.stringify(writeTreeGeoJson(whole.trees, nameOf)),
                'application/geo+json',
              )
            }
          >
            Trees as GeoJSON
          </Button>
          <Button
            onClick={() => download(`${name}.gpx`, writeTreeGpx(whole.trees, nameOf), 'application/gpx+xml')}
          >
            Trees as GPX
          </Button>
          <Button
            onClick={() =>
              download(`${name}-map.geojson`, JSON.stringify(whole.features), 'application/geo+json')
            }
          >
            Map as GeoJSON
          </Button>
          <a
            href={`/api/grounds/${whole.id}/tags.pdf?at=${encodeURIComponent(window.location.origin)}`}
            download
          >
            Tags to print
          </a>
        </p>
        <h3>Bring in</h3>
        <p>
          Trees as CSV with columns tag, taxon, latitude and longitude, or as points of GeoJSON or GPX; paths,
          water and buildings as lines and areas of GeoJSON. A tree whose tag is here already is changed.
        </p>
        <input
          type="file"
          aria-label="File with trees or a map"
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
            <Button type="primary" loading={saving} onClick={bring}>
              Bring it in
            </Button>
          </>
        )}
      </Modal>
    </>
  );
}

import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { App } from 'antd';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { call, messageOf } from '../app/api.ts';
import { ImportFile } from '../app/ImportFile.tsx';
import { useLibrary } from '../app/data.ts';
import { Opening, Problem } from '../app/parts.tsx';
import styles from './library.module.css';
import { starterQuery } from './starters.ts';

const EXAMPLE = t`scientific name,family,common names,calendar.leaves,foliage.kind,leaf.shape,leaf.length,twig.arrangement
Acer rubrum,Sapindaceae,"red maple, soft maple",1 May – 20 Oct,broad blade,ovate,6–10 cm,opposite
Ulmus americana,Ulmaceae,American elm,5 May – 15 Oct,broad blade,ovate; sometimes elliptic,3–6 in,alternate`;

/** Each export: what it holds, and what reading it back elsewhere would lack. */
const EXPORTS: [string, string, string, string][] = [
  [
    'json',
    t`Library bundle`,
    t`JSON, described by docs/library.schema.json`,
    t`photographs, sure ways, rules, keys`,
  ],
  ['scores', t`Scores`, t`CSV, one row a score with its source`, t`names, months, cautions, ranges`],
  [
    'table',
    t`Taxa × characters`,
    t`CSV, a row a species: names, months and what the first source says`,
    t`other sources, notes, cautions, ranges`,
  ],
  ['sdd', t`Descriptions`, t`TDWG SDD 1.1, XML`, t`families, synonyms, months, cautions, ranges`],
  [
    'occurrences',
    t`Occurrences`,
    t`Darwin Core, CSV, one row a cell of a range`,
    t`notes on ranges, all that is no range`,
  ],
  ['geojson', t`Ranges`, t`GeoJSON, one feature a status`, t`all that is no range`],
];

/** Takes files into the library, after showing what they would do, and writes it out in open formats. */
export default function Exchange({ courseId }: { courseId: string }) {
  const queries = useQueryClient();
  const go = useNavigate();
  const { message } = App.useApp();
  const { library } = useLibrary();
  const [search] = useSearchParams();
  const begun = search.get('starter') ?? '';
  const starter = useQuery(starterQuery(begun));
  if (begun && starter.isPending)
    return (
      <Opening>
        <Trans>Fetching the starter library…</Trans>
      </Opening>
    );
  return (
    <section className={styles['library-page']}>
      <h1>
        <Trans>Import species</Trans>
      </h1>
      <p className="quiet">
        <Trans>
          A table with one row a species (“scientific name” and “family” are needed; other columns are names,
          “calendar.leaves” and the like, and any character by its id or words:{' '}
          <Link to={`/c/${courseId}/species/character-list`}>the list of them</Link>), a table with one row a
          score, a library bundle, SDD descriptions, or occurrence rows in Darwin Core. The kind of file is
          found out by itself.
        </Trans>
      </p>
      {starter.isError && <Problem>{messageOf(starter.error)}</Problem>}
      <ImportFile
        key={begun}
        {...(starter.data ? { given: starter.data } : {})}
        send={({ csv, dryRun }) => call('POST /api/library/import', { body: { csv, dryRun } })}
        example={EXAMPLE}
        accept=".csv,.tsv,.txt,.json,.xml,text/csv,application/json,application/xml"
        onDone={(report, here) => {
          void queries.invalidateQueries({ queryKey: ['library'] });
          void queries.invalidateQueries({ queryKey: ['range'] });
          void message.success(t`${report.added.length + report.changed.length} species imported.`);
          if (here) void go(`/c/${courseId}/species`);
        }}
      />
      {(library?.taxa.length ?? 0) > 0 && (
        <>
          <h2>
            <Trans>Export</Trans>
          </h2>
          <dl className={styles['exports']}>
            {EXPORTS.map(([format, title, what, lacks]) => (
              <div key={format}>
                <dt>
                  <a href={`/api/library/export/${format}`} download>
                    {title}
                  </a>
                </dt>
                <dd>
                  {what}.{' '}
                  <span className="quiet">
                    <Trans>Leaves out: {lacks}.</Trans>
                  </span>
                </dd>
              </div>
            ))}
          </dl>
          <p className="quiet">
            <Trans>
              What a file holds is read back equal. Photographs stay in the library unless they have a credit
              and a licence; then they may go into prints.
            </Trans>
          </p>
        </>
      )}
    </section>
  );
}

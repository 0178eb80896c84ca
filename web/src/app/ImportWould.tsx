import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { rowInWords, type SaidReport } from './imported.ts';
import { Notice } from './parts.tsx';

/** Lines of what would be replaced that are shown one by one. */
const MOST_LINES = 200;

/** What an import would do, line by line, with the choice to replace what is stored. */
export function ImportWould({
  report,
  takes,
  replacing,
}: {
  report: SaidReport;
  takes: number;
  /** Where what is stored may be replaced: the choice. */
  replacing: { words: string; chosen: boolean; choose(): void } | undefined;
}) {
  const replaced = report.replaced ?? [];
  return (
    <Notice>
      <p>
        {takes === 0
          ? t`There is nothing new in this file.`
          : t`Importing ${report.what ? t`these, ${report.what},` : t`this`} would:`}
      </p>
      <ul>
        {report.added.length > 0 && (
          <li>
            <Trans>add {report.added.join('; ')}</Trans>
          </li>
        )}
        {report.changed.length > 0 && (
          <li>
            <Trans>change {report.changed.join('; ')}</Trans>
          </li>
        )}
        {(report.also ?? []).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {replaced.slice(0, MOST_LINES).map((row) => (
          <li key={`${row.line}${row.message}`} className="gold">
            {rowInWords(row)}
          </li>
        ))}
        {replaced.length > MOST_LINES && (
          <li className="gold">
            <Trans>and replace {replaced.length - MOST_LINES} more</Trans>
          </li>
        )}
        {(report.unchanged ?? 0) > 0 && (
          <li>
            <Trans>leave {report.unchanged} as they are: they say the same</Trans>
          </li>
        )}
        {report.ignored.length > 0 && (
          <li>
            <Trans>leave out {report.ignored.join('; ')}</Trans>
          </li>
        )}
        {report.refused.map((row) => (
          <li key={`${row.line}${row.message}`} className="rust">
            {rowInWords(row, 'refused')}
          </li>
        ))}
        {(report.unknown ?? []).map((row) => (
          <li key={`${row.line}${row.message}`} className="gold">
            {rowInWords(row)}
          </li>
        ))}
      </ul>
      {replacing && replaced.length > 0 && (
        <label>
          <input type="checkbox" checked={replacing.chosen} onChange={replacing.choose} /> {replacing.words}
        </label>
      )}
    </Notice>
  );
}

import { t } from '@lingui/core/macro';
import type { ImportReport } from '@hurrow/contract/reports';

/** What an import says it would do, of whatever is imported. */
export type SaidReport = ImportReport & { what?: string; also?: string[] };

/** How many things an import takes; what would be replaced counts only where that is chosen. */
export const takenBy = ({ added, changed, also, replaced }: SaidReport, replace: boolean): number =>
  added.length + changed.length + (also?.length ?? 0) + (replace ? (replaced?.length ?? 0) : 0);

/** A row of a report in words, with its line of the file where it has one: “line 3 refused: …”. */
export const rowInWords = ({ line, message }: { line: number; message: string }, verb = ''): string => {
  const lead = [line > 0 ? t`line ${line}` : '', verb].filter(Boolean).join(' ');
  return lead ? `${lead}: ${message}` : message;
};

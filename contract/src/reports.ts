import type { RowProblem } from '@hurrow/core/formats';

/** What an import would do, or did: lines for people. */
export interface ImportReport {
  added: string[];
  changed: string[];
  refused: RowProblem[];
  ignored: string[];
  /** Rows that would put something else in the place of what is stored, each with what is stored now. */
  replaced?: RowProblem[];
  /** Rows that say what is stored already. */
  unchanged?: number;
  /** Answers that name no species of the list. */
  unknown?: RowProblem[];
}

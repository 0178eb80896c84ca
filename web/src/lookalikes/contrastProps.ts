import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Audience, UnitSystem } from '@hurrow/core/score';
import type { View } from '@hurrow/core/view';
import type { CourseSummary, LibraryAnswer } from '../app/data.ts';

/** Two trees in a view, and for whom they are told apart. */
export interface ContrastProps {
  list: readonly ProfiledTaxon[];
  a: ProfiledTaxon;
  b: ProfiledTaxon;
  view: View;
  library: LibraryAnswer;
  site: CourseSummary | undefined;
  audience: Audience;
  /** Shown to be read: what an instructor writes down is left out. */
  reading?: boolean;
  units: UnitSystem;
}

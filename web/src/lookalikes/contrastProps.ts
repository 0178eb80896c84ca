import type { Course } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Audience, UnitSystem } from '@hurrow/core/score';
import type { View } from '@hurrow/core/view';

/** Two trees in a view, and for whom they are told apart. */
export interface ContrastProps {
  list: readonly ProfiledTaxon[];
  a: ProfiledTaxon;
  b: ProfiledTaxon;
  view: View;
  library: LibraryAnswer;
  site: Course | undefined;
  audience: Audience;
  /** Shown to be read: what an instructor writes down is left out. */
  reading?: boolean;
  units: UnitSystem;
}

import type { Medium, View } from '@hurrow/core/view';

/** A station as it is being planned. */
export interface Planned {
  taxonId: string;
  medium: Medium;
  view: View;
  /** Characters that students read besides naming the tree. */
  asks?: string[];
}

/** A whole plan as it is being edited. */
export interface Plan {
  title: string;
  heldOn: string;
  stations: Planned[];
}

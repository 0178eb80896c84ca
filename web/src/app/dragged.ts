import { t } from '@lingui/core/macro';
import type { Announcements, DndContextProps, UniqueIdentifier } from '@dnd-kit/core';

/** From how far on a press is a drag. The same each time: with another all that can be dragged is drawn anew. */
export const FROM_FIVE_PIXELS = { activationConstraint: { distance: 5 } };

/**
 * What whoever hears the page is told of things that are dragged with a pointer: by which keys they are moved instead, and where one has come to lie.
 *
 * @param keys what the keys do, in a sentence
 * @param name of what is dragged, by its id
 * @param place of where it is dragged to, by its id
 */
export function heardOfDragging(
  keys: string,
  name: (id: UniqueIdentifier) => string,
  place: (id: UniqueIdentifier) => string,
): NonNullable<DndContextProps['accessibility']> {
  const announcements: Announcements = {
    onDragStart: ({ active }) => t`${name(active.id)} is held.`,
    onDragOver: ({ active, over }) =>
      over ? t`${name(active.id)} is over ${place(over.id)}.` : t`${name(active.id)} is over nothing.`,
    onDragEnd: ({ active, over }) =>
      over ? t`${name(active.id)} lies at ${place(over.id)}.` : t`${name(active.id)} lies where it was.`,
    onDragCancel: ({ active }) => t`${name(active.id)} lies where it was.`,
  };
  return { announcements, screenReaderInstructions: { draggable: keys } };
}

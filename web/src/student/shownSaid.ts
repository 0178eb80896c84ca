import type { Looked } from '@hurrow/core/view';
import { viewInWords } from '../language/inWords.ts';

/** What of a tree is shown at a station; a quiz that was taken along by an older page says it in English. */
export const shownSaid = (shows: Looked | string): string =>
  typeof shows === 'string' ? shows : viewInWords(shows);

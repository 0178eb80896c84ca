import { glossary } from './glossary.ts';
import { handout } from './handout.ts';
import { contrastSheet, keySheet, marksSheet } from './lookalikeSheets.ts';
import { nameCards } from './nameCards.ts';
import { profileSheet } from './profileSheet.ts';
import { quizPapers } from './quizPapers.ts';
import { slipSheet } from './slipSheet.ts';

/** Every sheet that is printed: from plain data to the description of a document. */
export const SHEETS = {
  cards: nameCards,
  contrast: contrastSheet,
  glossary,
  handout,
  key: keySheet,
  marks: marksSheet,
  profile: profileSheet,
  quiz: quizPapers,
  slips: slipSheet,
};

export type Sheets = typeof SHEETS;

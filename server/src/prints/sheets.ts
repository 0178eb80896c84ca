import { glossary } from './glossary.ts';
import { courseReport } from './courseReport.ts';
import { handout } from './handout.ts';
import { miniLessonSheet } from './miniLessonSheet.ts';
import { labelSheet, pieceLabels } from './labels.ts';
import { contrastSheet, keySheet, marksSheet } from './lookalikeSheets.ts';
import { nameCards } from './nameCards.ts';
import { profileSheet } from './profileSheet.ts';
import { quizPapers } from './quizPapers.ts';
import { slipSheet } from './slipSheet.ts';
import { walkSheet } from './walkSheet.ts';

/** Every sheet that is printed: from plain data to the description of a document. */
export const SHEETS = {
  cards: nameCards,
  contrast: contrastSheet,
  glossary,
  courseReport,
  handout,
  miniLesson: miniLessonSheet,
  key: keySheet,
  labels: labelSheet,
  pieceLabels,
  marks: marksSheet,
  profile: profileSheet,
  quiz: quizPapers,
  slips: slipSheet,
  walk: walkSheet,
};

export type Sheets = typeof SHEETS;

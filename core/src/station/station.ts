import type { FrozenQuestion, Question } from './question/question.ts';
import type { SeeingQuestion } from './seeing.ts';
import type { NamedTaxon, MarkingPolicy } from '../names/index.ts';
import type { Traits } from '../specimen/index.ts';
import type { Medium, View } from '../view/index.ts';

/** A station as planned: one taxon in one view by one medium. */
export interface PlannedStation {
  taxonId: string;
  medium: Medium;
  view: View;
  /** Characters that students read off the specimen besides naming the tree. */
  asks?: string[];
  /** Are students asked what they went by? */
  wentBy?: boolean;
  /** The character that half of the students, by lot, are told to look at first. */
  prompt?: string | null;
  /** Do students choose one of four names instead of writing one? */
  choose?: boolean;
  /** What is asked in place of the name; its name where it is missing. */
  question?: Question | null;
  /** Which individual is drawn, 1 to 2³¹ − 1; one is chosen by lot where none is given. */
  seed?: number;
}

/** Size of a station's drawing. */
export const FRAME = { width: 360, height: 300 };

/** What opening a quiz fixes for a station, so that later edits of the library change neither it nor its marks. */
export interface FrozenStation {
  /** Library revision that the station was frozen at. */
  revision: number;
  truth: string;
  /** The taught list with the names accepted for each taxon. */
  list: NamedTaxon[];
  marking: MarkingPolicy;
  view: View;
  medium: Medium;
  seed: number;
  /** The individual drawn for the station, if its medium is drawn. */
  traits: Traits | null;
  /** Its drawing as SVG markup without any names, or null. */
  drawing: string | null;
  /** The “what do you see” questions with their right answers. */
  asks?: SeeingQuestion[];
  /** Characters offered to those who are asked what they went by. */
  wentBy?: string[];
  /** The character that half of the students are told to look at first. */
  prompt?: string;
  /** Taxa whose names are to choose from, in their order; where it is missing a name is written. */
  choices?: string[];
  /** What is asked in place of the name. */
  question?: FrozenQuestion;
}

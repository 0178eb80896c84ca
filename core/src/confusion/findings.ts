import type { Telling } from '../attention/index.ts';
import type { Consequence } from './consequences.ts';
import type { Excess } from './excess.ts';
import type { LeftOutLoss, StationFinding } from './predicted.ts';
import type { Calibration } from './prediction.ts';
import type { PromptFinding } from './prompted.ts';
import type { ReadingFinding } from './seen.ts';

/** How the class uses one character. */
export interface CharacterFinding {
  characterId: string;
  /** ŵ with its 90 % interval; 1 uses the evidence as it stands. */
  use: number;
  interval: [number, number];
  /** Use over that of the typical character, with its interval: the share of its worth that is used. Undefined where it is not identified. */
  worth?: { share: number; interval: [number, number] };
  /** Stations at which it could tell the truth from a rival. */
  telling: string[];
  /** Errors it would have prevented; undefined where too few stations could tell. */
  prevented?: Consequence;
  /** Of what it would have prevented only the order among the others can be said, not how many. */
  rankOnly?: true;
  /** How often it was told of on the checklists that offered it. */
  told?: Telling;
  /** Chance that the class passes it over, 0–1; by names alone it is never sure. */
  overlooked: number;
  /** Said as sure: of all that is, species and names with it, a tenth at most is expected to be false. */
  sure: boolean;
  /** Wrong answers that it tells from their truth, and which pairs they make, the most frequent first. */
  behind: string[];
  pairs: { truth: string; answer: string; count: number }[];
  /** Taxa whose evidence had to be assumed because the score is missing. */
  assumed: string[];
}

export interface SpeciesFinding {
  taxonId: string;
  asked: number;
  wrong: number;
  /** Its errors land on more names than likeness accounts for. */
  scatters: boolean;
  /** The names given for it, the most frequent first. */
  called: { answer: string; count: number }[];
  prevented: Consequence;
  sure: boolean;
  behind: string[];
}

export interface NameFinding {
  taxonId: string;
  /** How often the name was given where it was wrong, and for how many trees. */
  given: number;
  truths: number;
  prevented: Consequence;
  sure: boolean;
  behind: string[];
}

/** What can be said of a class before its report is through, by the names alone. */
export interface FirstLook {
  answers: number;
  errors: number;
  /** Characters that it may not look at, the likeliest first; by names alone no more than suspicions. */
  suspected: string[];
}

export interface ConfusionReport {
  students: number;
  answers: number;
  errors: number;
  /** Whether the answers bear a model; otherwise there are no findings. */
  state: 'enough' | 'too few' | 'no errors';
  typicalUse: number;
  /** Answers to “what did you go by”, and how many of them were given in practice and by what was sorted. */
  reports: { all: number; practice: number; sorting: number };
  /** Names of the earlier classes whose findings were taken in. */
  earlier: string[];
  characters: CharacterFinding[];
  species: SpeciesFinding[];
  overGiven: NameFinding[];
  stations: StationFinding[];
  inSample?: Calibration;
  leftOut?: Calibration;
  losses: LeftOutLoss[];
  /** How the class reads the characters that it was asked to look at. */
  readings: ReadingFinding[];
  /** What being told to look at a character did in this class, and in earlier ones with it. */
  prompts: PromptFinding[];
  looking: PromptFinding[];
  pairs: (Excess & { truth: string; answer: string })[];
}

import type { Answer, AnswerPart, NamingPolicy } from '@hurrow/core/names';

export interface OpenQuiz {
  id: string;
  title: string;
  policy: NamingPolicy;
  /** Names to choose from, for courses that name from a list. */
  names: string[];
  stations: {
    id: string;
    position: number;
    medium: string;
    shows: string;
    drawn: boolean;
    /** “What do you see” questions with the states to choose from. */
    asks: SeeingAsked[];
    answer: Answer | null;
  }[];
}

/** One “what do you see” question in the words of the course. */
export interface SeeingAsked {
  characterId: string;
  question: string;
  states: { id: string; word: string; definition: string }[];
}

/** What the server tells a student's phone. */
export interface Sitting {
  course: string;
  courseId: string;
  /** What the instructor has opened beside the quizzes, as of now. */
  opens: ('profiles' | 'contrasts' | 'keys' | 'recap')[];
  name: string;
  open: OpenQuiz[];
  released: { id: string; title: string; heldOn: string }[];
}

/** The fields a naming policy asks for, with their labels. */
export const FIELDS: Record<NamingPolicy, [AnswerPart, string][]> = {
  common: [['name', 'Common name']],
  genus: [['genus', 'Genus']],
  binomial: [
    ['genus', 'Genus'],
    ['epithet', 'Epithet'],
  ],
  binomialFamily: [
    ['genus', 'Genus'],
    ['epithet', 'Epithet'],
    ['family', 'Family'],
  ],
};

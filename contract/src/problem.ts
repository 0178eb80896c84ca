/** What kind of thing went wrong, for programs; the message says it to people. */
export type ProblemCode =
  /** Something that was sent is not valid. */
  | 'invalid'
  /** What is asked for is not there. */
  | 'missing'
  /** It can not be done as things stand. */
  | 'conflict'
  /** Someone else changed it meanwhile. */
  | 'stale'
  /** The student has answers, which would be lost. */
  | 'hasAnswers'
  /** A station’s tree has too few scores to be drawn; `details` is `{ position }`. */
  | 'tooLittleToDraw'
  /** Another tree bears the name already: whether both shall is asked. */
  | 'sharedName'
  /** The quiz was closed before the answer came. */
  | 'late'
  | 'signedOut'
  /** The password is right; the code of the second factor is asked for. */
  | 'secondFactor'
  | 'forbidden'
  /** Too many calls in a short time. */
  | 'tooMany'
  | 'tooLarge'
  | 'diskFull'
  /** A part of the store cannot be read. */
  | 'damaged'
  | 'unexpected';

/** A sentence in English, with the id of its words and what stands in them, by which a page says it in another language. */
export interface Said {
  message: string;
  id: string;
  /** What stands at {0}, {1} and so on. */
  values: SaidValue[];
}

/** A name or a number as it stands; words that are said in another language as well; several of these, as a list. */
export type SaidValue = string | number | Said | SaidValue[];

/** What a call that failed is answered with. */
export interface ProblemAnswer {
  code: ProblemCode;
  /** What is wrong and what to do, for people. */
  message: string;
  /** How it is said in another language; left out where it is said in English alone. */
  said?: Omit<Said, 'message'>;
  details?: unknown;
}

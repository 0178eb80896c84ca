/** How a character is said of a tree. `{}` stands for its value; without it the phrase holds for one state alone. */
export interface Phrase {
  /** A piece of a line: “needles {} to a bundle”. */
  technical: string;
  /** A sentence without its full stop: “The needles come in bunches of {}”. A star in it is where “usually” is put in. */
  plain: string;
}

/** What stands for what: the first is sought as a whole word. */
export type Exchange = readonly [sought: string, put: string];

/**
 * How trees are told in a lesson, in one language. As in `Saying`, `#` is what is put in, `{name}` each of several. Data alone: it goes to
 * workers with its vocabulary.
 */
export interface Telling {
  /** By `character` or `character=state`. */
  phrases: Readonly<Record<string, Phrase>>;
  /** Behind a verb, in the place of a star. */
  usually: string;
  /** For a sentence without a star, and for what is found when something is done. A sentence that begins as `asItIs` needs none of them. */
  usuallyBefore: string;
  usuallyFound: string;
  asItIs: string;
  sometimes: string;
  /** Of two sentences, where the second is instead of the first. */
  orElse: string;
  oddNumber: string;
  /** Of a compound leaf, and of a twig in winter. */
  leaflet: readonly Exchange[];
  buds: { plain: readonly Exchange[]; technical: string };
  /** A piece that names its own part begins so: a regular expression. */
  namesPart: string;
  parts: Readonly<Record<string, string>>;
  /** By topic. */
  titles: Readonly<Record<string, string>>;
  begins: Readonly<Record<string, string>>;
  /** By the status of a range. */
  standing: Readonly<Record<string, string>>;
  youngBark: { technical: string; plain: string };
  name: { ask: string; also: string; scientific: string; family: string };
  history: string;
  largest: string;
  contrast: { title: string; ask: string };
  rule: { title: string; ask: string; atTimes: string; misleads: string; misleadsOne: string; none: string };
  recap: { title: string; ask: string; nothing: string };
  notRecorded: string;
  /** By organ and by group of characters, where these are not called as in English. */
  organs: Readonly<Record<string, string>>;
  groups: Readonly<Record<string, string>>;
  /** What stands around a lesson on a wall and on paper. */
  sheet: {
    week: string;
    page: string;
    heading: string;
    askFirst: string;
    look: string;
    photographed: string;
    drawn: string;
    answers: string;
    glossary: string;
    glossaryOf: string;
    others: string;
    /** On a map, where the course is. */
    here: string;
  };
}

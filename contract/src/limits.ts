// Words and limits that pages need as they are painted: kept apart from the schemas, which would bring their whole library along.

/** How a student was at a quiz. */
export const ATTENDANCES = ['there', 'absent', 'excused'] as const;

/** What is printed for the day of a quiz. */
export const QUIZ_PAPERS = ['stations', 'answers', 'rounds', 'key', 'words', 'signin'] as const;

/** Photographs of one tree of the grounds. */
export const MOST_TREE_PICTURES = 8;

/** Parts of a tree that an entry of a notebook can be about. */
export const NOTED_ORGANS = ['habit', 'bark', 'twig', 'bud', 'leaf', 'flower', 'fruit'] as const;
/** Of an entry: pictures, lines of its drawing, and points of each line. */
export const MOST_PICTURES = 4;
export const MOST_STROKES = 100;
export const MOST_POINTS = 200;

/** A lesson about a character has another ten specimens to call each time, so many times. */
export const MOST_ROUNDS = 1000;

/** What terms are made of: part of a term, and what it means. Latin and Greek roots as dictionaries of botanical terms give them. */
const ROOTS = `
acuminate | Latin acumen, a point
apex | Latin apex, the tip
appressed | Latin ad, to, and premere, to press
cordate | Latin cor, heart
coriaceous | Latin corium, leather
deciduous | Latin decidere, to fall off
decurrent | Latin decurrere, to run down
deltoid | the Greek letter delta, Δ
dioecious | Greek di, two, and oikos, house
elliptic | Greek elleipsis, an ellipse
entire | Latin integer, untouched
excurrent | Latin excurrere, to run out
glabrous | Latin glaber, bald
globose | Latin globus, a ball
inflorescence | Latin inflorescere, to begin to flower
lanceolate | Latin lanceola, a small lance
lenticel | Latin lenticella, a little lentil
linear | Latin linea, a line
oblanceolate | Latin ob, the other way round, and lanceola, a small lance
obovate | Latin ob, the other way round, and ovum, egg
orbicular | Latin orbis, a circle
ovate | Latin ovum, egg
ovoid | Latin ovum, egg, and Greek -oid, like
palmate | Latin palma, the palm of the hand
persistent | Latin persistere, to stay
petiole | Latin petiolus, a little foot
pinnate | Latin pinna, a feather
samara | Latin samara, the seed of an elm
serotinous | Latin sero, late
simple | Latin simplex, of one fold
stipule | Latin stipula, a straw
strobile | Greek strobilos, a cone
valvate | Latin valva, the leaf of a door
whorled | of a whorl, the weight that turns a spindle
`;

const roots = ROOTS.trim()
  .split('\n')
  .map((line) => line.split('|').map((cell) => cell.trim()) as [string, string]);

/**
 * What the words of a term are made of; empty where nothing is known of them.
 *
 * @example
 * rootsOf('palmately lobed'); // [{ word: 'palmate', from: 'Latin palma, the palm of the hand' }]
 */
export const rootsOf = (term: string): { word: string; from: string }[] =>
  roots.filter(([word]) => term.toLowerCase().includes(word)).map(([word, from]) => ({ word, from }));

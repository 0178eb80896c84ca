import type { ChoiceData, Situation } from './choice.ts';
import { totalEvidence } from './likelihood.ts';

/** From this evidence on a character tells a truth from a rival, nats: the two distributions overlap by three quarters at most. */
export const TELLS = 0.3;
/** How many of the names least unlike the truth are its rivals. */
const RIVALS = 5;

/** Places in `options` of the names least unlike the truth in what was visible. */
export function rivalsOf(situation: Situation): number[] {
  const total = totalEvidence(situation);
  return [...situation.options.keys()]
    .filter((k) => situation.options[k] !== situation.truth)
    .sort((x, y) => total[x]! - total[y]!)
    .slice(0, RIVALS);
}

/** For each character the situations in which it could tell the truth from one of its rivals. */
export function tellingSituations({ characters, situations }: ChoiceData): number[][] {
  const telling: number[][] = characters.map(() => []);
  situations.forEach((situation, s) => {
    const rivals = rivalsOf(situation);
    const width = situation.characters.length;
    situation.characters.forEach((c, i) => {
      if (rivals.some((k) => situation.evidence[k * width + i]! >= TELLS)) telling[c]!.push(s);
    });
  });
  return telling;
}

/** Evidence of one character, by its place in the class's list, between the truth and an option; 0 where it was not visible. */
export function evidenceAgainst(
  { characters, evidence }: Situation,
  character: number,
  option: number,
): number {
  const place = characters.indexOf(character);
  return place < 0 ? 0 : evidence[option * characters.length + place]!;
}

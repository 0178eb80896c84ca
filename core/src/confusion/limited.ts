import type { ChoiceData } from './choice.ts';

/** However much one character tells, and all of them together, it counts as no more than so much, nats. */
const [OF_ONE, OF_ALL] = [2, 6];

/**
 * The same data with bounded evidence: `b = 2(1 − e^{−e})`, `e′ = b·6/(6 + Σb)`. Nobody weighs thirty characters at once, and a single one never
 * settles all; on long lists the uses are found better so (docs/method.md, What names can tell).
 */
export const limitedEvidence = (data: ChoiceData): ChoiceData => ({
  ...data,
  situations: data.situations.map((situation) => {
    const width = situation.characters.length;
    const evidence = situation.evidence.map((e) => OF_ONE * (1 - Math.exp(-e)));
    situation.options.forEach((_, k) => {
      const row = evidence.subarray(k * width, (k + 1) * width);
      const factor = OF_ALL / (OF_ALL + row.reduce((sum, b) => sum + b, 0));
      row.forEach((b, i) => (row[i] = b * factor));
    });
    return { ...situation, evidence };
  }),
});

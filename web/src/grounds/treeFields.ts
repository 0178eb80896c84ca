import { t } from '@lingui/core/macro';
import type { KeptTree } from '@hurrow/contract/grounds';
import type { TreeFacts } from '@hurrow/core/grounds';
import { done, refused, type Outcome } from '@hurrow/core/outcome';

/** What a form changes of a tree. */
export function factsOf({ id: _id, version: _version, ...facts }: KeptTree): TreeFacts {
  return facts;
}

/** Girths as they are written: “60 + 80”, in centimetres. */
export const girthsInWords = (girths: readonly number[]): string =>
  girths.map((girth) => Number((100 * girth).toFixed(1))).join(' + ');

/**
 * Girths in metres, of text in centimetres: one stem, or several with + between them.
 *
 * @example
 * girthsOf('60 + 80,5'); // { ok: true, value: [0.6, 0.805] }
 */
export function girthsOf(text: string): Outcome<number[]> {
  const pieces = text
    .replace(/(\d),(\d)/g, '$1.$2')
    .split(/[+;/]/)
    .map((piece) => piece.replace(/cm/i, '').trim())
    .filter(Boolean);
  const girths = pieces.map((piece) => Number((Number(piece) / 100).toFixed(4)));
  const stray = pieces.find((_, i) => !(girths[i]! >= 0.005 && girths[i]! <= 40));
  return stray === undefined
    ? done(girths)
    : refused(
        t`“${stray}” is no girth. Write centimetres, those of several stems with a + between them: 60 + 80.`,
      );
}

/** Case, accents, hyphens, ×, punctuation and spaces made equal: "Abies  Grandis (Dougl.)" → "abies grandis dougl". */
export function normaliseName(text: string): string {
  return text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[×✕]|\bx\b(?=\s)/g, ' ')
    .replace(/['’‘ʼ`´]/g, '')
    .replace(/[-‐‑–—_/]/g, ' ')
    .replace(/[^a-z ]/g, ' ')
    .replace(/\b(var|ssp|subsp|subspecies|variety)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/**
 * Latin folded so that spellings that sound alike become equal: ae/e/oe, y/i/j, ph/f, th/t, rh/r, ch and ck and c before a, o, u as k,
 * qu/kw, x/ks, doubled letters, and the endings us/um/a/is/e. Works on a normalised word.
 *
 * @example
 * foldLatin('menziesii') === foldLatin('menziesi'); // true
 */
export function foldLatin(word: string): string {
  const folded = word
    .replace(/ae|oe/g, 'e')
    .replace(/[yj]/g, 'i')
    .replace(/ph/g, 'f')
    .replace(/th/g, 't')
    .replace(/rh/g, 'r')
    .replace(/ch|ck|c(?=[aouklr])/g, 'k')
    .replace(/(.)\1+/g, '$1');
  const stem = folded.replace(/(us|um|os|on|is|a|e)$/, '');
  return stem.length >= 3 ? stem : folded;
}

/** Optimal string alignment distance: insertions, deletions, substitutions and swaps of neighbours cost 1 each. */
export function editDistance(a: string, b: string): number {
  let twoBack: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i += 1) {
    const row = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const same = a[i - 1] === b[j - 1];
      let best = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + (same ? 0 : 1));
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, twoBack[j - 2]! + 1);
      row.push(best);
    }
    twoBack = last;
    last = row;
  }
  return last[b.length]!;
}

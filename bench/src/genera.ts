import { contrast } from '@hurrow/core/evidence';
import { readLibrary } from '@hurrow/core/library';
import { commonName } from '@hurrow/core/taxon';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { demoLibrary } from '../../demo/src/library.ts';

const SEASONS = { summer: 205, winter: 15 };
const twig = (day: number): View => ({ ...MEDIUM_VIEWS.cutting, day, qualifiers: { plantAge: 'mature' } });

/** For each genus of the demo with several taxa: every pair, and what settles it on a cutting in summer and in winter. */
export function genera(): string[] {
  const list = readLibrary(demoLibrary()).profiles;
  const lines: string[] = [];
  for (const [i, a] of list.entries())
    for (const b of list.slice(i + 1)) {
      if (a.taxon.genus !== b.taxon.genus) continue;
      const said = Object.entries(SEASONS).map(([season, day]) => {
        const { verdict, error, deciding } = contrast(list, a.taxon.id, b.taxon.id, BUILT_IN, twig(day));
        const terms = deciding.map((id) => BUILT_IN.get(id)!.term).join(' + ') || 'no set of characters';
        return `${season}: ${verdict} (${(100 * error).toFixed(1)} %) by ${terms}`;
      });
      lines.push(`${commonName(a.taxon)} / ${commonName(b.taxon)}\n    ${said.join('\n    ')}`);
    }
  return lines;
}

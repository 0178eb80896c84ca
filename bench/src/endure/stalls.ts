import { setTimeout as wait } from 'node:timers/promises';
import type { Row } from '../row.ts';
import { plantHall } from './visitor.ts';
import { withHurrow } from './withHurrow.ts';

/** How long someone who asks the store for next to nothing waits at most, while others do something long. */
export async function stalls(folder: string, stations: number): Promise<Row[]> {
  return withHurrow(folder, async ({ base, owner }) => {
    const text = async (path: string) => {
      const { body } = await owner.get<string | object>(path);
      return typeof body === 'string' ? body : JSON.stringify(body);
    };
    const bundle = await text('/api/library/export/json');
    const sdd = await text('/api/library/export/sdd');
    const { taxa } = JSON.parse(await text('/api/library')) as { taxa: { taxon: { id: string } }[] };
    const ids = taxa.map(({ taxon }) => taxon.id).join(',');
    const things: [string, () => Promise<unknown>][] = [
      [`a quiz of ${stations} drawn stations is planned and opened`, () => plantHall(base, 5, stations)],
      [
        'the library is imported as a bundle',
        () => owner.post('/api/library/import', { csv: bundle, dryRun: true }),
      ],
      [
        'every score of the library is replaced by an import',
        () => owner.post('/api/library/import', { csv: renoted(bundle), dryRun: false }),
      ],
      ['the library is imported as SDD', () => owner.post('/api/library/import', { csv: sdd, dryRun: true })],
      ['the library is exported as SDD', () => owner.get('/api/library/export/sdd')],
      [`cards of ${taxa.length} trees are printed`, () => owner.get(`/api/prints/cards.pdf?taxa=${ids}`)],
      ['a backup is made', () => owner.post('/api/backups')],
    ];
    const rows: Row[] = [];
    for (const [what, work] of things) {
      let longest = 0;
      let going = true;
      const asking = (async () => {
        while (going) {
          const from = performance.now();
          await fetch(`${base}/readyz`).then((answer) => answer.text());
          longest = Math.max(longest, performance.now() - from);
          await wait(5);
        }
      })();
      await wait(100);
      longest = 0;
      await work();
      going = false;
      await asking;
      rows.push({
        what: `others wait at most while ${what}`,
        value: `${Math.round(longest)} ms`,
        wanted: '< 100 ms',
      });
    }
    return rows;
  });
}

/** A bundle in which every score has another note, so that importing it writes all of them. */
function renoted(bundle: string): string {
  const library = JSON.parse(bundle) as { taxa: { scores: { note?: string }[] }[] };
  for (const { scores } of library.taxa) for (const score of scores) score.note = 'as on the second sheet';
  return JSON.stringify(library);
}

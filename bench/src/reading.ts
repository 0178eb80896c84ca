import { resolveName, type NamedTaxon } from '@hurrow/core/names';
import { randomFrom } from '@hurrow/core/random';
import { commonName, scientificName } from '@hurrow/core/taxon';
import {
  agreementOf,
  manyTaxa,
  namesOffList,
  readingLists,
  writtenByHand,
} from '../../demo/src/reading/agreement.ts';
import { measuresAgree, monthsAgree, writtenMeasures } from '../../demo/src/reading/measuring.ts';
import { MONTHS_BY_HAND } from '../../demo/src/reading/monthsByHand.ts';
import { nameTable, slipped } from '../../demo/src/reading/nameTable.ts';
import { median, milliseconds, type Row } from './row.ts';

const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;

/** How what people write is read: names against lists, measures and months against what they mean. */
export function reading(): Row[] {
  const { demo, second } = readingLists();
  const many = manyTaxa(300);
  const tables: [string, ReturnType<typeof agreementOf>][] = [
    ['demo, by class', agreementOf(nameTable(demo, 21), demo)],
    ['second flora, by class', agreementOf(nameTable(second, 22), second)],
    ['demo, by hand', agreementOf(writtenByHand(), demo)],
  ];
  const rows: Row[] = tables.map(([what, { n, agree, wrongTaxa, accepted }]) => ({
    what: `names, ${what}: ${n} answers read as meant; as another tree ${wrongTaxa.length}, accepted though none ${accepted.length}`,
    value: percent(agree / n),
    wanted: '>= 98 %, 0, 0',
  }));
  rows.push(slips('demo', demo), slips('second flora', second));
  for (const [what, list] of [
    ['second flora', second],
    ['300 taxa', many],
  ] as const) {
    const off = namesOffList(list, 2000);
    const taken = off.filter((name) => resolveName(name, list).taxonId !== undefined).length;
    rows.push({
      what: `names, ${what}: of ${off.length} off the list accepted`,
      value: String(taken),
      wanted: '0',
    });
  }
  const called = withCommonNames(many);
  rows.push({
    what: 'names, one answer against 300 taxa with common names',
    value: milliseconds(timeOfOne(called)),
    wanted: '< 1 ms',
  });
  const measures = writtenMeasures(23);
  const { agree, silent } = measuresAgree(measures);
  rows.push({
    what: `measures and counts: ${measures.length} entries read as meant; as something else in silence ${silent.length}`,
    value: percent(agree / measures.length),
    wanted: '>= 97 %, 0',
  });
  rows.push({
    what: `months and seasons: ${MONTHS_BY_HAND.length} entries read as meant`,
    value: percent(monthsAgree(MONTHS_BY_HAND).agree / MONTHS_BY_HAND.length),
    wanted: '>= 97 %',
  });
  return rows;
}

/** One slip of the keys in a right name: how often the tree is still found, and whether another is. */
function slips(what: string, list: readonly NamedTaxon[]): Row {
  const random = randomFrom(31);
  const read = Array.from({ length: 2000 }, () => {
    const taxon = random.pick(list);
    const name = random.uniform() < 0.5 ? scientificName(taxon) : commonName(taxon);
    const { taxonId, how, other } = resolveName(slipped(name, random), list);
    if (taxonId !== undefined) return taxonId === taxon.id ? 'right' : 'other';
    // “Berch” is as near to a birch as to a beech: no reader can know.
    return how === 'ambiguous' || other !== undefined ? 'as near to another' : 'lost';
  });
  const of = (kind: string) => read.filter((each) => each === kind).length;
  const near = of('as near to another');
  return {
    what: `names, ${what}: one slip, still found (as another tree ${of('other')}; ${near} of ${read.length} as near to another plant left out)`,
    value: percent(of('right') / (read.length - near)),
    wanted: '>= 99 %, 0',
  };
}

/** Four common names a taxon, made of words of names, so that the index is as large as that of a real list. */
function withCommonNames(list: readonly NamedTaxon[]): NamedTaxon[] {
  const random = randomFrom(41);
  const words = [
    'golden',
    'river',
    'mountain',
    'broadleaf',
    'twisted',
    'northern',
    'hairy',
    'shining',
    'dwarf',
    'ridge',
    'bitter',
    'swamp',
  ];
  return list.map((taxon, i) => ({
    ...taxon,
    commonNames: Array.from(
      { length: 4 },
      (_, k) => `${random.pick(words)} ${taxon.epithet} ${['tree', 'wood', 'bush', 'bark'][(i + k) % 4]}`,
    ),
  }));
}

/** Median over batches of answers that were not met before: half of them right, half with a slip. */
function timeOfOne(list: readonly NamedTaxon[]): number {
  const random = randomFrom(51);
  const batch = () =>
    Array.from({ length: 200 }, () => {
      const taxon = random.pick(list);
      const name = random.uniform() < 0.5 ? scientificName(taxon) : commonName(taxon);
      return random.uniform() < 0.5 ? name : slipped(name, random);
    });
  const times = Array.from({ length: 7 }, () => {
    const texts = batch();
    const start = performance.now();
    for (const text of texts) resolveName(text, list);
    return (performance.now() - start) / texts.length;
  });
  return median(times.slice(1));
}

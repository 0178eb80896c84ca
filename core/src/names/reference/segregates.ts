/**
 * Genera that some books keep apart and others do not, a group a line: within it an epithet means the same plant, but for its ending.
 */
const GROUPS = [
  'Juniperus Sabina Arceuthos',
  'Prunus Padus Cerasus Laurocerasus Amygdalus Persica Armeniaca',
  'Cornus Swida Svida Thelycrania Benthamidia Cynoxylon Chamaepericlymenum',
  'Rhamnus Frangula',
  'Sorbus Aria Torminaria Hedlundia Pyrus',
  'Alnus Duschekia Alnaster',
  'Berberis Mahonia Odostemon',
  'Cupressus Hesperocyparis Callitropsis Xanthocyparis Chamaecyparis',
  'Acer Negundo',
  'Crataegus Mespilus',
  'Pinus Strobus',
  'Populus Tacamahaca',
  'Ulmus Microptelea',
  'Cotinus Rhus',
  'Salix Chosenia Toisusu',
  'Lithocarpus Notholithocarpus',
  'Myrica Morella Gale',
];

/** By each genus as a plain word, the others that its plants also go under. */
export const SEGREGATES: ReadonlyMap<string, readonly string[]> = gather();

function gather(): Map<string, string[]> {
  const found = new Map<string, string[]>();
  for (const group of GROUPS.map((line) => line.toLowerCase().split(' ')))
    for (const genus of group)
      found.set(genus, [...(found.get(genus) ?? []), ...group.filter((other) => other !== genus)]);
  return found;
}

import { normaliseName } from './fold.ts';
import { otherPlants } from './otherPlants.ts';
import { WordBank } from './slip.ts';

/** A word of a written name: its letters, and whether it stood with a full stop or a capital. */
export interface Word {
  word: string;
  short: boolean;
  capital: boolean;
  /** It stood behind “var.” or another rank below the species. */
  lower: boolean;
}

/** A name that stands in what was written. `choice`: parted from the one before it by “or”, so that it cannot be a mere remark. */
export interface WrittenName {
  words: Word[];
  choice: boolean;
  /** The Latin or common name of the family, normalised, where one stands in it. */
  family?: string;
}

export interface Written {
  names: WrittenName[];
  /** “not a fir”: whatever stands there is denied. */
  denied: boolean;
}

const NO_ANSWER =
  /^(?:(?:i )?(?:do not|dont|don t) know|(?:i )?(?:have )?no (?:idea|clue|answer)|idk|dunno|unsure|not sure|unknown|none|blank|pass|skip(?:ped)?|n a|na|no answer|nothing|i forgot|forgot|forget|cant remember|can t remember)$/;
const DENIAL = /\b(?:not|isn['’]?t|aren['’]?t|wasn['’]?t|neither|never|anything but|other than|except)\b/i;

/** “Not sure, but …” denies nothing. */
const UNSURE =
  /\b(?:i['’]?m |i am )?not (?:quite |really |very |too |entirely |completely |100 ?% )?(?:sure|certain|positive)\b(?: (?:about|of) (?:this|that|it)(?: one)?)?[,;:.]?(?: but)?/gi;

/** What people put in front of a name, and behind it. */
const AROUND = new RegExp(
  [
    String.raw`\b(?:i|we)(?: am|['’]?m| would|['’]?d)?(?: really| still| just)?(?: fairly| pretty| quite| almost)? (?:think|believe|guess|suppose|say|reckon|bet|go with|going with|sure|certain)(?: that)?\b`,
    String.raw`\b(?:my|the|our)(?: best| first| final)? (?:guess|answer|choice|vote|bet)(?: (?:is|would be|for this(?: one)?(?: is)?))?\b`,
    String.raw`\b(?:this|that|it|here|here['’]?s)(?: one| tree| twig| leaf| plant| specimen)?(?:['’]?s| is| was| has to be| must be| might be| may be| could be| should be| would be| can be| looks?(?: a lot)?(?: like)?| seems?(?: to be)?(?: like)?| appears to be| resembles)\b`,
    String.raw`\b(?:the|this|that) (?:tree|twig|leaf|plant|specimen|species|one|name)(?: here)?(?: is| must be| looks like)?\b`,
    String.raw`\b(?:probably|possibly|perhaps|maybe|definitely|certainly|surely|likely|most likely|clearly|obviously|apparently|for sure|i hope|to me|to my eye|imo|either)\b`,
    String.raw`\b(?:could|might|may|can|would|should) (?:this|that|it) be\b`,
    String.raw`\b(?:pretty|quite|fairly|almost) (?:sure|certain)\b`,
    String.raw`\b(?:it is|it['’]?s|its|is it|is this|it was|must be|might be|may be|could be|should be|looks like|seems like|has to be|got to be)\b`,
    String.raw`\b(?:some|a|one) (?:kind|sort|type|species) of(?: an?)?\b`,
    String.raw`\b(?:called|named)(?: an?| the)?\b`,
    String.raw`\b(?:guess|answer|ans|common name|scientific name|latin name|latin|botanical name|genus|species|epithet|name|tree|family|common)\s*[:=]`,
  ].join('|'),
  'gi',
);
/** A capital A before a single word may be the initial of a genus. */
const ARTICLE = /(^|[\s,;(/])(?:an?|[Tt]he|An|A(?=\s+\S+\s+\S))\s+(?=\S)/g;
/** Where a reason begins, the name has ended. */
const REASON =
  /[,;(\s]+\b(?:because|since|cause|cuz|coz|due to|based on|judging (?:by|from)|going by|by (?:the|its)|from (?:the|its)|with (?:the|its|those|these|that|an?)|as (?:it|the|its)|(?:it|which|that) (?:has|had|have|smells?|feels?)|has (?:the|an?)|having|on account of|given)\b.*$/i;
const CULTIVAR = /(?<=\S)\s+(?:cv\.?\s+\S+|['‘’"“”][A-Z][^'‘’"“”]*['’"”])/g;
/** An & between two names, and not between two authors. */
const AND = /\s+&\s+(?=[a-z]|[A-Z][a-z]{2,}\s[a-z]{3,})/g;
/** A cross of two trees is neither of them; the sign of a hybrid’s own name stands behind its genus. */
const CROSS = /(\b[A-Za-z]+\s+[a-z-]{3,})\s+[x×✕]\s+(?=\S)/g;
const CHOICE = /\s+(?:or else|or|vs\.?|versus|but|and|nor)\s+|\s*[/|]\s*/i;
const REMARK =
  /\s*[;,()[\]=:]\s*|\s+[-‐‑–—→]+\s+|\s+(?:aka|a\.k\.a\.|also called|also known as|alias|that is|i\.e\.)\s+|\n+/i;

/** Family names that do not end in -aceae, with what they are called now. */
const OLD_FAMILIES: Record<string, string> = {
  leguminosae: 'fabaceae',
  compositae: 'asteraceae',
  labiatae: 'lamiaceae',
  palmae: 'arecaceae',
};

/** What families are called in English, by the group that names them; one family may go by several. */
export const FAMILY_WORDS: Record<string, readonly string[]> = {
  pinaceae: ['pine'],
  cupressaceae: ['cypress', 'redwood', 'juniper'],
  taxaceae: ['yew'],
  salicaceae: ['willow'],
  betulaceae: ['birch', 'alder', 'hazel'],
  fagaceae: ['beech', 'oak'],
  rosaceae: ['rose'],
  sapindaceae: ['soapberry', 'maple', 'horse chestnut'],
  aceraceae: ['maple'],
  malvaceae: ['mallow'],
  tiliaceae: ['linden', 'lime', 'basswood'],
  oleaceae: ['olive'],
  ulmaceae: ['elm'],
  cannabaceae: ['hemp', 'hop'],
  cornaceae: ['dogwood'],
  anacardiaceae: ['cashew', 'sumac'],
  rhamnaceae: ['buckthorn'],
  adoxaceae: ['moschatel', 'elder', 'viburnum'],
  viburnaceae: ['viburnum', 'elder', 'moschatel'],
  caprifoliaceae: ['honeysuckle'],
  juglandaceae: ['walnut'],
  fabaceae: ['pea', 'bean', 'legume'],
  ericaceae: ['heath', 'heather'],
  magnoliaceae: ['magnolia'],
  platanaceae: ['plane', 'plane tree', 'sycamore'],
  altingiaceae: ['sweetgum'],
  hamamelidaceae: ['witch hazel'],
  moraceae: ['mulberry', 'fig'],
  aquifoliaceae: ['holly'],
  elaeagnaceae: ['oleaster', 'silverberry'],
  bignoniaceae: ['trumpet creeper', 'catalpa'],
  simaroubaceae: ['quassia', 'tree of heaven'],
  grossulariaceae: ['gooseberry', 'currant'],
  hydrangeaceae: ['hydrangea'],
  buxaceae: ['box', 'boxwood'],
  celastraceae: ['bittersweet', 'staff tree'],
  ginkgoaceae: ['ginkgo'],
  lauraceae: ['laurel'],
  ebenaceae: ['ebony'],
  araucariaceae: ['monkey puzzle', 'araucaria'],
  nyssaceae: ['tupelo'],
  meliaceae: ['mahogany'],
  rutaceae: ['rue', 'citrus'],
  berberidaceae: ['barberry'],
  vitaceae: ['grape'],
  lythraceae: ['loosestrife'],
  myrtaceae: ['myrtle'],
  paulowniaceae: ['paulownia'],
  staphyleaceae: ['bladdernut'],
  theaceae: ['tea'],
};

/** Families that are only ever written in Latin. */
const MORE_FAMILIES =
  'Actinidiaceae Annonaceae Apocynaceae Araliaceae Asparagaceae Asteraceae Calycanthaceae Cercidiphyllaceae Cistaceae Clethraceae Coriariaceae Cyrillaceae Daphniphyllaceae Ephedraceae Eucommiaceae Euphorbiaceae Garryaceae Hypericaceae Lamiaceae Menispermaceae Myricaceae Oleaceae Passifloraceae Pittosporaceae Podocarpaceae Polygonaceae Punicaceae Ranunculaceae Sciadopityaceae Scrophulariaceae Smilacaceae Solanaceae Styracaceae Symplocaceae Tamaricaceae Taxodiaceae Thymelaeaceae Hippocastanaceae Verbenaceae Winteraceae Zygophyllaceae';
const FAMILIES = new WordBank(
  [...Object.keys(FAMILY_WORDS), ...MORE_FAMILIES.split(' ').map((name) => name.toLowerCase())],
  'latin',
);

/**
 * Takes what was written apart into the names that stand in it: sentences, labels, reasons, numbers and articles around them are left out,
 * cultivars dropped, families set aside.
 *
 * @example
 * writtenNames("I think it's grand fir / Abies grandis, Pinaceae").names.map((name) => name.words.map(({ word }) => word).join(' '));
 * // ['grand fir', 'abies grandis'] — and the second has the family 'pinaceae'
 */
export function writtenNames(text: string): Written {
  const tidy = text
    .normalize('NFKC')
    .replace(/[‘’ʼ`´]/g, "'")
    .trim();
  if (NO_ANSWER.test(normaliseName(tidy))) return { names: [], denied: false };
  const sure = tidy.replace(UNSURE, ' ').trim();
  const denied = DENIAL.test(sure);
  const bare = sure
    .replace(CULTIVAR, ' ')
    .replace(/^["'“”]+|["'“”]+$/g, '')
    .replace(AND, ' and ')
    .replace(CROSS, '$1 or ')
    .replace(/^\(?\s*(?:no\.?\s*|#\s*|station\s*)?\d{1,3}\s*[.):\-–]?\s+/i, '')
    .replace(REASON, '')
    .replace(AROUND, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(ARTICLE, '$1')
    .trim();
  const names: WrittenName[] = [];
  for (const [i, choice] of bare.split(CHOICE).entries())
    for (const [k, part] of (choice ?? '').split(REMARK).entries()) {
      const name = { ...readPart(part ?? ''), choice: i > 0 && k === 0 };
      const last = names.at(-1);
      if (name.words.length > 0) names.push(name);
      else if (name.family && last) last.family ??= name.family;
      else if (name.family) names.push(name);
    }
  // A family that was written first belongs to the name behind it.
  if (names.length > 1 && names[0]!.words.length === 0) {
    const [first, second] = names;
    if (!second!.family) second!.family = first!.family!;
    names.shift();
  }
  return { names, denied };
}

function readPart(part: string): { words: Word[]; family?: string } {
  const english = /^(.*?)\b((?:[a-z]+[ -])?[a-z]+) family\b(.*)$/i.exec(part);
  if (english) {
    const said = normaliseName(english[2]!).split(' ');
    for (const n of [2, 1]) {
      const name = said.slice(-n).join(' ');
      if (said.length < n || !Object.values(FAMILY_WORDS).some((words) => words.includes(name))) continue;
      return {
        words: wordsOf(`${english[1]} ${said.slice(0, -n).join(' ')} ${english[3]}`),
        family: `${name} family`,
      };
    }
  }
  const words = wordsOf(part);
  const at = words.findIndex(({ word }) => familyNear(word) !== undefined);
  if (at < 0) return { words };
  return { words: words.filter((_, i) => i !== at), family: words[at]!.word };
}

/**
 * The family, as a plain word and by its present name, that a word is or nearly is; nothing for a word that only ends alike.
 *
 * @example
 * familyNear('pinacea'); // 'pinaceae'
 */
export function familyNear(word: string): string | undefined {
  if (OLD_FAMILIES[word]) return OLD_FAMILIES[word];
  if (word.length < 7 || !/(?:ac|ec|ic|as)[aei]{1,4}$/.test(word)) return undefined;
  if (otherPlants().isEpithet(word)) return undefined;
  const [near] = FAMILIES.near(word);
  return near && near.off <= 2 ? near.word : undefined;
}

function wordsOf(part: string): Word[] {
  const pieces = part.replace(/[-‐‑–—_×✕]/g, ' ').split(/\s+|(?<=\.)(?=[A-Za-z])/);
  const isRank = (i: number) =>
    i > 1 &&
    /^(?:var|ssp|subsp|f|fo|forma|nothosubsp|nothovar|convar|subspecies|variety)\.?$/.test(pieces[i] ?? '') &&
    /^[a-z]{3}/.test(pieces[i + 1] ?? '');
  return pieces
    .map((piece, i) => ({
      word: normaliseName(piece.replace(/(?<=[a-z])'s?$/i, (end) => (end === "'" ? 's' : ''))),
      short: /[a-z]\.$/i.test(piece),
      capital: /^[A-Z]/.test(piece),
      lower: isRank(i - 1),
    }))
    .filter(({ word }, i) => word !== '' && word !== 'x' && !isRank(i));
}

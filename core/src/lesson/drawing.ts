import { isDeciduous, type ProfiledTaxon } from '../evidence/index.ts';
import {
  arcLength,
  hopkinsDelay,
  inArc,
  leafShare,
  shiftCalendar,
  wrapDay,
  type Arc,
  type Calendar,
  type CalendarPart,
  type Place,
} from '../season/index.ts';
import { characterName, type Audience } from '../score/index.ts';
import { contrastPlate, drawPlate, joined, sampleSpecimen, type Drawing } from '../specimen/index.ts';
import { MEDIUM_VIEWS, type View } from '../view/index.ts';
import type { ShownOrgan, Vocabulary } from '../vocabulary/index.ts';
import { goingOn, sayingIn } from './tells.ts';
import { viewOfCharacter } from './character.ts';
import { bothWords } from './glossary.ts';
import type { LessonPoint } from './points.ts';

export interface DrawingSetting {
  vocabulary: Vocabulary;
  units: 'metric' | 'imperial';
  reference: Place;
  site: Place;
  /** Day of the year of the lesson. */
  day: number;
  width: number;
  height: number;
  /** Line drawings without color. */
  plain?: boolean;
  /** Whether small parts are shown enlarged; they are, unless told otherwise. */
  insets?: boolean;
  /** How many of these pixels are one of the screen, 3 where it is shown at a third of its size; 1 if not given. */
  reduced?: number;
}

/** In full leaf, and bare. */
const [SUMMER, WINTER] = [196, 20];
/** Individuals are typical ones; the seed is that of profiles. */
const SEED = 11;
/** Pixels: above a drawing that has a label, from the label to the edges, above the scale bar, and of a letter. */
const HEADROOM = 34;
const [LABEL_LEFT, LABEL_TOP, LETTER] = [14, 22, 7.4];

const NEEDS: Partial<Record<ShownOrgan, CalendarPart>> = {
  leaf: 'leaves',
  flower: 'flowers',
  fruit: 'fruitRipe',
};

/**
 * A day on which these organs are on the tree: the lesson's own where they are, else the middle of the time when the first of them is.
 *
 * @example
 * dayToDraw(['flower'], { flowers: [{ from: 120, to: 140 }] }, true, 250); // 130
 */
export function dayToDraw(
  organs: readonly ShownOrgan[],
  calendar: Calendar,
  deciduous: boolean,
  day: number,
): number {
  // A twig is looked at bare: in leaf the buds are hidden.
  if (organs[0] === 'twig' && !organs.includes('leaf')) return deciduous ? WINTER : day;
  if (organs[0] === 'leaf') return leafShare(calendar, deciduous, day) > 0.5 ? day : SUMMER;
  const part = organs[0] && NEEDS[organs[0]];
  const arcs = part && calendar[part];
  if (!arcs?.[0] || arcs.some((arc) => inArc(arc, day))) return day;
  return middleOf(arcs[0]);
}

const middleOf = (arc: Arc): number => wrapDay(arc.from + Math.floor(arcLength(arc) / 2));

const viewOn = (organs: readonly ShownOrgan[], day: number): View => ({
  ...MEDIUM_VIEWS.livingTree,
  organs: [...organs],
  day,
  qualifiers: { plantAge: 'mature' },
});

const atSite = (profiled: ProfiledTaxon, { reference, site }: DrawingSetting): ProfiledTaxon => ({
  ...profiled,
  taxon: {
    ...profiled.taxon,
    calendar: shiftCalendar(profiled.taxon.calendar, hopkinsDelay(reference, site)),
  },
});

/**
 * One tree drawn for a point of a lesson; the character named first is pointed at where the drawing shows it.
 * @param label what the pointer says; without it nothing is pointed at
 * @returns undefined where nothing of it can be drawn
 */
export function drawingOfTree(
  profiled: ProfiledTaxon,
  organs: readonly ShownOrgan[],
  setting: DrawingSetting,
  label?: { characterId: string; text: string },
): Drawing | undefined {
  const here = atSite(profiled, setting);
  const day = dayToDraw(organs, here.taxon.calendar, isDeciduous(here), setting.day);
  const view = viewOn(organs, day);
  const { vocabulary, width, height, units, plain, reduced = 1, insets = true } = setting;
  const traits = sampleSpecimen(here, vocabulary, view, SEED, { typical: true });
  const drawing = drawPlate(traits, view.organs, {
    width,
    height,
    units,
    insets,
    reduced,
    ...(plain ? { plain } : {}),
    ...(label ? { headroom: HEADROOM } : {}),
  });
  const to = label && drawing?.anchors[label.characterId];
  if (!drawing || !to) return drawing;
  return {
    ...drawing,
    labels: [...drawing.labels, { ...over(to, label.text, setting), text: label.text, to, bold: true }],
  };
}

/** Where a label stands: over the drawing, where room is kept for it. */
function over([x]: readonly [number, number], text: string, { width }: DrawingSetting) {
  const wide = text.length * LETTER;
  return { x: Math.max(LABEL_LEFT, Math.min(width - wide - LABEL_LEFT, x - wide / 2)), y: LABEL_TOP };
}

/**
 * Two trees side by side, drawn alike but for the characters that decide.
 * @returns undefined where neither can be drawn
 */
export function drawingOfContrast(
  point: Pick<LessonPoint, 'characters' | 'shows'>,
  pair: readonly ProfiledTaxon[],
  setting: DrawingSetting,
  label?: (index: number, characterId: string) => string | undefined,
): Drawing | undefined {
  const here = pair.map((profiled) => atSite(profiled, setting));
  const days = here.map((each) =>
    dayToDraw(point.shows, each.taxon.calendar, isDeciduous(each), setting.day),
  );
  const { vocabulary, width, height, units, plain } = setting;
  const plate = contrastPlate(here, vocabulary, viewOn(point.shows, days[0] ?? setting.day), {
    width,
    height,
    units,
    ...(plain ? { plain } : {}),
    deciding: point.characters,
    ...(label ? { label } : {}),
  });
  return plate.drawn.includes(true) ? plate.drawing : undefined;
}

/** Under how old a tree is, in the view that a specimen is drawn for. */
const AGES = ['young', 'mature'] as const;

/**
 * One tree young and mature, side by side, each at the size that the frame allows.
 * @returns undefined where either cannot be drawn
 */
export function drawingOfAges(
  profiled: ProfiledTaxon,
  organs: readonly ShownOrgan[],
  setting: DrawingSetting,
): Drawing | undefined {
  const here = atSite(profiled, setting);
  const day = dayToDraw(organs, here.taxon.calendar, isDeciduous(here), setting.day);
  const { vocabulary, height, units, plain } = setting;
  const width = setting.width / AGES.length;
  const { qualifiers: said } = sayingIn(vocabulary);
  const drawings = AGES.flatMap((plantAge, i) => {
    const view = { ...viewOn(organs, day), qualifiers: { plantAge } };
    const traits = sampleSpecimen(here, vocabulary, view, SEED, { typical: true });
    const at = [width * i, 0] as const;
    const options = {
      width,
      height,
      units,
      at: [...at] as [number, number],
      headroom: HEADROOM,
      insets: false,
    };
    const drawing = drawPlate(traits, view.organs, { ...options, ...(plain ? { plain } : {}) });
    const label = {
      x: width * (i + 0.5),
      y: LABEL_TOP,
      text: said[plantAge] ?? plantAge,
      bold: true,
      middle: true,
    };
    return drawing ? [{ ...drawing, labels: [...drawing.labels, label] }] : [];
  });
  return drawings.length === AGES.length ? joined(drawings, setting) : undefined;
}

/**
 * The drawing of a point of a lesson: two trees side by side in a contrast, the states of a character on a tree each, a specimen to call,
 * one tree young and mature where its line says both, else one with its first character pointed at.
 *
 * @param of the trees of the point, in its order
 * @param asked the line is held back, and nothing is pointed at
 * @returns undefined where words alone stand
 */
export function drawingOfStop(
  stop: Pick<LessonPoint, 'kind' | 'characters' | 'shows' | 'ages' | 'states' | 'seed'>,
  of: readonly ProfiledTaxon[],
  setting: DrawingSetting,
  audience: Audience,
  asked = false,
): Drawing | undefined {
  const [first] = of;
  if (!first || stop.shows.length === 0) return undefined;
  const nameOf = (id: string) => {
    const character = setting.vocabulary.get(id);
    return character ? characterName(character, audience) : id;
  };
  if (stop.kind === 'states') return drawingOfStates(stop, of, setting, audience, asked);
  if (stop.kind === 'call') return drawingToCall(stop, first, setting);
  if (stop.kind === 'contrast')
    return drawingOfContrast(stop, of, setting, asked ? undefined : (_index, id) => nameOf(id));
  if (stop.ages && !asked) {
    const both = drawingOfAges(first, stop.shows, setting);
    if (both) return both;
  }
  const [characterId] = stop.characters;
  const label =
    characterId && !asked
      ? { characterId, text: goingOn(nameOf(characterId), sayingIn(setting.vocabulary)) }
      : undefined;
  return drawingOfTree(first, stop.shows, setting, label);
}

/** So many states stand in one row. */
const IN_ROW = 3;

/** Rows that the states of a character take. */
export const rowsOfStates = (states: number): number => Math.ceil(states / IN_ROW);

/** The states of a character in their order, on trees alike but for it, each named over its tree. */
function drawingOfStates(
  { characters, states = [] }: Pick<LessonPoint, 'characters' | 'states'>,
  of: readonly ProfiledTaxon[],
  setting: DrawingSetting,
  audience: Audience,
  asked: boolean,
): Drawing | undefined {
  const { vocabulary, width, units, plain } = setting;
  const character = vocabulary.get(characters[0] ?? '');
  if (!character) return undefined;
  const view = viewOfCharacter(character);
  const height = setting.height / rowsOfStates(of.length);
  const wordOf = (id: string) => {
    const state = character.states.find((each) => each.id === id);
    return state ? bothWords(state, audience).word : id;
  };
  const rows = Array.from({ length: rowsOfStates(of.length) }, (_, i) => {
    const from = i * IN_ROW;
    const trees = of.slice(from, from + IN_ROW);
    const plate = contrastPlate(trees, vocabulary, view, {
      // A row that is not full keeps the columns of those above it.
      width: (width * trees.length) / Math.min(IN_ROW, of.length),
      height,
      at: [0, i * height],
      units,
      ...(plain ? { plain } : {}),
      deciding: [character.id],
      ...(asked ? {} : { label: (at: number) => wordOf(states[from + at] ?? '') }),
    });
    return plate.drawn.includes(true) ? [plate.drawing] : [];
  }).flat();
  return rows.length > 0 ? joined(rows, setting) : undefined;
}

/** The individual that is called: as it lies, with nothing pointed at. */
function drawingToCall(
  { characters, seed = SEED }: Pick<LessonPoint, 'characters' | 'seed'>,
  profiled: ProfiledTaxon,
  { vocabulary, width, height, units, plain }: DrawingSetting,
): Drawing | undefined {
  const character = vocabulary.get(characters[0] ?? '');
  if (!character) return undefined;
  const view = viewOfCharacter(character);
  const traits = sampleSpecimen(profiled, vocabulary, view, seed);
  return drawPlate(traits, view.organs, { width, height, units, ...(plain ? { plain } : {}) });
}

import { scoresInView, type ProfiledTaxon, type ReadingOptions } from '../../evidence/index.ts';
import { admits, YES_SHARE, type ScoreValue } from '../../score/index.ts';
import type { View } from '../../view/index.ts';
import type { Character, Vocabulary } from '../../vocabulary/index.ts';
import { drawParts } from '../draw.ts';
import { fittingScale, type Drawing, type DrawnLabel } from '../layout.ts';
import { sampleSpecimen, type Trait, type Traits } from '../traits.ts';
import { drawPlate, joined, type PlateOptions } from './plate.ts';

export interface ContrastPlateOptions extends ReadingOptions, PlateOptions {
  /** Characters that decide, strongest first: only in these, and where they must, do the specimens differ. */
  deciding: readonly string[];
  /** What the label says of a taxon's character; without it nothing is pointed at, and the student must find it. */
  label?: (index: number, characterId: string) => string | undefined;
  seed?: number;
}

/**
 * Individuals of two to four taxa that are alike in all but the deciding characters: the same shared state or number wherever all
 * of them can have it, their own typical one otherwise. None carries a state that its taxon lacks.
 */
export function alikeBut(
  taxa: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  deciding: readonly string[],
  options: ReadingOptions & { seed?: number } = {},
): Traits[] {
  const own = taxa.map((profiled) =>
    sampleSpecimen(profiled, vocabulary, view, options.seed ?? 11, { ...options, typical: true }),
  );
  const values = own.map((traits) => ({ ...traits.values }));
  for (const character of vocabulary.values()) {
    const { id } = character;
    if (deciding.includes(id) || own.some((traits) => traits.values[id] === undefined)) continue;
    const scored = taxa.map(
      ({ scores }) =>
        scoresInView(
          scores.filter((score) => score.characterId === id),
          view,
        )[0]?.value,
    );
    if (scored.some((value) => value === undefined)) continue;
    const shared = sharedTrait(
      scored.map((value) => value!),
      own.map((traits) => traits.values[id]!),
      character,
    );
    if (shared !== undefined) for (const each of values) each[id] = shared;
  }
  return own.map((traits, i) => ({ ...traits, values: values[i]! }));
}

/** A state or number that every one of the scores allows, the first one's own if it can be. */
function sharedTrait(
  scores: readonly ScoreValue[],
  own: readonly Trait[],
  character: Character,
): Trait | undefined {
  if (scores.every((value) => value.kind === 'flag')) {
    const can = (yes: boolean) =>
      scores.every(
        (value) =>
          value.kind === 'flag' &&
          (yes ? YES_SHARE[value.frequency] > 0.2 : YES_SHARE[value.frequency] < 0.8),
      );
    return [own[0] === true, own[0] !== true].find(can);
  }
  if (scores.every((value) => value.kind === 'range')) {
    const low = Math.max(
      ...scores.map((value) => (value.kind === 'range' ? (value.low ?? value.min ?? value.typical ?? 0) : 0)),
    );
    const high = Math.min(
      ...scores.map((value) =>
        value.kind === 'range' ? (value.high ?? value.max ?? value.typical ?? Infinity) : 0,
      ),
    );
    if (low > high || !Number.isFinite(high)) return undefined;
    const mine = own[0] as number;
    if (character.kind === 'count') return mine >= low && mine <= high ? mine : Math.round(low);
    return Math.min(high, Math.max(low, mine));
  }
  if (character.anyOf) {
    const common = (own[0] as string[]).filter((state) => scores.every((value) => admits(value, state)));
    return common.length ? common : undefined;
  }
  const candidates = [own[0] as string, ...own.map((trait) => trait as string)];
  return candidates.find((state) =>
    scores.every(
      (value) =>
        value.kind === 'states' &&
        (value.states.find((entry) => entry.state === state)?.frequency ?? 'rarely') !== 'rarely',
    ),
  );
}

/**
 * Two to four taxa side by side on one sheet, at one scale where that is possible, alike but for what decides, which is pointed at
 * with short labels over each. The names are the page's matter.
 */
export function contrastPlate(
  taxa: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: ContrastPlateOptions,
): { drawing: Drawing; traits: Traits[]; drawn: boolean[] } {
  const traits = alikeBut(taxa, vocabulary, view, options.deciding, options);
  const pointed = options.label ? options.deciding.slice(0, 3) : [];
  const columns = taxa.length === 4 ? 2 : taxa.length;
  const rows = Math.ceil(taxa.length / columns);
  const frame = { width: options.width / columns, height: options.height / rows };
  const headroom = pointed.length ? 10 + 19 * pointed.length : 0;
  const shared = commonScale(traits, view, { ...options, ...frame, headroom });
  const [left, top] = options.at ?? [0, 0];
  const drawings = traits.map((each, i) => {
    const x = left + (i % columns) * frame.width;
    const y = top + Math.floor(i / columns) * frame.height;
    const drawing = drawPlate(each, view.organs, {
      ...options,
      ...frame,
      headroom,
      at: [x, y],
      ...(shared ? { millimetresPerPixel: shared } : {}),
    });
    if (!drawing) return undefined;
    return { ...drawing, labels: labelsFor(drawing, i, pointed, options, { x, y, ...frame }) };
  });
  return {
    drawing: joined(
      drawings.filter((drawing): drawing is Drawing => drawing !== undefined),
      options,
    ),
    traits,
    drawn: drawings.map((drawing) => drawing !== undefined),
  };
}

/** One scale for all, unless the smallest would shrink to nothing. */
function commonScale(traits: readonly Traits[], view: View, options: PlateOptions): number | undefined {
  const parts = traits.map((each) => drawParts(each, view.organs));
  if (parts.some((each) => each.length !== 1 || each[0]!.scene.field)) return undefined;
  const scales = parts.map((each) => fittingScale(each[0]!.scene, options));
  return Math.max(...scales) / Math.min(...scales) < 4.5 ? Math.max(...scales) : undefined;
}

function labelsFor(
  drawing: Drawing,
  index: number,
  pointed: readonly string[],
  options: ContrastPlateOptions,
  box: { x: number; y: number; width: number },
): DrawnLabel[] {
  let row = 0;
  return pointed.flatMap((id): DrawnLabel[] => {
    const text = options.label?.(index, id);
    if (!text) return [];
    const inset = drawing.insets.find((each) => each.shows === id);
    const to = drawing.anchors[id] ?? (inset ? ([inset.cx, inset.cy] as const) : undefined);
    const half = text.length * 3.3;
    const x = Math.max(
      box.x + half + 8,
      Math.min(box.x + box.width - half - 8, to?.[0] ?? box.x + box.width / 2),
    );
    const label: DrawnLabel = {
      x,
      y: box.y + 16 + row * 19,
      text,
      bold: true,
      middle: true,
      ...(to ? { to } : {}),
    };
    row += 1;
    return [label];
  });
}

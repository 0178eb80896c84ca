import { t } from '@lingui/core/macro';
import { angleAt, lengthOf, scaleOf, type Annotation, type Pixel } from '@hurrow/core/measurement';
import type { Character } from '@hurrow/core/vocabulary';
import { decimal } from '../language/inWords.ts';

/** What is done with the points that are set on a photo. */
export type Tool = 'scale' | 'length' | 'angle' | 'count' | Annotation['shape'];

/** Each tool with its title and what to do. */
export const TOOLS: [Tool, string, string][] = [
  ['scale', t`Set scale`, t`Click both ends of something of known size.`],
  ['length', t`Length`, t`Click along the line, then press Enter or click the last point again.`],
  ['angle', t`Angle`, t`Click one arm, the corner, the other arm.`],
  ['count', t`Count`, t`Click each tooth, lobe or needle, then press Enter.`],
  ['circle', t`Circle`, t`Click the middle, then the edge of what it shows.`],
  ['arrow', t`Arrow`, t`Click where the arrow begins, then what it points at.`],
  ['label', t`Label`, t`Click what it names, then where the words shall stand.`],
  ['inset', t`Inset`, t`Click two corners of the part to show larger.`],
];

/** What a tool is called, and what is drawn with it. */
export const toolTitle = (tool: Tool): string => TOOLS.find(([id]) => id === tool)![1];

/** Points after which a tool is done by itself; lines and counts end when one says so. */
const WHOLE: Record<Tool, number> = {
  scale: 2,
  length: Infinity,
  angle: 3,
  count: Infinity,
  circle: 2,
  arrow: 2,
  label: 2,
  inset: 2,
};
/** Pixels within which a point is the last one again. */
const AGAIN = 4;

/** The points with another one, and whether they are all that the tool wants. A line also ends where its last point is set again. */
export function withPoint(
  tool: Tool,
  points: readonly Pixel[],
  point: Pixel,
): { points: Pixel[]; whole: boolean } {
  const last = points.at(-1);
  const again = last && Math.hypot(last.x - point.x, last.y - point.y) < AGAIN;
  if (tool === 'length' && again && points.length > 1) return { points: [...points], whole: true };
  const line = [...points, point];
  return { points: line, whole: line.length >= WHOLE[tool] };
}

/** What setting points came to: words, and a scale, a value for the sheet or a mark on the photo. */
export interface Outcome {
  said: string;
  /** Meters a pixel. */
  scale?: number;
  /** In the unit that the character is stored in. */
  value?: number;
  mark?: Annotation;
}

/** `scaleSaid(0.0001, 'Scale set')` is “Scale set: 100.0 pixels a centimeter.” */
export const scaleSaid = (scale: number, begins: string): string =>
  t`${begins}: ${decimal(0.01 / scale, 1)} pixels a centimeter.`;

/** What the points of a tool come to on a photo. */
export function outcomeOf(
  tool: Tool,
  line: readonly Pixel[],
  on: {
    photo: { width: number; height: number };
    /** Meters a pixel, where it was set. */
    scale: number | undefined;
    /** Of known length, for setting the scale. */
    size: { metres: number };
    /** What the sheet is kept of. */
    character: Character | undefined;
  },
): Outcome {
  const { photo, scale, size, character } = on;
  if (line.length < (tool === 'count' ? 1 : tool === 'angle' ? 3 : 2)) return { said: '' };
  switch (tool) {
    case 'scale': {
      const found = scaleOf(line[0]!, line[1]!, size.metres);
      if (!found) return { said: t`Click two different points.` };
      return { said: scaleSaid(found, t`Scale set`), scale: found };
    }
    case 'count':
      return measured(line.length, t`${line.length} counted.`, character?.kind === 'count');
    case 'angle': {
      const angle = angleAt(line[0]!, line[1]!, line[2]!);
      if (angle === undefined) return { said: t`The arms of an angle need three different points.` };
      return measured(angle, `${decimal(angle, 1)}°.`, character?.unit === '°');
    }
    case 'length': {
      if (!scale) return { said: t`Set the scale first: a length in pixels says nothing.` };
      const metres = lengthOf(line, scale);
      const fits = ['m', 'cm', 'mm'].includes(character?.unit ?? '');
      return measured(metres, t`${decimal(metres * 100, 2)} cm.`, fits);
    }
    default:
      return {
        said: t`Marked. Say below what it shows, then save the details.`,
        mark: { shape: tool, from: shareOf(line[0]!, photo), to: shareOf(line[1]!, photo) },
      };
  }
}

const measured = (value: number, words: string, fits: boolean): Outcome =>
  fits
    ? { said: t`${words} Written into the sheet.`, value }
    : { said: t`${words} Choose a character in the sheet that is measured so, and it goes in there.` };

/** A point as shares of width and height, within the photo. */
const shareOf = ({ x, y }: Pixel, { width, height }: { width: number; height: number }): Pixel => ({
  x: Math.min(1, Math.max(0, x / width)),
  y: Math.min(1, Math.max(0, y / height)),
});

const STEPS: Record<string, Pixel> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** Where the crosshair is after a key: two pixels on, twenty with Shift; undefined for other keys. */
export function crossAfter(key: string, cross: Pixel, far: boolean): Pixel | undefined {
  const step = STEPS[key];
  const by = far ? 20 : 2;
  return step && { x: cross.x + step.x * by, y: cross.y + step.y * by };
}

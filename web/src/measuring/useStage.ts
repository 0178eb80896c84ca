import { t } from '@lingui/core/macro';
import type { Photo } from '@hurrow/contract/photos';
import { useState } from 'react';
import { KNOWN_SIZES, type Annotation, type Pixel } from '@hurrow/core/measurement';
import type { Character } from '@hurrow/core/vocabulary';
import { crossAfter, outcomeOf, scaleSaid, TOOLS, withPoint, type Tool } from './stage.ts';

export interface StageOptions {
  photo: Photo;
  /** Meters a pixel, where it was set. */
  scale: number | undefined;
  /** What the sheet is kept of. */
  character: Character | undefined;
  onScale(scale: number): void;
  onMeasured(value: number): void;
  onMark(mark: Annotation): void;
}

/** Measuring on a photo: the tool, the points set so far, the crosshair, and what they came to. */
export function useStage({ photo, scale, character, onScale, onMeasured, onMark }: StageOptions) {
  const [tool, setTool] = useState<Tool>(scale ? 'length' : 'scale');
  const [known, setKnown] = useState(KNOWN_SIZES[1]!.label);
  const [points, setPoints] = useState<Pixel[]>([]);
  const [cross, setCross] = useState<Pixel>({ x: photo.width / 2, y: photo.height / 2 });
  const [said, setSaid] = useState(scale ? scaleSaid(scale, t`The scale set before holds`) : '');
  const choose = (next: Tool) => {
    setTool(next);
    setPoints([]);
    setSaid('');
  };
  const finish = (line: readonly Pixel[]) => {
    setPoints([]);
    const size = KNOWN_SIZES.find(({ label }) => label === known)!;
    const found = outcomeOf(tool, line, { photo, scale, size, character });
    setSaid(found.said);
    if (found.scale) {
      onScale(found.scale);
      setTool('length');
    }
    if (found.value !== undefined) onMeasured(found.value);
    if (found.mark) onMark(found.mark);
  };
  const add = (point: Pixel) => {
    const next = withPoint(tool, points, point);
    if (next.whole) finish(next.points);
    else setPoints(next.points);
  };
  const press = (point: Pixel) => {
    setCross(point);
    add(point);
  };
  const keys = (event: React.KeyboardEvent) => {
    const moved = crossAfter(event.key, cross, event.shiftKey);
    if (moved) setCross(moved);
    else if (event.key === ' ') add(cross);
    else if (event.key === 'Enter' && points.length > 0) finish(points);
    else if (event.key === 'Escape') setPoints([]);
    else if (event.key === 'Backspace') setPoints(points.slice(0, -1));
    else return;
    event.preventDefault();
  };
  const toldSoFar = tool === 'count' && points.length > 0 ? t` ${points.length} so far.` : '';
  return {
    tool,
    choose,
    known,
    setKnown,
    points,
    cross,
    press,
    keys,
    said: (said || TOOLS.find(([id]) => id === tool)![2]) + toldSoFar,
  };
}

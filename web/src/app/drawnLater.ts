import { useEffect, useState } from 'react';
import type { Picture } from '../workers/pictures.ts';
import { inTurn } from './inTurn.ts';

/** Pictures that are drawn, or on their way, by what they are of, as long as that lives. */
const drawn = new WeakMap<object, Map<string, string | Promise<string>>>();
const gone = new FinalizationRegistry<string>((address) => URL.revokeObjectURL(address));

/**
 * The address of a drawing that the browser reads when it comes to it. Written out as a data address it is read while the page is changed:
 * forty drawings of 70 kB held up a slow processor for a third of a second.
 *
 * @param of with what the drawing goes
 */
function addressOf(of: object, picture: Picture): string {
  const address = URL.createObjectURL(
    typeof picture === 'string' ? new Blob([picture], { type: 'image/svg+xml' }) : picture,
  );
  gone.register(of, address);
  return address;
}

/**
 * A small drawing as the address of a picture, asked for when its turn comes and drawn elsewhere, so that many of them never block the page;
 * undefined until then, empty where there is nothing to draw.
 *
 * @param of what it is of; another object is drawn anew
 * @param key what else it depends on
 * @param draw makes the markup or the image
 */
export function useDrawnLater(
  of: object,
  key: string,
  draw: () => Promise<Picture | undefined>,
): string | undefined {
  const [, redraw] = useState(0);
  const held = drawn.get(of)?.get(key);
  useEffect(() => {
    let isGone = false;
    const show = () => isGone || redraw((n) => n + 1);
    const takeBack = inTurn(() => void pictureOf(of, key, draw).then(show, () => undefined));
    return () => {
      isGone = true;
      takeBack();
    };
  }, [of, key, draw]);
  return typeof held === 'string' ? held : undefined;
}

/** A picture is drawn once, however many show it; one that could not be drawn is tried anew by whoever asks next. */
async function pictureOf(of: object, key: string, draw: () => Promise<Picture | undefined>): Promise<string> {
  const pictures = drawn.get(of) ?? new Map<string, string | Promise<string>>();
  drawn.set(of, pictures);
  const held = pictures.get(key);
  if (held !== undefined) return held;
  const making = draw().then((made) => (made ? addressOf(of, made) : ''));
  pictures.set(key, making);
  try {
    const picture = await making;
    pictures.set(key, picture);
    return picture;
  } catch (error) {
    pictures.delete(key);
    throw error;
  }
}

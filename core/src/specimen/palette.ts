/** Natural colors, restrained; keyed by the color states of the vocabulary. */
export const NATURAL: Record<string, string> = {
  white: '#eceae2',
  paleGrey: '#c3c4bd',
  grey: '#9a9c96',
  greyBrown: '#8d8272',
  brown: '#7d6249',
  redBrown: '#8a5240',
  cinnamon: '#b5744a',
  yellowish: '#b9a268',
  greenish: '#8b9468',
  nearBlack: '#3f3a36',
  red: '#9c3b35',
  orange: '#c27a34',
  yellow: '#cfae3f',
  green: '#5f8550',
  purple: '#6d4a63',
  blue: '#5d7391',
  black: '#2b2a2d',
  pink: '#c98f8f',
  cream: '#e0d6b4',
};

export const NEEDLE_GREENS: Record<string, { near: string; far: string }> = {
  green: { near: '#4f7a4c', far: '#36583a' },
  yellowGreen: { near: '#7d8f42', far: '#586a33' },
  blueGreen: { near: '#5c837c', far: '#3d5f5a' },
};

export const LEAF_GREEN = '#6f9a58';
export const LEAF_LOWER: Record<string, string> = {
  green: '#8fae78',
  pale: '#b4c79d',
  waxyWhite: '#d3dccb',
  white: '#e2e4da',
  silvery: '#cfd3cd',
  rusty: '#d2c19c',
};
export const LARCH_GOLD = { near: '#cfa93a', far: '#a5822b' };

/** A color mixed with white: `share` 0 leaves it, 1 is white. */
export function paler(hex: string, share: number): string {
  const channel = (at: number) => {
    const value = parseInt(hex.slice(at, at + 2), 16);
    return Math.round(value + (255 - value) * share)
      .toString(16)
      .padStart(2, '0');
  };
  return `#${channel(1)}${channel(3)}${channel(5)}`;
}

/** A color made lighter (positive) or darker (negative) by a share. */
export function tinted(hex: string, share: number): string {
  if (share >= 0) return paler(hex, share);
  const channel = (at: number) =>
    Math.round(parseInt(hex.slice(at, at + 2), 16) * (1 + share))
      .toString(16)
      .padStart(2, '0');
  return `#${channel(1)}${channel(3)}${channel(5)}`;
}

/** Half-way between two colors. */
export function blend(a: string, b: string): string {
  const channel = (at: number) =>
    Math.round((parseInt(a.slice(at, at + 2), 16) + parseInt(b.slice(at, at + 2), 16)) / 2)
      .toString(16)
      .padStart(2, '0');
  return `#${channel(1)}${channel(3)}${channel(5)}`;
}

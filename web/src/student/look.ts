import { t } from '@lingui/core/macro';
import { readKept, writeKept } from '../app/keptText.ts';

/** How a phone's page looks: as paper, for the sun, or for the dark; `system` goes by the phone. */
export const THEMES = ['system', 'paper', 'daylight', 'dark'] as const;
export type Theme = (typeof THEMES)[number];

export const THEME_WORDS: Record<Theme, string> = {
  system: t`as the phone`,
  paper: t({ message: 'light', context: 'colors of a page' }),
  daylight: t`in the sun`,
  dark: t`dark`,
};

/** Sizes of everything on the page, as a factor. */
export const SIZES = [1, 1.15, 1.35] as const;
export const SIZE_WORDS = [t`usual`, t`larger`, t`largest`] as const;

export interface Look {
  theme: Theme;
  /** Place among SIZES. */
  size: number;
}

export const USUAL_LOOK: Look = { theme: 'system', size: 0 };
const KEY = 'hurrow.look';

/** A look as it was kept; the usual one where nothing sensible was. */
export function readLook(text: string | null): Look {
  try {
    const { theme, size } = JSON.parse(text ?? '{}') as Partial<Look>;
    return {
      theme: THEMES.find((each) => each === theme) ?? USUAL_LOOK.theme,
      size: SIZES[size ?? 0] === undefined ? 0 : (size ?? 0),
    };
  } catch {
    return USUAL_LOOK;
  }
}

export const keptLook = (): Look => readLook(readKept(KEY));
export const keepLook = (look: Look): void => writeKept(KEY, JSON.stringify(look));

/**
 * What the root of the page says of its look; nothing for the usual one on paper.
 *
 * @param dark whether the phone is set to dark
 * @param contrast whether the phone asks for more contrast
 * @example
 * lookOf('system', true, false); // 'dark'
 */
export function lookOf(theme: Theme, dark: boolean, contrast: boolean): 'daylight' | 'dark' | undefined {
  if (theme === 'paper') return undefined;
  if (theme !== 'system') return theme;
  if (dark) return 'dark';
  return contrast ? 'daylight' : undefined;
}

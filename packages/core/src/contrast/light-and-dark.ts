import { toRgb8 } from '../color/gamut.ts';
import type { Color } from '../color/spaces.ts';
import { luminanceOfRgb8, ratioOfLuminances } from './ratio.ts';

/** The lightest and the darkest of several, as indices, and the ratio between them. */
export interface LightAndDark {
  readonly lightest: number;
  readonly darkest: number;
  /** WCAG 2.2 contrast ratio, 1–21: no two of the colours have more. */
  readonly ratio: number;
}

/**
 * Which of several colours are the lightest and the darkest by WCAG 2.2 luminance, as sRGB of 8 bits paints them, and
 * the most contrast that any two have. What is translucent counts for none, since what it is painted over is not known;
 * null where fewer than two are opaque.
 */
export function lightAndDark(colors: readonly Color[]): LightAndDark | null {
  let lightest = -1;
  let darkest = -1;
  const luminances = colors.map((color) => luminanceOfRgb8(...toRgb8(color)));
  let opaque = 0;
  colors.forEach(({ alpha }, i) => {
    if (alpha === null || alpha < 1) return;
    opaque++;
    if (lightest < 0 || luminances[i]! > luminances[lightest]!) lightest = i;
    if (darkest < 0 || luminances[i]! < luminances[darkest]!) darkest = i;
  });
  if (opaque < 2) return null;
  return { lightest, darkest, ratio: ratioOfLuminances(luminances[lightest]!, luminances[darkest]!) };
}

import { maxChroma, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { linearToRgb8, luminanceOfLinear, oklabToLinear, polar, type Triple } from '../color/kernel.ts';
import { fromRgb8 } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';
import { clamp } from '../numbers/clamp.ts';

/** The light axis: CIE L* of a relative luminance. Contrast is a function of luminance, so it has places here. */

const KAPPA = 24389 / 27;
const EPSILON = 216 / 24389;

/** CIE L* (0–100) of a relative luminance (0–1). Source: CIE 15, with the exact constants of the CIE. */
export function lightnessOfLuminance(y: number): number {
  return y > EPSILON ? 116 * Math.cbrt(y) - 16 : KAPPA * y;
}

/** Relative luminance (0–1) of a CIE L* (0–100), the inverse of {@link lightnessOfLuminance}. */
export function luminanceOfLightness(l: number): number {
  return l > 8 ? ((l + 16) / 116) ** 3 : l / KAPPA;
}

/** Where a ratio against a ground begins on the light axis. */
export interface ContrastMark {
  readonly ratio: number;
  /** From this L* downwards everything passes; null if not even black does. */
  readonly darker: number | null;
  /** From this L* upwards everything passes; null if not even white does. */
  readonly lighter: number | null;
}

/**
 * The exact places on the light axis where a contrast ratio against a ground is reached, darker and lighter
 * than the ground. `groundLuminance` 0–1, ratio 1–21.
 *
 * @example contrastMark(1, 4.5).darker // 49.7…: on white, text must be at most this light
 */
export function contrastMark(groundLuminance: number, ratio: number): ContrastMark {
  const dark = (groundLuminance + 0.05) / ratio - 0.05;
  const light = (groundLuminance + 0.05) * ratio - 0.05;
  return {
    ratio,
    darker: dark >= 0 ? lightnessOfLuminance(dark) : null,
    lighter: light <= 1 ? lightnessOfLuminance(light) : null,
  };
}

/**
 * The sRGB colour with the hue of another and, as far as the gamut allows, its chroma, at a place on the light
 * axis (L* 0–100, to within 8-bit steps). Alpha is kept. OKLCH lightness is searched by halving.
 */
export function atLightness(c: Color, lightness: number): Color {
  const [, chroma, hue] = rgb8ToOklch(...toRgb8(c));
  const wanted = luminanceOfLightness(clamp(lightness, 0, 100));
  const linear: Triple = [0, 0, 0];
  const fill = (l: number) => {
    const [a, b] = polar(Math.min(chroma, maxChroma(l, hue)), hue);
    return luminanceOfLinear(...oklabToLinear(l, a, b, linear));
  };
  let low = 0;
  let high = 1;
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2;
    if (fill(middle) < wanted) low = middle;
    else high = middle;
  }
  fill((low + high) / 2);
  const [r, g, b] = linearToRgb8(linear);
  return fromRgb8(r, g, b, c.alpha ?? 0);
}

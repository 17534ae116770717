import { convert, numbers } from './convert.ts';
import {
  delinearize,
  LINEAR_8BIT,
  linearize,
  linearToOklab,
  oklabToLinear,
  polar,
  type Triple,
} from './kernel.ts';
import { type Color, color } from './spaces.ts';

const EPSILON = 1e-6;

const inside = (rgb: Triple) =>
  rgb[0] >= -EPSILON &&
  rgb[0] <= 1 + EPSILON &&
  rgb[1] >= -EPSILON &&
  rgb[1] <= 1 + EPSILON &&
  rgb[2] >= -EPSILON &&
  rgb[2] <= 1 + EPSILON;

/** Whether a colour can be shown in sRGB, or in Display P3, without clipping (tolerance 1e-6 per channel). */
export function inGamut(c: Color, gamut: 'srgb' | 'display-p3' = 'srgb'): boolean {
  return inside(numbers(convert(c, gamut)));
}

const scratch: Triple = [0, 0, 0];
/** Linear light of a channel 0–255; whole numbers by table. */
const light8 = (v: number) => LINEAR_8BIT[v] ?? linearize(v / 255);

/** Whether an OKLCH colour is inside sRGB. L 0–1, chroma 0 and up, hue in degrees. */
export function oklchInSrgb(l: number, c: number, h: number): boolean {
  const [a, b] = polar(c, h);
  return inside(oklabToLinear(l, a, b, scratch));
}

/**
 * The largest OKLCH chroma inside sRGB for a lightness (0–1) and hue (degrees), to 1e-5.
 * 0 at and beyond black and white.
 */
export function maxChroma(l: number, h: number): number {
  if (!(l > 0 && l < 1)) return 0;
  const [cos, sin] = polar(1, h);
  let low = 0;
  let high = 0.4;
  while (high - low > 1e-5) {
    const middle = (low + high) / 2;
    if (inside(oklabToLinear(l, middle * cos, middle * sin, scratch))) low = middle;
    else high = middle;
  }
  return low;
}

const clip = (v: number) => (v < 0 ? 0 : Math.min(v, 1));

/**
 * Brings a colour into sRGB by the method of CSS Color 4 §13.2: OKLCH chroma is reduced until clipping
 * changes the colour by less than the just noticeable difference (ΔE OK 0.02). A colour already inside is
 * only converted. Alpha is kept.
 */
export function toSrgb(c: Color): Color {
  const direct = numbers(convert(c, 'srgb'));
  const fits = inside(direct);
  // In the spaces of sRGB itself the way through OKLCH would only cost time.
  if (fits && /^(srgb|srgb-linear|hsl|hwb|hsv)$/.test(c.space))
    return color('srgb', direct.map(clip) as Triple, c.alpha);
  const [l, chroma, h] = numbers(convert(c, 'oklch'));
  if (l >= 1) return color('srgb', [1, 1, 1], c.alpha);
  if (l <= 0) return color('srgb', [0, 0, 0], c.alpha);
  if (fits) return color('srgb', direct.map(clip) as Triple, c.alpha);
  const [cos, sin] = polar(1, h);
  const linear: Triple = [0, 0, 0];
  const clippedLab: Triple = [0, 0, 0];
  // Fills `linear` with the clipped colour and returns how far clipping moved it, in ΔE OK.
  const clipAt = (k: number) => {
    oklabToLinear(l, k * cos, k * sin, linear);
    const already = inside(linear);
    // Clipping encoded values and clipping linear ones is the same, since the transfer function is monotone.
    for (let i = 0; i < 3; i++) linear[i] = clip(linear[i]!);
    linearToOklab(linear[0], linear[1], linear[2], clippedLab);
    const delta = Math.hypot(clippedLab[0] - l, clippedLab[1] - k * cos, clippedLab[2] - k * sin);
    return { already, delta };
  };
  const JND = 0.02;
  let low = 0;
  let high = chroma;
  let lowInside = true;
  if (clipAt(chroma).delta >= JND) {
    while (high - low > 0.0001) {
      const middle = (low + high) / 2;
      const { already, delta } = clipAt(middle);
      if (lowInside && already) low = middle;
      else if (delta < JND) {
        if (JND - delta < 0.0001) break;
        lowInside = false;
        low = middle;
      } else high = middle;
    }
  }
  return color('srgb', linear.map((v) => clip(delinearize(v))) as Triple, c.alpha);
}

/** 8-bit sRGB channels (0–255, integers) of a colour, gamut-mapped as {@link toSrgb} does. */
export function toRgb8(c: Color): Triple {
  return numbers(toSrgb(c)).map((v) => Math.round(v * 255)) as Triple;
}

/** OKLCH of 8-bit sRGB channels: L 0–1, chroma, hue in degrees 0–360 (0 for greys). */
export function rgb8ToOklch(r: number, g: number, b: number): Triple {
  linearToOklab(light8(r), light8(g), light8(b), scratch);
  const [L, a, bb] = scratch;
  const chroma = Math.hypot(a, bb);
  if (chroma < 1e-6) return [L, 0, 0];
  const hue = (Math.atan2(bb, a) * 180) / Math.PI;
  return [L, chroma, hue < 0 ? hue + 360 : hue];
}

/**
 * OKLCH of `#rrggbb` text: L 0–1, chroma, hue in degrees 0–360 (0 for greys). For inner loops: the text is not
 * checked, and anything else gives a wrong colour but never NaN.
 */
export function hexToOklch(hex: string): Triple {
  const value = Number.parseInt(hex.slice(1, 7), 16) || 0;
  return rgb8ToOklch((value >> 16) & 255, (value >> 8) & 255, value & 255);
}

/**
 * The gamut's outline for a hue (degrees): the largest chroma inside sRGB at n lightnesses evenly from 0 to 1.
 */
export function gamutOutline(hue: number, n = 64): Float64Array {
  return Float64Array.from({ length: n }, (_, i) => maxChroma(i / (n - 1), hue));
}

import { clamp01 } from '../numbers/clamp.ts';
import { convert, numbers } from './convert.ts';
import {
  delinearize,
  linearToOklab,
  linearToRgb8,
  oklabToLinear,
  polar,
  rgbToOklab,
  type Triple,
} from './kernel.ts';
import { type Color, color } from './spaces.ts';

const EPSILON = 1e-6;

/** The same tolerance in linear light, where it counts most: near black, where encoding is 12.92 times as steep. */
const LINEAR_EPSILON = EPSILON / 12.92;

const inside = (rgb: Triple, tolerance = EPSILON) =>
  rgb[0] >= -tolerance &&
  rgb[0] <= 1 + tolerance &&
  rgb[1] >= -tolerance &&
  rgb[1] <= 1 + tolerance &&
  rgb[2] >= -tolerance &&
  rgb[2] <= 1 + tolerance;

/** Whether a colour can be shown in sRGB, or in Display P3, without clipping (tolerance 1e-6 per channel). */
export function inGamut(c: Color, gamut: Gamut = 'srgb'): boolean {
  return inside(numbers(convert(c, gamut)));
}

const scratch: Triple = [0, 0, 0];

/** The gamuts that a colour can be held in. */
export type Gamut = 'srgb' | 'display-p3';

/**
 * Whether an OKLab colour is inside a gamut. Both gamuts have the same white and transfer function, so that a
 * matrix between their linear lights decides (CSS Color 4, "Sample code for color conversions").
 */
export function isOklabInside(l: number, a: number, b: number, gamut: Gamut = 'srgb'): boolean {
  const [red, green, blue] = oklabToLinear(l, a, b, scratch);
  if (gamut === 'srgb') return inside(scratch, LINEAR_EPSILON);
  scratch[0] = 0.8224619687143623 * red + 0.17753803128563772 * green;
  scratch[1] = 0.0331941988509616 * red + 0.9668058011490384 * green;
  scratch[2] = 0.01708263072112 * red + 0.0723974406639635 * green + 0.9105199286149165 * blue;
  return inside(scratch, LINEAR_EPSILON);
}

/**
 * The largest OKLCH chroma inside a gamut for a lightness (0–1) and hue (degrees), to 1e-5.
 * 0 at and beyond black and white.
 */
export function maxChroma(l: number, h: number, gamut: Gamut = 'srgb'): number {
  if (!(l > 0 && l < 1) || !Number.isFinite(h)) return 0;
  const [cos, sin] = polar(1, h);
  let low = 0;
  let high = 0.5;
  while (high - low > 1e-5) {
    const middle = (low + high) / 2;
    if (isOklabInside(l, middle * cos, middle * sin, gamut)) low = middle;
    else high = middle;
  }
  // The edge from black to sRGB's blue lies beyond a dent of the gamut, which halving does not look across.
  const edge = l * BLUE_EDGE;
  if (gamut !== 'srgb' || edge <= low || Math.abs(h - BLUE_HUE) > 0.001) return low;
  return inside(oklabToLinear(l, edge * cos, edge * sin, scratch), ON_EDGE) ? edge : low;
}

/** The OKLCH hue of sRGB's blue, its chroma in parts of its lightness, and how near its edge has to be met. */
const BLUE_HUE = 264.05202;
const BLUE_EDGE = 0.31321438863448475 / 0.45201371817442365;
const ON_EDGE = 1e-5;

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

const byte = (v: number) => Math.round(clamp01(v) * 255);

/** 8-bit sRGB channels (0–255, integers) of a colour, gamut-mapped as {@link toSrgb} does. */
export function toRgb8(c: Color): Triple {
  if (c.space === 'srgb') {
    // Most colours are inside sRGB already, and need no more than rounding.
    const rgb = numbers(c);
    if (inside(rgb)) return [byte(rgb[0]), byte(rgb[1]), byte(rgb[2])];
  }
  return numbers(toSrgb(c)).map((v) => Math.round(v * 255)) as Triple;
}

/**
 * 8-bit sRGB channels (0–255, integers) of an OKLCH colour: L 0–1, hue in degrees, chroma reduced as far as the
 * gamut asks.
 */
export function oklchToRgb8(l: number, c: number, h: number): Triple {
  // What is inside stays as it is, also beyond a dent of the gamut.
  const direct = polar(c, h);
  if (l > 0 && l < 1 && isOklabInside(l, direct[0], direct[1]))
    return linearToRgb8(oklabToLinear(l, direct[0], direct[1], [0, 0, 0]));
  const [a, b] = polar(Math.min(c, maxChroma(l, h)), h);
  return linearToRgb8(oklabToLinear(l, a, b, [0, 0, 0]));
}

/** OKLCH of 8-bit sRGB channels: L 0–1, chroma, hue in degrees 0–360 (0 for greys). */
export function rgb8ToOklch(r: number, g: number, b: number): Triple {
  rgbToOklab(r, g, b, scratch);
  const [L, a, bb] = scratch;
  const chroma = Math.hypot(a, bb);
  if (chroma < 1e-6) return [L, 0, 0];
  const hue = (Math.atan2(bb, a) * 180) / Math.PI;
  return [L, chroma, hue < 0 ? hue + 360 : hue];
}

/** A gamut's outline for a hue (degrees): the largest chroma at n lightnesses evenly from 0 to 1; n 2 and up. */
export function gamutOutline(hue: number, n = 64, gamut: Gamut = 'srgb'): Float64Array {
  const length = Math.max(2, Math.round(n) || 0);
  return Float64Array.from({ length }, (_, i) => maxChroma(i / (length - 1), hue, gamut));
}

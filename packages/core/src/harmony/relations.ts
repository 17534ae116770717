import { oklchToRgb8, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { fromRgb8 } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';

/** Relations of colours by their place on the OKLCH hue circle. */
export type Relation =
  | 'complementary'
  | 'split-complementary'
  | 'analogous'
  | 'triadic'
  | 'tetradic'
  | 'square'
  | 'monochromatic';

export interface RelationOptions {
  /** How many colours, the given one included; for analogous and monochromatic (2 to 12). */
  readonly count?: number;
  /** Degrees between neighbours (analogous), from the opposite (split), or of the rectangle (tetradic); 1–90. */
  readonly angle?: number;
}

const clampCount = (n: number | undefined, usual: number) =>
  Math.min(12, Math.max(2, Math.round(n ?? usual)));
const clampAngle = (n: number | undefined, usual: number) => Math.min(90, Math.max(1, n ?? usual));

function hueSteps(relation: Exclude<Relation, 'monochromatic'>, { count, angle }: RelationOptions): number[] {
  switch (relation) {
    case 'complementary':
      return [0, 180];
    case 'split-complementary': {
      const off = clampAngle(angle, 30);
      return [0, 180 - off, 180 + off];
    }
    case 'analogous': {
      const n = clampCount(count, 3);
      const step = clampAngle(angle, 30);
      // The colour itself first, then its neighbours by turns on either side.
      return Array.from({ length: n }, (_, i) => (i % 2 ? 1 : -1) * Math.ceil(i / 2) * step);
    }
    case 'triadic':
      return [0, 120, 240];
    case 'tetradic': {
      const side = clampAngle(angle, 60);
      return [0, side, 180, 180 + side];
    }
    case 'square':
      return [0, 90, 180, 270];
  }
}

const inside = (l: number, c: number, h: number): Color => fromRgb8(...oklchToRgb8(l, c, h));

/**
 * The colours related to one, itself first, in sRGB: hue turns in OKLCH at the same lightness, chroma held
 * inside the gamut. Monochromatic keeps the hue and spreads lightness evenly from 0.25 to 0.92 around it. A
 * grey has no hue to turn: its relations are itself.
 */
export function related(c: Color, relation: Relation, options: RelationOptions = {}): Color[] {
  const rgb = toRgb8(c);
  const [l, chroma, hue] = rgb8ToOklch(...rgb);
  const own = fromRgb8(...rgb);
  if (relation === 'monochromatic') {
    const count = clampCount(options.count, 5);
    const others = Array.from({ length: count - 1 }, (_, i) => 0.25 + (0.67 * i) / Math.max(1, count - 2));
    return [own, ...others.map((other) => inside(other, chroma, hue))];
  }
  return hueSteps(relation, options).map((step) => (step === 0 ? own : inside(l, chroma, hue + step)));
}

/**
 * A colour between two others, t 0–1 of the way, mixed in OKLab (which never turns through a foreign hue) and
 * brought inside sRGB.
 */
export function between(a: Color, b: Color, t = 0.5): Color {
  const lab = (c: Color): Triple => rgbToOklab(...toRgb8(c));
  const [from, to] = [lab(a), lab(b)];
  const [l, x, y] = from.map((v, i) => v + (to[i]! - v) * Math.min(1, Math.max(0, t))) as Triple;
  return inside(l, Math.hypot(x, y), (Math.atan2(y, x) * 180) / Math.PI);
}

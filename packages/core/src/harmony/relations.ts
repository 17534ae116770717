import { oklchToRgb8, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { fromRgb8 } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';
import { clamp, clamp01 } from '../numbers/clamp.ts';

/** Relations of colours by their place on the OKLCH hue circle. */
export const RELATIONS = [
  'complementary',
  'split-complementary',
  'analogous',
  'triadic',
  'tetradic',
  'square',
  'facing',
  'monochromatic',
] as const;
export type Relation = (typeof RELATIONS)[number];

export interface RelationOptions {
  /** How many colours, the given one included; for analogous and monochromatic (2 to 12); in each group of facing (2 to 6). */
  readonly count?: number;
  /** Degrees between neighbours (analogous, facing), from the opposite (split), or of the rectangle (tetradic); 1–90. */
  readonly angle?: number;
}

interface Range {
  readonly least: number;
  readonly most: number;
  readonly usual: number;
}

/** What of a relation can be adjusted, and how far. */
export const ADJUSTABLE: Readonly<Record<Relation, { readonly count?: Range; readonly angle?: Range }>> = {
  complementary: {},
  'split-complementary': { angle: { least: 1, most: 90, usual: 30 } },
  analogous: { count: { least: 2, most: 12, usual: 3 }, angle: { least: 1, most: 90, usual: 30 } },
  triadic: {},
  tetradic: { angle: { least: 1, most: 90, usual: 60 } },
  square: {},
  facing: { count: { least: 2, most: 6, usual: 2 }, angle: { least: 1, most: 40, usual: 25 } },
  monochromatic: { count: { least: 2, most: 12, usual: 5 } },
};

const held = (n: number | undefined, range: Range) => clamp(n ?? range.usual, range.least, range.most);
const countOf = (relation: Relation, n: number | undefined) =>
  Math.round(held(n, ADJUSTABLE[relation].count!));
const angleOf = (relation: Relation, n: number | undefined) => held(n, ADJUSTABLE[relation].angle!);

/** A colour itself, then its neighbours by turns on either side, in degrees. */
const fan = (count: number, step: number): number[] =>
  Array.from({ length: count }, (_, i) => (i % 2 ? 1 : -1) * Math.ceil(i / 2) * step);

function hueSteps(relation: Exclude<Relation, 'monochromatic'>, { count, angle }: RelationOptions): number[] {
  switch (relation) {
    case 'complementary':
      return [0, 180];
    case 'split-complementary': {
      const off = angleOf(relation, angle);
      return [0, 180 - off, 180 + off];
    }
    case 'analogous':
      return fan(countOf(relation, count), angleOf(relation, angle));
    case 'triadic':
      return [0, 120, 240];
    case 'tetradic': {
      const side = angleOf(relation, angle);
      return [0, side, 180, 180 + side];
    }
    case 'square':
      return [0, 90, 180, 270];
    case 'facing': {
      const group = fan(countOf(relation, count), angleOf(relation, angle));
      return [...group, ...group.map((step) => 180 + step)];
    }
  }
}

/**
 * The members of a relation of an OKLCH colour, itself first, as OKLCH: hue turns at the same lightness and chroma,
 * which need not be inside any gamut. Monochromatic keeps the hue and spreads lightness evenly from 0.25 to 0.92.
 */
export function membersOf(
  [l, chroma, hue]: Readonly<Triple>,
  relation: Relation,
  options: RelationOptions = {},
): Triple[] {
  if (relation === 'monochromatic') {
    const count = countOf(relation, options.count);
    const others = Array.from({ length: count - 1 }, (_, i) => 0.25 + (0.67 * i) / Math.max(1, count - 2));
    return [[l, chroma, hue], ...others.map((other): Triple => [other, chroma, hue])];
  }
  return hueSteps(relation, options).map((step) => [l, chroma, (((hue + step) % 360) + 360) % 360]);
}

const inside = (l: number, c: number, h: number): Color => fromRgb8(...oklchToRgb8(l, c, h));

/**
 * The colours related to one, itself first, in sRGB: {@link membersOf} with the chroma held inside the gamut. A
 * grey has no hue to turn: its relations are itself.
 */
export function related(c: Color, relation: Relation, options: RelationOptions = {}): Color[] {
  const rgb = toRgb8(c);
  const [, ...others] = membersOf(rgb8ToOklch(...rgb), relation, options);
  return [fromRgb8(...rgb), ...others.map((other) => inside(...other))];
}

/**
 * A colour between two others, t 0–1 of the way, mixed in OKLab (which never turns through a foreign hue) and
 * brought inside sRGB.
 */
export function between(a: Color, b: Color, t = 0.5): Color {
  const lab = (c: Color): Triple => rgbToOklab(...toRgb8(c));
  const [from, to] = [lab(a), lab(b)];
  const [l, x, y] = from.map((v, i) => v + (to[i]! - v) * clamp01(t)) as Triple;
  return inside(l, Math.hypot(x, y), (Math.atan2(y, x) * 180) / Math.PI);
}

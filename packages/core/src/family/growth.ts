import { convert, numbers } from '../color/convert.ts';
import { type Gamut, maxChroma, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { linearToRgb8, oklabToLinear, polar, type Triple } from '../color/kernel.ts';
import { fromRgb8 } from '../color/parse.ts';
import { type Color, color } from '../color/spaces.ts';
import { hexOfRgb8 } from '../color/write.ts';
import { clamp, clamp255 } from '../numbers/clamp.ts';

/**
 * The recipe that makes a family's shades from its base: even steps of OKLCH lightness between a lightest and
 * a darkest end, with the base kept exactly at the step whose lightness is nearest to its own.
 */
export interface LightnessGrowth {
  readonly kind: 'lightness';
  /** Shade labels from the lightest to the darkest, 3 to 24, each once. */
  readonly labels: readonly string[];
  /** OKLCH lightness (0–1) of the two ends. A base beyond an end replaces it. */
  readonly lightest: number;
  readonly darkest: number;
  /** −1 to 1: below 0 steps are finer towards the ends, above 0 finer towards the base; 0 is even. */
  readonly curve: number;
  /** 0 to 1.5: how much of the base's chroma is left at the two ends, before the gamut has its say. */
  readonly endChroma: number;
  /** −60 to 60: degrees by which the hue has turned at the dark end, and back at the light end. */
  readonly hueDrift: number;
}

const USUAL_LABELS = ['50', '100', '200', '300', '400', '500', '600', '700', '800', '900', '950'] as const;

export const USUAL_GROWTH: LightnessGrowth = {
  kind: 'lightness',
  labels: USUAL_LABELS,
  lightest: 0.975,
  darkest: 0.2,
  curve: 0,
  endChroma: 0.35,
  hueDrift: 0,
};

export interface GrownShade {
  readonly label: string;
  readonly hex: string;
  readonly r: number;
  readonly g: number;
  readonly b: number;
  readonly isBase: boolean;
}

/**
 * Index of the step that the base takes: the nearest on the even scale from lightest to darkest that leaves
 * enough 8-bit colours beyond the base for the steps on either side.
 */
function baseStep(base: Color, l: number, growth: LightnessGrowth): number {
  const last = growth.labels.length - 1;
  const along = (growth.lightest - l) / Math.max(1e-6, growth.lightest - growth.darkest);
  const rgb = toRgb8(base);
  const darkest = Math.max(0, last - Math.max(...rgb));
  const lightest = Math.min(last, 255 - Math.min(...rgb));
  return clamp(Math.round(along * last), darkest, lightest);
}

/** Bends 0–1 along the curve setting: exponent 1/2 to 2. */
const bend = (t: number, curve: number) => t ** (2 ** curve);

/** The least change of OKLCH lightness from step to step that 8-bit colours still show. */
const LEAST_STEP = 0.006;

/**
 * How far along from the base to an end each of n steps lies, 0–1: bent by the curve, but never so much that
 * two steps would fall together. `span` is the lightness between base and end.
 */
function stepsAlong(n: number, span: number, curve: number): number[] {
  const bent = Array.from({ length: n + 1 }, (_, i) => bend(n ? i / n : 0, curve));
  const even = span / n;
  const least = Math.min(...bent.slice(1).map((v, i) => (v - bent[i]!) * span));
  if (least >= LEAST_STEP) return bent;
  const evenPart = even > least ? Math.min(1, (LEAST_STEP - least) / (even - least)) : 1;
  return bent.map((v, i) => evenPart * (n ? i / n : 0) + (1 - evenPart) * v);
}

function withinRanges(growth: LightnessGrowth): LightnessGrowth {
  const held = (v: number, low: number, high: number) => (Number.isNaN(v) ? low : clamp(v, low, high));
  return {
    ...growth,
    lightest: held(growth.lightest, 0.5, 1),
    darkest: held(growth.darkest, 0, 0.5),
    curve: held(growth.curve, -1, 1),
    endChroma: held(growth.endChroma, 0, 1.5),
    hueDrift: held(growth.hueDrift, -60, 60),
  };
}

/** A shade before it is painted: OKLCH, or the base as it was given. */
export interface GrownColor {
  readonly label: string;
  readonly color: Color;
  readonly isBase: boolean;
}

/**
 * Grows the shades of a family in OKLCH, lightest first: lightness falls strictly from step to step; the base
 * is exactly among them; chroma falls towards the ends as the recipe says and never leaves the gamut. Source of
 * the space: CSS Color 4 §9.4. Settings beyond their ranges are held in them; labels fewer than 3 or more than
 * 24 are a RangeError.
 */
export function growColors(base: Color, recipe: LightnessGrowth, gamut: Gamut = 'srgb'): GrownColor[] {
  const [baseL, baseC, baseH] = numbers(convert(base, 'oklch'));
  const growth = withinRanges(recipe);
  const { labels } = growth;
  if (labels.length < 3 || labels.length > 24) throw new RangeError('A family has 3 to 24 shades.');
  const last = labels.length - 1;
  const at = baseStep(base, baseL, growth);
  // An end must lie beyond the base by at least a visible step for each shade on that side.
  const room = 0.012;
  const lightEnd = clamp(baseL + room * at, growth.lightest, 0.995);
  const darkEnd = Math.max(0.02, Math.min(growth.darkest, baseL - room * (last - at)));
  const toLight = stepsAlong(at, lightEnd - baseL, growth.curve);
  const toDark = stepsAlong(last - at, baseL - darkEnd, growth.curve);
  return labels.map((label, i) => {
    if (i === at) return { label, color: base, isBase: true };
    const lighter = i < at;
    const along = lighter ? toLight[at - i]! : toDark[i - at]!;
    const l = baseL + ((lighter ? lightEnd : darkEnd) - baseL) * along;
    const h = baseH + growth.hueDrift * along * (lighter ? -1 : 1);
    const wanted = baseC * (1 + (growth.endChroma - 1) * along * along);
    return { label, color: color('oklch', [l, Math.min(wanted, maxChroma(l, h, gamut)), h]), isBase: false };
  });
}

const lightnessOf = ([r, g, b]: Triple) => rgb8ToOklch(r, g, b)[0];

const stepped = (rgb: Triple, by: number) => rgb.map((v) => clamp255(v + by)) as Triple;

/** A shade kept apart from its neighbour towards the base, with `left` more to come beyond it. */
function apart(rgb: Triple, neighbour: Triple, lighter: boolean, left: number): Triple {
  const way = lighter ? 1 : -1;
  const room = lighter ? 255 - Math.min(...rgb) : Math.max(...rgb);
  // So near white or black that the others would find no colour of their own: the least step instead.
  let moved = room < left ? stepped(neighbour, way) : rgb;
  const limit = lightnessOf(neighbour);
  for (let i = 0; i < 255 && (lightnessOf(moved) - limit) * way <= 0; i++) moved = stepped(moved, way);
  return moved;
}

/** The shades of a family painted in 8-bit sRGB, lightest first, with no two of them together; one is the base. */
export function paintApart(grown: readonly GrownColor[]): GrownShade[] {
  const rgbs = grown.map(({ color: c, isBase }): Triple => {
    if (isBase) return toRgb8(c);
    const [l, chroma, h] = numbers(c);
    return linearToRgb8(oklabToLinear(l, ...polar(chroma, h), [0, 0, 0]));
  });
  const at = grown.findIndex(({ isBase }) => isBase);
  for (let i = at - 1; i >= 0; i--) rgbs[i] = apart(rgbs[i]!, rgbs[i + 1]!, true, i);
  const last = rgbs.length - 1;
  for (let i = at + 1; i <= last; i++) rgbs[i] = apart(rgbs[i]!, rgbs[i - 1]!, false, last - i);
  return grown.map(({ label, isBase }, i) => {
    const [r, g, b] = rgbs[i]!;
    return { label, hex: hexOfRgb8(r, g, b), r, g, b, isBase };
  });
}

/**
 * Grows a family as {@link growColors} does, painted: all shades are 8-bit sRGB, grown from the base as it is
 * painted (a base outside sRGB stands there gamut-mapped), and no two fall together.
 */
export const growShades = (base: Color, growth: LightnessGrowth): GrownShade[] =>
  paintApart(growColors(fromRgb8(...toRgb8(base)), growth));

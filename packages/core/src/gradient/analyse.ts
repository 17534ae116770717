import { findTwins } from '../color/difference.ts';
import { oklchToRgb8 } from '../color/gamut.ts';
import { rgbToOklab, type Triple } from '../color/kernel.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { drain } from '../in-parts/drain.ts';
import { clamp, clamp01 } from '../numbers/clamp.ts';
import { mix } from './interpolate.ts';
import { type ColorStop, type CssGradient, colorAtPlace, type PlacedGradient, placeStops } from './model.ts';

const oklab = ({ r, g, b }: Rgba): Triple => rgbToOklab(r, g, b);
const chromaOf = (c: Rgba) => {
  const [, a, b] = oklab(c);
  return Math.hypot(a, b);
};

/** A stretch in which the colour turns greyer than both its ends. */
export interface GreyDip {
  /** Percent along the gradient where it is greyest. */
  readonly place: number;
  readonly chroma: number;
  /** The smaller chroma of the two ends. */
  readonly expected: number;
  /** The colour that a stop at this place would need to keep the chroma up: the two ends mixed in OKLCH. */
  readonly remedy: Rgba;
}

/** A stretch in whose middle the colour is lighter than both its ends. */
export interface BrightMiddle {
  /** Percent along the gradient where it is lightest. */
  readonly place: number;
  /** OKLCH lightness, 0–1, there, and of the lighter end. */
  readonly lightness: number;
  readonly expected: number;
}

/** Neighbouring stops that can hardly be told apart; indices among the colour stops. */
export interface TwinStops {
  readonly a: number;
  readonly b: number;
  readonly difference: number;
}

/** A run of one 8-bit colour wide enough to be seen as a band. */
export interface Band {
  readonly from: number;
  readonly to: number;
  readonly px: number;
}

export interface GradientFaults {
  readonly greyDips: readonly GreyDip[];
  readonly bright: readonly BrightMiddle[];
  readonly twins: readonly TwinStops[];
  readonly bands: readonly Band[];
}

const SAMPLES = 48;
const DIP = 0.6;
const COLOURFUL = 0.04;
/** OKLCH lightness by which a middle outshines both ends, so that it is seen. */
const OUTSHINES = 0.06;

/**
 * What may trouble the eye in a gradient, a stretch at a time: grey dips (chroma falls below 60 % of both ends, both
 * colourful), middles that are lighter than both ends by 0.06 of OKLCH lightness and more, as mixing round the hues makes them,
 * neighbouring stops nearer than `twin` (ΔE OK), and bands: runs of one 8-bit colour wider than `visible` px
 * at a length of `length` px where the colour changes. Flat stretches between equal stops are no bands.
 */
export function* gradientFaultsInParts(
  gradient: CssGradient,
  { length = 600, visible = 8, twin = 0.02 }: { length?: number; visible?: number; twin?: number } = {},
): Generator<void, GradientFaults> {
  const placed = placeStops({ ...gradient, repeating: false }, length);
  const bands: Band[] = [];
  for (const { from, to } of placed.stretches)
    if (to > from) {
      bands.push(...bandsIn(from, to, (place) => colorAtPlace(placed, place), length, visible));
      yield;
    }
  const labs = placed.colors.map((c) => oklab(c.color));
  const twins: TwinStops[] = [];
  for (let i = 1; i < labs.length; i++) {
    const [pair] = findTwins([labs[i - 1]!, labs[i]!], twin);
    if (pair) twins.push({ a: i - 1, b: i, difference: pair.difference });
  }
  return { ...(yield* middlesOf(placed)), twins, bands };
}

/** {@link gradientFaultsInParts}, at once. */
export const gradientFaults = (...of: Parameters<typeof gradientFaultsInParts>): GradientFaults =>
  drain(gradientFaultsInParts(...of));

type Middles = Pick<GradientFaults, 'greyDips' | 'bright'>;

/** What of {@link gradientFaults} lies in the middles between stops: grey dips, and what outshines both ends. */
export const middlesInParts = (gradient: CssGradient, length = 600): Generator<void, Middles> =>
  middlesOf(placeStops({ ...gradient, repeating: false }, length));

function* middlesOf(placed: PlacedGradient): Generator<void, Middles> {
  const greyDips: GreyDip[] = [];
  const bright: BrightMiddle[] = [];
  for (const { from, to, a, b } of placed.stretches) {
    if (to <= from) continue;
    const expected = Math.min(chromaOf(a), chromaOf(b));
    const lighterEnd = Math.max(oklab(a)[0], oklab(b)[0]);
    let low = { place: from, chroma: Number.POSITIVE_INFINITY };
    let high = { place: from, lightness: 0 };
    for (let i = 1; i < SAMPLES; i++) {
      const place = from + ((to - from) * i) / SAMPLES;
      const [lightness, x, y] = oklab(colorAtPlace(placed, place));
      const chroma = Math.hypot(x, y);
      if (chroma < low.chroma) low = { place, chroma };
      if (lightness > high.lightness) high = { place, lightness };
    }
    if (expected > COLOURFUL && low.chroma < expected * DIP) {
      const remedy = mix(a, b, (low.place - from) / (to - from), 'oklch');
      greyDips.push({ ...low, expected, remedy });
    }
    if (high.lightness > lighterEnd + OUTSHINES) bright.push({ ...high, expected: lighterEnd });
    yield;
  }
  return { greyDips, bright };
}

function bandsIn(
  from: number,
  to: number,
  at: (place: number) => Rgba,
  length: number,
  visible: number,
): Band[] {
  const px = clamp(Math.round(((to - from) / 100) * length), 2, 4000);
  const key = (i: number) => {
    const c = at(from + ((to - from) * Math.min(i, px - 0.001)) / px);
    return (
      ((Math.round(c.r) * 256 + Math.round(c.g)) * 256 + Math.round(c.b)) * 256 + Math.round(c.alpha * 255)
    );
  };
  const out: Band[] = [];
  let start = 0;
  let runKey = key(0);
  for (let i = 1; i <= px; i++) {
    const next = i === px ? -1 : key(i);
    if (next === runKey) continue;
    // A stretch of one colour from end to end is meant to be flat.
    const whole = start === 0 && i === px;
    if (!whole && i - start > visible)
      out.push({ from: from + ((to - from) * start) / px, to: from + ((to - from) * i) / px, px: i - start });
    start = i;
    runKey = next;
  }
  return out;
}

/** A change of all stops at once. */
export interface Shift {
  /** Degrees added to the OKLCH hue. */
  readonly hue?: number;
  /** OKLCH chroma is multiplied by 1 + this; −1 and up. */
  readonly saturation?: number;
  /** Added to the OKLCH lightness, −1 to 1. */
  readonly lightness?: number;
}

const finite = (v: number | undefined) => (v !== undefined && Number.isFinite(v) ? v : 0);

/** A colour shifted in OKLCH and held inside sRGB, in 8 bits; alpha stays. What is no finite number shifts nothing. */
export function shiftedColor(c: Rgba, shift: Shift): Rgba {
  const [hue, saturation, lightness] = [shift.hue, shift.saturation, shift.lightness].map(finite) as Triple;
  if (!hue && !saturation && !lightness) return c;
  const [l, a, b] = oklab(c);
  const h = (Math.atan2(b, a) * 180) / Math.PI + (hue % 360);
  const nextL = clamp01(l + lightness);
  const [r, g, bl] = oklchToRgb8(nextL, Math.hypot(a, b) * Math.max(0, 1 + saturation), h);
  const moved = { r, g, b: bl, alpha: c.alpha };
  // What is asked to be more colourful and cannot be stays as it is without that.
  const without = saturation > 0 ? shiftedColor(c, { hue, lightness }) : moved;
  return chromaOf(without) > chromaOf(moved) ? without : moved;
}

/** Shifts hue, saturation and lightness of all stops, each as {@link shiftedColor}; places stay. */
export const shifted = <T extends CssGradient>(gradient: T, shift: Shift): T => ({
  ...gradient,
  stops: gradient.stops.map((item) =>
    item.kind === 'hint' ? item : ({ ...item, color: shiftedColor(item.color, shift) } satisfies ColorStop),
  ),
});

import { linearToOklab, linearToRgb8, oklabToLinear, rgbToOklab, type Triple } from '../color/kernel.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { clamp, clamp01 } from '../numbers/clamp.ts';
import type { FittedStop } from './fit.ts';

/** A gradient that follows a row of pixels: mixed in OKLab, as even as the row is. */
export interface FollowedRow {
  readonly stops: readonly FittedStop[];
  /** The mean and the largest difference from the row, ΔE OK. */
  readonly mean: number;
  readonly most: number;
  /** Whether the mean is within what was asked for; else no more stops were allowed, or none help any more. */
  readonly reached: boolean;
}

/** Pixels of a row, and places that stops are looked for at, at most. */
const LONGEST_ROW = 16_384;
const MOST_BINS = 256;

/** A row in OKLab, three numbers a pixel. */
type Labs = Float64Array;

/** The values at some knots with which straight lines between them come nearest to a row, by least squares. */
function knotValues(labs: Labs, knots: readonly number[]): Labs {
  const n = knots.length;
  const diagonal = new Float64Array(n);
  const beside = new Float64Array(n);
  const right = new Float64Array(n * 3);
  for (let k = 0; k < n - 1; k++) {
    const [from, to] = [knots[k]!, knots[k + 1]!];
    const last = k === n - 2 ? to : to - 1;
    for (let i = from; i <= last; i++) {
      const t = (i - from) / (to - from);
      diagonal[k]! += (1 - t) * (1 - t);
      diagonal[k + 1]! += t * t;
      beside[k]! += t * (1 - t);
      for (let c = 0; c < 3; c++) {
        const v = labs[i * 3 + c]!;
        right[k * 3 + c]! += (1 - t) * v;
        right[(k + 1) * 3 + c]! += t * v;
      }
    }
  }
  // A symmetric system with one row beside the diagonal.
  const values = new Float64Array(n * 3);
  const upper = new Float64Array(n);
  const done = new Float64Array(n * 3);
  for (let k = 0; k < n; k++) {
    const low = k ? beside[k - 1]! : 0;
    const pivot = diagonal[k]! - low * (k ? upper[k - 1]! : 0);
    upper[k] = beside[k]! / pivot;
    for (let c = 0; c < 3; c++)
      done[k * 3 + c] = (right[k * 3 + c]! - low * (k ? done[(k - 1) * 3 + c]! : 0)) / pivot;
  }
  for (let k = n - 1; k >= 0; k--)
    for (let c = 0; c < 3; c++)
      values[k * 3 + c] = done[k * 3 + c]! - (k < n - 1 ? upper[k]! * values[(k + 1) * 3 + c]! : 0);
  return values;
}

const held: Triple = [0, 0, 0];

/** The knots' values in the 8 bits that stops are painted in. */
function painted(values: Labs): { readonly colors: Rgba[]; readonly labs: Labs } {
  const colors: Rgba[] = [];
  const labs = new Float64Array(values.length);
  for (let k = 0; k < values.length; k += 3) {
    oklabToLinear(values[k]!, values[k + 1]!, values[k + 2]!, held);
    const [r, g, b] = linearToRgb8(held);
    colors.push({ r, g, b, alpha: 1 });
    labs.set(rgbToOklab(r, g, b), k);
  }
  return { colors, labs };
}

interface Fit {
  readonly knots: readonly number[];
  readonly colors: readonly Rgba[];
  /** The same in OKLab. */
  readonly labs: Labs;
  /** Sum of differences in each stretch, and where in it the difference is largest. */
  readonly errors: readonly { readonly sum: number; readonly at: number }[];
}

/** A row in as many parts as stops are looked for at: the averages of its pixels. */
function binned(labs: Labs, bins: number): Labs {
  const n = labs.length / 3;
  if (bins === n) return labs;
  const out = new Float64Array(bins * 3);
  for (let b = 0; b < bins; b++) {
    // The first and the last stand for the ends of the row, the others for what lies around them.
    const from = Math.max(0, Math.round(((b - 0.5) / (bins - 1)) * (n - 1)));
    const to = clamp(Math.round(((b + 0.5) / (bins - 1)) * (n - 1)) - 1, from, n - 1);
    for (let i = from; i <= to; i++) for (let c = 0; c < 3; c++) out[b * 3 + c]! += labs[i * 3 + c]!;
    for (let c = 0; c < 3; c++) out[b * 3 + c]! /= to - from + 1;
  }
  return out;
}

function fitted(bins: Labs, knots: readonly number[]): Fit {
  const { colors, labs } = painted(knotValues(bins, knots));
  const errors = knots.slice(1).map((to, k) => {
    const from = knots[k]!;
    let [sum, most, at] = [0, -1, from];
    for (let i = from; i < to; i++) {
      const t = (i - from) / (to - from);
      let square = 0;
      for (let c = 0; c < 3; c++) {
        const d = labs[k * 3 + c]! * (1 - t) + labs[(k + 1) * 3 + c]! * t - bins[i * 3 + c]!;
        square += d * d;
      }
      const difference = Math.sqrt(square);
      sum += difference;
      if (difference > most && i > from) [most, at] = [difference, i];
    }
    return { sum, at };
  });
  return { knots, colors, labs, errors };
}

/** Pixels that are looked at where it has not to be exact. */
const ROUGH_LOOKS = 1000;

const isInside = (v: number) => v >= 0 && v <= 1;
const seen: Triple = [0, 0, 0];

/** How far a fit is from the row itself: as painted, pixel by pixel, or roughly and faster. */
function differences(
  row: Labs,
  bins: number,
  { knots, labs }: Fit,
  asPainted: boolean,
): { mean: number; most: number } {
  const n = row.length / 3;
  const step = asPainted ? 1 : Math.max(1, Math.floor(n / ROUGH_LOOKS));
  let [sum, most, k, count] = [0, 0, 0, 0];
  for (let i = 0; i < n; i += step) {
    const at = (i / (n - 1)) * (bins - 1);
    while (k < knots.length - 2 && at > knots[k + 1]!) k += 1;
    const t = (at - knots[k]!) / (knots[k + 1]! - knots[k]!);
    const own = k * 3;
    for (let c = 0; c < 3; c++) seen[c] = labs[own + c]! * (1 - t) + labs[own + 3 + c]! * t;
    if (asPainted) {
      // What leaves sRGB on the way is clipped when it is painted.
      oklabToLinear(seen[0], seen[1], seen[2], held);
      if (!isInside(held[0]) || !isInside(held[1]) || !isInside(held[2]))
        linearToOklab(clamp01(held[0]), clamp01(held[1]), clamp01(held[2]), seen);
    }
    const [l, a, b] = [seen[0] - row[i * 3]!, seen[1] - row[i * 3 + 1]!, seen[2] - row[i * 3 + 2]!];
    // Many times as fast as Math.hypot, and nothing here is near its limits.
    const difference = Math.sqrt(l * l + a * a + b * b);
    sum += difference;
    count += 1;
    if (difference > most) most = difference;
  }
  return { mean: sum / count, most };
}

/** Stops that are weighed against each other when one is to be taken out. */
const CANDIDATES = 3;
/** How far a rough look may be off. */
const ROUGHLY = 1.05;
/** How much more than the least that can be reached is as good, where the row is rougher than what was asked. */
const AS_GOOD = 1.03;

/** A fit with stops put where they help most, until the mean is within a tolerance. */
function grown(row: Labs, bins: Labs, tolerance: number, mostStops: number): Fit {
  const count = bins.length / 3;
  let fit = fitted(bins, [0, count - 1]);
  while (differences(row, count, fit, false).mean > tolerance && fit.knots.length < mostStops) {
    const worst = fit.errors
      .map((error, k) => ({ ...error, k }))
      .filter(({ at, k }) => at > fit.knots[k]! && at < fit.knots[k + 1]!)
      .reduce((a, b) => (b.sum > a.sum ? b : a), { sum: 0, at: -1, k: -1 });
    if (worst.at < 0) break;
    fit = fitted(
      bins,
      [...fit.knots, worst.at].sort((a, b) => a - b),
    );
  }
  return fit;
}

/** The knots between the ends, those first without which the row is followed nearly as well. */
function leastNeeded(bins: Labs, { knots, labs, errors }: Fit): number[] {
  return knots
    .slice(1, -1)
    .map((knot, at) => {
      const [from, to] = [knots[at]!, knots[at + 2]!];
      let sum = 0;
      for (let i = from; i < to; i++) {
        const t = (i - from) / (to - from);
        let square = 0;
        for (let c = 0; c < 3; c++) {
          const d = labs[at * 3 + c]! * (1 - t) + labs[(at + 2) * 3 + c]! * t - bins[i * 3 + c]!;
          square += d * d;
        }
        sum += Math.sqrt(square);
      }
      return { knot, more: sum - errors[at]!.sum - errors[at + 1]!.sum };
    })
    .sort((a, b) => a.more - b.more)
    .map(({ knot }) => knot);
}

/** The same without the stops that can go for as long as the mean stays within a tolerance. */
function thinned(row: Labs, bins: Labs, tolerance: number, from: Fit): Fit {
  const count = bins.length / 3;
  let fit = from;
  const isNear = (one: Fit) =>
    differences(row, count, one, false).mean <= tolerance * ROUGHLY &&
    differences(row, count, one, true).mean <= tolerance;
  for (;;) {
    const { knots } = fit;
    const tries = leastNeeded(bins, fit).slice(0, CANDIDATES);
    const less = tries
      .map((knot) =>
        fitted(
          bins,
          knots.filter((one) => one !== knot),
        ),
      )
      .find(isNear);
    if (!less) return fit;
    fit = less;
  }
}

/**
 * A gradient, mixed in OKLab, that follows a row of pixels (RGBA, 8 bits, opaque; 2 to 16,384 of them), spread evenly
 * from 0 to 100 %, so that its mean difference from the row is no more than `tolerance` (ΔE OK), in few stops, at most
 * `mostStops`: stops are put where they help most, and taken out again for as long as the mean allows it. Where the row is
 * rougher than that, it comes about as near as can be. Throws a RangeError for fewer or more pixels.
 */
export function followRow(
  pixels: Uint8ClampedArray | Uint8Array,
  tolerance: number,
  mostStops = 64,
): FollowedRow {
  const n = pixels.length / 4;
  if (n < 2 || n > LONGEST_ROW) throw new RangeError(`A row of 2 to ${LONGEST_ROW} pixels can be followed.`);
  const row = new Float64Array(n * 3);
  for (let i = 0; i < n; i++)
    row.set(rgbToOklab(pixels[i * 4]!, pixels[i * 4 + 1]!, pixels[i * 4 + 2]!), i * 3);
  const count = Math.min(n, MOST_BINS);
  const bins = binned(row, count);
  let fit = grown(row, bins, tolerance, mostStops);
  let far = differences(row, count, fit, true);
  // What leaves sRGB on the way is clipped when it is painted, which may take more stops.
  for (
    let asked = tolerance;
    far.mean > tolerance && fit.knots.length < mostStops && asked > tolerance / 4;
  ) {
    asked *= 0.8;
    const more = grown(row, bins, asked, mostStops);
    if (more.knots.length === fit.knots.length) continue;
    fit = more;
    far = differences(row, count, fit, true);
  }
  const reached = far.mean <= tolerance;
  fit = thinned(row, bins, reached ? tolerance : far.mean * AS_GOOD, fit);
  const stops = fit.knots.map((knot, k) => ({
    place: Math.round((knot / (count - 1)) * 1e5) / 1e3,
    color: fit.colors[k]!,
  }));
  return { stops, ...differences(row, count, fit, true), reached };
}

import { rgbToOklab, type Triple } from '../color/kernel.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { type MixingSpace, mixer } from './interpolate.ts';
import { type ColorStop, type CssGradient, colorAtPlace, placeStops } from './model.ts';

/** A stop of a fitted gradient: place in percent. */
export interface FittedStop {
  readonly place: number;
  readonly color: Rgba;
}

type Distance = (a: Rgba, b: Rgba) => number;

const oklab = ({ r, g, b }: Rgba): Triple => rgbToOklab(r, g, b);

/** ΔE OK, with the difference of alpha as a fourth direction. */
const perceived: Distance = (a, b) => {
  const [p, q] = [oklab(a), oklab(b)];
  return Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2], a.alpha - b.alpha);
};

/** The largest difference of premultiplied channels, 0–255: what a screen shows. */
const painted: Distance = (a, b) =>
  Math.max(
    Math.abs(a.r * a.alpha - b.r * b.alpha),
    Math.abs(a.g * a.alpha - b.g * b.alpha),
    Math.abs(a.b * a.alpha - b.b * b.alpha),
    Math.abs(a.alpha - b.alpha) * 255,
  );

/**
 * The fewest of the given samples that, joined by straight mixing, reproduce all of them to the tolerance.
 * Every choice of samples is weighed (by reachability, shortest way), so no smaller set of them exists.
 */
function fewest(
  samples: readonly FittedStop[],
  space: MixingSpace,
  tolerance: number,
  distance: Distance,
): FittedStop[] {
  const n = samples.length;
  const joins = (i: number, j: number): boolean => {
    const [a, b] = [samples[i]!, samples[j]!];
    const span = b.place - a.place;
    const between = mixer(a.color, b.color, space);
    const isNear = (k: number) => {
      const t = span > 0 ? (samples[k]!.place - a.place) / span : 1;
      return distance(between(t), samples[k]!.color) <= tolerance;
    };
    // The middle first: it is where a bad join shows.
    const middle = Math.floor((i + j) / 2);
    if (middle > i && !isNear(middle)) return false;
    for (let k = i + 1; k < j; k++) if (!isNear(k)) return false;
    return true;
  };
  // Breadth first: all samples reachable with one more stop, until the last is.
  const cameFrom = new Int32Array(n).fill(-1);
  let edge = [0];
  cameFrom[0] = 0;
  while (cameFrom[n - 1] === -1) {
    const next: number[] = [];
    for (const i of edge)
      for (let j = n - 1; j > i; j--)
        if (cameFrom[j] === -1 && (j === i + 1 || joins(i, j))) {
          cameFrom[j] = i;
          next.push(j);
        }
    edge = next;
  }
  const out: FittedStop[] = [];
  for (let i = n - 1; ; i = cameFrom[i]!) {
    out.unshift(samples[i]!);
    if (i === 0) return out;
  }
}

/**
 * The fewest stops that reproduce a row of colours, evenly spread from 0 to 100 %, to a tolerance in ΔE OK when
 * mixed in `space` (a rectangular one). 2 to 512 colours; one colour gives one stop. Throws a RangeError for
 * none or more.
 */
export function fitGradient(
  row: readonly Rgba[],
  space: MixingSpace = 'oklab',
  tolerance = 0.01,
): FittedStop[] {
  if (!row.length || row.length > 512) throw new RangeError('A row of 1 to 512 colours can be fitted.');
  const last = Math.max(1, row.length - 1);
  const samples = row.map((color, i) => ({ place: (i / last) * 100, color }));
  return samples.length < 3 ? samples : fewest(samples, space, tolerance, perceived);
}

const FIRST_CUTS = 48;
/** Places between two samples where the way is looked at: a kink hides from the middle alone. */
const LOOKS = [0.25, 0.5, 0.75];
const MOST_HALVINGS = 9;

/** Samples of a stretch, closer together where the colour does not go straight. */
function samplesOf(
  from: FittedStop,
  to: FittedStop,
  at: (place: number) => Rgba,
  fine: number,
): FittedStop[] {
  const out: FittedStop[] = [from];
  const halve = (a: FittedStop, b: FittedStop, depth: number) => {
    const between = (t: number) => a.place + (b.place - a.place) * t;
    const straight = mixer(a.color, b.color, 'srgb');
    const middle = { place: between(0.5), color: at(between(0.5)) };
    const bent = LOOKS.some((t) => painted(straight(t), at(between(t))) > fine);
    if (depth > 0 && bent) {
      halve(a, middle, depth - 1);
      halve(middle, b, depth - 1);
    } else out.push(b);
  };
  let last = from;
  for (let i = 1; i <= FIRST_CUTS; i++) {
    const place = from.place + ((to.place - from.place) * i) / FIRST_CUTS;
    const next = i === FIRST_CUTS ? to : { place, color: at(place) };
    halve(last, next, MOST_HALVINGS);
    last = next;
  }
  return out;
}

/**
 * The fewest sRGB stops that paint the same as a gradient mixed in another space, for browsers that know only
 * sRGB: never more than `tolerance` (in 8-bit steps, premultiplied) off along the way. Hard edges stay hard.
 */
export function bakeGradient<T extends CssGradient>(gradient: T, tolerance = 1, length = 100): T {
  if (gradient.space === 'srgb') return gradient;
  const placed = placeStops({ ...gradient, repeating: false }, length);
  const stops: FittedStop[] = [];
  const push = (stop: FittedStop) => {
    const before = stops[stops.length - 1];
    if (!before || before.place !== stop.place || painted(before.color, stop.color) > 0) stops.push(stop);
  };
  if (!placed.stretches.length) push({ place: placed.first, color: placed.colors[0]!.color });
  for (const { from, to, a, b } of placed.stretches) {
    push({ place: from, color: a });
    if (to > from) {
      const at = (place: number) => colorAtPlace(placed, place);
      const samples = samplesOf({ place: from, color: a }, { place: to, color: b }, at, tolerance * 0.15);
      // Samples are checked against straight lines between them, so a little is kept back for what lies between.
      for (const stop of fewest(samples, 'srgb', tolerance * 0.8, painted)) push(stop);
    }
    push({ place: to, color: b });
  }
  const rounded = ({ r, g, b, alpha }: Rgba): Rgba => ({ r: round3(r), g: round3(g), b: round3(b), alpha });
  return {
    ...gradient,
    space: 'srgb',
    hueWay: 'shorter',
    stops: stops.map(
      ({ place, color }): ColorStop => ({
        kind: 'stop',
        color: rounded(color),
        places: [{ value: place, unit: '%' }],
      }),
    ),
  };
}

const round3 = (n: number) => Math.round(n * 1000) / 1000;

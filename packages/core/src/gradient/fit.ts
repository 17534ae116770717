import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { SPACES } from '../color/spaces.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { type MixingSpace, mixer } from './interpolate.ts';
import {
  type ColorStop,
  type CssGradient,
  colorAtPlace,
  type Hint,
  placeStops,
  type StopPlace,
} from './model.ts';

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
  return shortestWay(samples.length, joins).map((i) => samples[i]!);
}

/** The fewest places from the first of n to the last such that each joins the next; a place always joins the one after it. */
function shortestWay(n: number, joins: (i: number, j: number) => boolean): number[] {
  // Breadth first: all places reachable with one more step, until the last is.
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
  const out: number[] = [];
  for (let i = n - 1; ; i = cameFrom[i]!) {
    out.unshift(i);
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

/** Pieces that a stretch is cut into before it is looked at, where it goes round the hues, and where it goes by straight ways. */
const [ROUND_CUTS, STRAIGHT_CUTS] = [48, 6];
/** Places between two samples where the way is looked at: a kink hides from the middle alone. */
const LOOKS = [0.25, 0.75];
const MOST_HALVINGS = 9;

/** What is painted of a colour, its channels times its opacity: straight mixing in sRGB is straight in these four. */
type PaintedParts = readonly [r: number, g: number, b: number, alpha: number];

const partsOf = ({ r, g, b, alpha }: Rgba): PaintedParts => [r * alpha, g * alpha, b * alpha, alpha * 255];

/** How far a colour is from the straight way between two, t 0–1 along it: the largest difference of a part. */
function offStraight(a: PaintedParts, b: PaintedParts, t: number, c: PaintedParts): number {
  let most = 0;
  for (let i = 0; i < 4; i++) most = Math.max(most, Math.abs(a[i]! + (b[i]! - a[i]!) * t - c[i]!));
  return most;
}

interface Sample extends FittedStop {
  readonly parts: PaintedParts;
}

/** Samples of a stretch, closer together where the colour does not go straight. */
function samplesOf(
  from: FittedStop,
  to: FittedStop,
  at: (place: number) => Rgba,
  fine: number,
  cuts: number,
): Sample[] {
  const sample = ({ place, color }: FittedStop): Sample => ({ place, color, parts: partsOf(color) });
  const out: Sample[] = [sample(from)];
  const halve = (a: Sample, b: Sample, depth: number) => {
    const between = (t: number) => a.place + (b.place - a.place) * t;
    const middle = sample({ place: between(0.5), color: at(between(0.5)) });
    const bent =
      offStraight(a.parts, b.parts, 0.5, middle.parts) > fine ||
      LOOKS.some((t) => offStraight(a.parts, b.parts, t, partsOf(at(between(t)))) > fine);
    if (depth > 0 && bent) {
      halve(a, middle, depth - 1);
      halve(middle, b, depth - 1);
    } else out.push(b);
  };
  let last = out[0]!;
  for (let i = 1; i <= cuts; i++) {
    const place = from.place + ((to.place - from.place) * i) / cuts;
    const next = sample(i === cuts ? to : { place, color: at(place) });
    halve(last, next, MOST_HALVINGS);
    last = next;
  }
  return out;
}

/** The fewest of the samples, as they are written in 8 bits, that joined by straight mixing paint all of them. */
function fewestPainted(samples: readonly Sample[], tolerance: number): FittedStop[] {
  const written = samples.map(({ place, color }) => ({ place, color: inBits(color) }));
  const parts = written.map(({ color }) => partsOf(color));
  const joins = (i: number, j: number): boolean => {
    const from = samples[i]!.place;
    const span = samples[j]!.place - from;
    const isNear = (k: number) => {
      const t = span > 0 ? (samples[k]!.place - from) / span : 1;
      return offStraight(parts[i]!, parts[j]!, t, samples[k]!.parts) <= tolerance;
    };
    // The middle first: it is where a bad join shows.
    const middle = Math.floor((i + j) / 2);
    if (middle > i && !isNear(middle)) return false;
    for (let k = i + 1; k < j; k++) if (!isNear(k)) return false;
    return true;
  };
  return shortestWay(samples.length, joins).map((i) => written[i]!);
}

/** Colours of 8 bits, an opacity among 255: what every engine keeps of a stop, however it keeps stops. */
export const inBits = ({ r, g, b, alpha }: Rgba): Rgba => ({
  r: Math.round(r),
  g: Math.round(g),
  b: Math.round(b),
  alpha: Math.round(Math.round(alpha * 255) * (1e4 / 255)) / 1e4,
});

/** Whether a gradient is a row of stops mixed straight in sRGB already. */
const isPlain = ({ space, stops }: CssGradient): boolean =>
  space === 'srgb' && stops.every(({ kind }) => kind === 'stop');

/**
 * The fewest sRGB stops that paint the same as a gradient mixed in another space or with the middle moved: never more than
 * `tolerance` (in 8-bit steps, premultiplied; 0.7 and up) off along the way. Hard edges stay hard. Colours are of 8 bits,
 * places in percent, or in px where all of them are and none is left out; for others a RangeError is thrown, since what is
 * between px and percent is another thing in every box.
 */
export function bakeGradient<T extends CssGradient>(gradient: T, tolerance = 1): T {
  if (isPlain(gradient)) return gradient;
  const unit = unitOf(gradient);
  if (!unit) throw new RangeError('Places in px and percent together say something else in every box.');
  // Of a line of 100 px each px is a percent.
  const placed = placeStops({ ...gradient, repeating: false }, 100);
  const cuts = SPACES[gradient.space].hue ? ROUND_CUTS : STRAIGHT_CUTS;
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
      const samples = samplesOf(
        { place: from, color: a },
        { place: to, color: b },
        at,
        tolerance * 0.15,
        cuts,
      );
      // Samples are checked against straight lines between them, so a little is kept back for what lies between.
      for (const stop of fewestPainted(samples, tolerance * 0.8)) push(stop);
    }
    push({ place: to, color: b });
  }
  return {
    ...gradient,
    space: 'srgb',
    hueWay: 'shorter',
    stops: stops.map(
      ({ place, color }): ColorStop => ({ kind: 'stop', color, places: [{ value: place, unit }] }),
    ),
  };
}

/** The unit of all places; null where there are both, or px and a place that is left out. */
export function unitOf({ stops }: CssGradient<unknown>): StopPlace['unit'] | null {
  const items = stops as readonly (ColorStop<unknown> | Hint)[];
  const places = items.flatMap((item) => (item.kind === 'hint' ? [item.place] : [...item.places]));
  if (places.every(({ unit }) => unit === '%')) return '%';
  const isPlaced = items.every((item) => item.kind === 'hint' || item.places.length > 0);
  return isPlaced && places.every(({ unit }) => unit === 'px') ? 'px' : null;
}

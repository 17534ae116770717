import type { HueWay } from '../color/mix.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { type MixingSpace, mixer } from './interpolate.ts';

/** A place along a gradient: percent, or a length in CSS px. Angles of conic gradients are percent of a turn. */
export interface StopPlace {
  readonly value: number;
  readonly unit: '%' | 'px';
}

/** A stop; its colour is a painted one, or in a project document the link that leads to one. */
export interface ColorStop<C = Rgba> {
  readonly kind: 'stop';
  readonly color: C;
  /** Left out, the place follows from the neighbours. Two places make a flat stretch. */
  readonly places: readonly [] | readonly [StopPlace] | readonly [StopPlace, StopPlace];
}

/** Where the middle of the change between two stops lies. */
export interface Hint {
  readonly kind: 'hint';
  readonly place: StopPlace;
}

export type Direction =
  | { readonly by: 'angle'; readonly degrees: number }
  | { readonly by: 'corner'; readonly x: 'left' | 'right' | null; readonly y: 'top' | 'bottom' | null };

export type RadialSize =
  | 'closest-side'
  | 'farthest-side'
  | 'closest-corner'
  | 'farthest-corner'
  | readonly [StopPlace]
  | readonly [StopPlace, StopPlace];

interface Common<S> {
  readonly repeating: boolean;
  readonly space: MixingSpace;
  readonly hueWay: HueWay;
  /** In source order: at least one stop, hints only between stops. */
  readonly stops: readonly (S | Hint)[];
}

export interface LinearGradient<S = ColorStop> extends Common<S> {
  readonly kind: 'linear';
  readonly direction: Direction;
}
export interface RadialGradient<S = ColorStop> extends Common<S> {
  readonly kind: 'radial';
  readonly shape: 'circle' | 'ellipse';
  readonly size: RadialSize;
  readonly center: readonly [StopPlace, StopPlace];
}
export interface ConicGradient<S = ColorStop> extends Common<S> {
  readonly kind: 'conic';
  /** Degrees at which the first stop lies, 0 up. */
  readonly from: number;
  readonly center: readonly [StopPlace, StopPlace];
}

/** A CSS gradient of any kind (CSS Images 4 §3), with stops of painted colours or of a kind of one's own. */
export type CssGradient<S = ColorStop> = LinearGradient<S> | RadialGradient<S> | ConicGradient<S>;

/** A stretch between two placed colours, with the exponent that a hint makes of its middle. */
interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly a: Rgba;
  readonly b: Rgba;
  readonly exponent: number;
  /** Where a hint at an end makes a jump instead. */
  readonly jump: 'start' | 'end' | null;
}

/** A gradient with all places worked out, ready for sampling. Places are percent of the line. */
export interface PlacedGradient {
  readonly first: number;
  readonly last: number;
  readonly stretches: readonly Stretch[];
  readonly colors: readonly { readonly place: number; readonly color: Rgba }[];
  readonly repeating: boolean;
  readonly space: MixingSpace;
  readonly hueWay: HueWay;
}

/** A place in percent of a gradient line of a length in px; of a line without length every px is at 0. */
export const percentOf = (place: StopPlace, length: number): number =>
  place.unit === '%' ? place.value : length > 0 ? (place.value / length) * 100 : 0;

/**
 * Works out the places of all stops by the rules of CSS Images 4 §3.4.3: the first is at 0 and the last at 100
 * unless placed, no place lies before an earlier one, those left out are spread evenly. `length` is that of
 * the gradient line in px, for places in px.
 */
export function placeStops(gradient: CssGradient, length = 100): PlacedGradient {
  type Entry = { color: Rgba | null; place: number | null };
  const entries: Entry[] = [];
  for (const item of gradient.stops) {
    if (item.kind === 'hint') entries.push({ color: null, place: percentOf(item.place, length) });
    else if (!item.places.length) entries.push({ color: item.color, place: null });
    else
      for (const place of item.places) entries.push({ color: item.color, place: percentOf(place, length) });
  }
  if (!entries.some((entry) => entry.color)) throw new RangeError('A gradient needs at least one stop.');
  entries[0]!.place ??= 0;
  entries[entries.length - 1]!.place ??= 100;
  let most = Number.NEGATIVE_INFINITY;
  for (const entry of entries)
    if (entry.place !== null) {
      most = Math.max(most, entry.place);
      entry.place = most;
    }
  for (let i = 1; i < entries.length; i++) {
    if (entries[i]!.place !== null) continue;
    let next = i;
    while (entries[next]!.place === null) next++;
    const from = entries[i - 1]!.place!;
    const step = (entries[next]!.place! - from) / (next - i + 1);
    for (let k = i; k < next; k++) entries[k]!.place = from + step * (k - i + 1);
  }
  const colors: { place: number; color: Rgba }[] = [];
  const stretches: Stretch[] = [];
  let hint: number | null = null;
  for (const entry of entries) {
    if (!entry.color) {
      hint = entry.place;
      continue;
    }
    const before = colors[colors.length - 1];
    if (before) {
      const span = entry.place! - before.place;
      const middle = hint === null || span === 0 ? 0.5 : (hint - before.place) / span;
      stretches.push({
        from: before.place,
        to: entry.place!,
        a: before.color,
        b: entry.color,
        exponent: middle > 0 && middle < 1 ? Math.log(0.5) / Math.log(middle) : 1,
        jump: middle <= 0 ? 'start' : middle >= 1 ? 'end' : null,
      });
    }
    hint = null;
    colors.push({ place: entry.place!, color: entry.color });
  }
  return {
    first: colors[0]!.place,
    last: colors[colors.length - 1]!.place,
    stretches,
    colors,
    repeating: gradient.repeating,
    space: gradient.space,
    hueWay: gradient.hueWay,
  };
}

interface Mixing {
  readonly space: MixingSpace;
  readonly hueWay: HueWay;
  readonly at: (t: number) => Rgba;
}

const mixings = new WeakMap<Stretch, Mixing>();

/** What mixes the colours of a stretch, made once: its ends are brought into the space once and not for every place. */
function mixerOf(stretch: Stretch, space: MixingSpace, hueWay: HueWay): (t: number) => Rgba {
  let mixing = mixings.get(stretch);
  if (mixing?.space !== space || mixing.hueWay !== hueWay) {
    mixing = { space, hueWay, at: mixer(stretch.a, stretch.b, space, hueWay) };
    mixings.set(stretch, mixing);
  }
  return mixing.at;
}

/**
 * The colour at a place, in percent of the line; any number. A repeating gradient repeats the stretch from its
 * first to its last stop; one whose stops all share a place is flat, in the colour of the last, as browsers
 * paint it (CSS Images 4 §3.5 asks for an average).
 */
export function colorAtPlace(placed: PlacedGradient, at: number): Rgba {
  const { first, last, stretches, colors, space, hueWay } = placed;
  let place = at;
  if (placed.repeating) {
    const span = last - first;
    if (span <= 0) return colors[colors.length - 1]!.color;
    place = first + ((((at - first) % span) + span) % span);
  }
  if (place < first) return colors[0]!.color;
  if (place >= last) return colors[colors.length - 1]!.color;
  // The last stretch that begins at or before the place: at a hard edge, the side after it.
  let low = 0;
  let high = stretches.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (stretches[middle]!.from <= place) low = middle;
    else high = middle - 1;
  }
  const stretch = stretches[low]!;
  if (stretch.to <= stretch.from) return stretch.b;
  const along = (place - stretch.from) / (stretch.to - stretch.from);
  if (stretch.jump) return stretch.jump === 'start' ? stretch.b : stretch.a;
  const t = stretch.exponent === 1 ? along : along ** stretch.exponent;
  return mixerOf(stretch, space, hueWay)(t);
}

/** The average colour from the first to the last stop, each stretch by its length; the last where there is none. */
export function averageColor({ first, last, stretches, colors }: PlacedGradient): Rgba {
  const sum = { r: 0, g: 0, b: 0, alpha: 0 };
  if (last <= first) return colors[colors.length - 1]!.color;
  for (const { from, to, a, b } of stretches)
    for (const key of ['r', 'g', 'b', 'alpha'] as const)
      sum[key] += (((a[key] + b[key]) / 2) * (to - from)) / (last - first);
  return sum;
}

/** n colours (2 and up) evenly along a gradient, ends included. */
export function slices(gradient: CssGradient, n: number, length = 100): Rgba[] {
  const placed = placeStops({ ...gradient, repeating: false }, length);
  const count = Math.max(2, Math.round(n));
  return Array.from({ length: count }, (_, i) => colorAtPlace(placed, (i / (count - 1)) * 100));
}

import { type Grounds, hidesAll, opaqueGrounds, type SeenColors } from '../../contrast/over-colors.ts';
import type { Rgba } from '../../contrast/ratio.ts';
import type { Gradient } from '../../document/gradients/gradient.ts';
import { hintsAsStops } from '../../gradient/hints-as-stops.ts';
import { colorAtPlace, type PlacedGradient, placeStops } from '../../gradient/model.ts';
import { clamp } from '../../numbers/clamp.ts';
import { paintedGradient, type ResolvedGradient } from '../../system/gradients/resolved-gradient.ts';
import type { UnderText } from './measurement.ts';

/** Places that are looked at between two stops of a line, and along the whole of it at most. */
const LOOKS = 40;
const MOST_LOOKS = 1024;
/** How far before a stop the colours that lead to it are looked at last, in percent. */
const BEFORE_END = 1e-6;

export interface Line {
  readonly seen: SeenColors;
  readonly places: readonly number[];
  /** The same as what lies under a text: an area of one row. */
  readonly bare: UnderText;
  /** The same as grounds; null where what lies beneath shows through. */
  readonly grounds: Grounds | null;
  /** What it was worked out from. */
  readonly from: { readonly placed: PlacedGradient; readonly looks: Looks };
}

const lines = new WeakMap<ResolvedGradient, Line | null>();

/** The colours along the whole line of a gradient, both sides of hard edges, as Chromium paints them; null where it has none. */
export function alongLine(resolved: ResolvedGradient): Line | null {
  let line = lines.get(resolved);
  if (line === undefined) {
    const painted = paintedGradient(resolved);
    const before = resolved.takeBefore();
    const old = before && lines.get(before);
    line =
      painted &&
      lineOf(hintsAsStops(placeStops({ ...painted, repeating: false }, LINE)), resolved, old ?? null);
    lines.set(resolved, line);
  }
  return line;
}

/** Where along a line is looked. It depends on the stops' places and not on their colours. */
interface Looks {
  /** The ends of stretches, of which each is looked at as often. */
  readonly ends: readonly number[];
  readonly each: number;
  readonly places: readonly number[];
  readonly counts: Uint32Array;
  readonly at: Uint32Array;
}

const looksOf = new WeakMap<Gradient, Looks>();

function looksAt(placed: PlacedGradient, gradient: Gradient): Looks {
  const known = looksOf.get(gradient);
  const ends = [0, ...placed.colors.map(({ place }) => place).filter((at) => at > 0 && at < 100), 100];
  // Stops without a colour are left out, so that one gradient may have other ends in another theme.
  if (known && known.ends.length === ends.length && known.ends.every((end, i) => end === ends[i]))
    return known;
  const each = clamp(Math.floor(MOST_LOOKS / ends.length), 4, LOOKS);
  const places: number[] = [];
  for (let i = 1; i < ends.length; i++) {
    const [from, to] = [ends[i - 1]!, ends[i]! - BEFORE_END];
    if (to > from) for (let k = 0; k <= each; k++) places.push(from + ((to - from) * k) / each);
  }
  places.push(100);
  // Each stands for the part of the line up to the next.
  const counts = Uint32Array.from(places, (place, i) =>
    Math.max(1, Math.round(((places[i + 1] ?? 100) - place) * PARTS)),
  );
  const looks = { ends, each, places, counts, at: Uint32Array.from(places.keys()) };
  looksOf.set(gradient, looks);
  return looks;
}

/** The line of a gradient; given the line that it had with other colours, just the stretches between those are worked out. */
function lineOf(placed: PlacedGradient, resolved: ResolvedGradient, old: Line | null): Line {
  const looks = looksAt(placed, resolved.gradient);
  const { ends, each, places, counts, at } = looks;
  const before = old && old.from.looks === looks && isAlike(placed, old.from.placed) ? old : null;
  const colors = before ? (before.seen.colors.slice() as Float32Array) : new Float32Array(places.length * 4);
  const changed: [from: number, to: number][] = [];
  let filled = 0;
  let next = 0;
  for (let i = 1; i < ends.length; i++) {
    const [from, to] = [ends[i - 1]!, ends[i]! - BEFORE_END];
    if (to <= from) continue;
    while (next < placed.stretches.length && placed.stretches[next]!.to <= from) next += 1;
    if (!before || !isSameBetween(placed, before.from.placed, next, from, to)) {
      for (let k = 0; k <= each; k++)
        setColor(colors, filled + k, colorAtPlace(placed, from + ((to - from) * k) / each));
      changed.push([filled, filled + each + 1]);
    }
    filled += each + 1;
  }
  setColor(colors, filled, colorAtPlace(placed, 100));
  changed.push([filled, filled + 1]);
  const seen = { colors, counts, at };
  const area = { x: 0, y: 0, width: places.length, height: 1 };
  const grounds = hidesAll(seen) ? opaqueGrounds(seen, before?.grounds ?? null, changed) : null;
  return { seen, places, bare: { seen, area, source: resolved }, grounds, from: { placed, looks } };
}

function setColor(colors: Float32Array, i: number, { r, g, b, alpha }: Rgba): void {
  colors[i * 4] = r;
  colors[i * 4 + 1] = g;
  colors[i * 4 + 2] = b;
  colors[i * 4 + 3] = alpha * 255;
}

const isSame = (a: Rgba, b: Rgba) =>
  a === b || (a.r === b.r && a.g === b.g && a.b === b.b && a.alpha === b.alpha);

/** Whether two states of one gradient have the same stretches, colours aside. */
const isAlike = (a: PlacedGradient, b: PlacedGradient) =>
  a.stretches.length === b.stretches.length &&
  a.stretches.every(({ from, to, exponent, jump }, i) => {
    const other = b.stretches[i]!;
    return from === other.from && to === other.to && exponent === other.exponent && jump === other.jump;
  });

/** Whether the colours from one place to another are what they were; `first` is the first stretch that reaches there. */
function isSameBetween(
  now: PlacedGradient,
  old: PlacedGradient,
  first: number,
  from: number,
  to: number,
): boolean {
  if (from < now.first && !isSame(now.colors[0]!.color, old.colors[0]!.color)) return false;
  if (to >= now.last && !isSame(now.colors.at(-1)!.color, old.colors.at(-1)!.color)) return false;
  for (let i = first; i < now.stretches.length && now.stretches[i]!.from < to; i++) {
    const [a, b] = [now.stretches[i]!, old.stretches[i]!];
    if (!isSame(a.a, b.a) || !isSame(a.b, b.b)) return false;
  }
  return true;
}

/** Parts of a percent that the lengths of a line's colours are counted in. */
const PARTS = 1000;
/** Px of a line whose box is not known, for stops at places in px. */
const LINE = 600;
/** A colour of a gradient's line. */
export interface LineColor {
  readonly color: Rgba;
  readonly at: number;
  /** How much of the line it stands for. */
  readonly weight: number;
}

const some = new WeakMap<SeenColors, Map<number, readonly LineColor[]>>();

/** Some of the colours of a line, evenly spread, ends included; remembered with the line. */
export function someOf(seen: SeenColors, most: number): readonly LineColor[] {
  let known = some.get(seen);
  if (!known) {
    known = new Map();
    some.set(seen, known);
  }
  let chosen = known.get(most);
  if (!chosen) {
    chosen = chosenOf(seen, most);
    known.set(most, chosen);
  }
  return chosen;
}

function chosenOf({ colors, counts }: SeenColors, most: number): LineColor[] {
  const all = counts.length;
  const n = Math.min(most, all);
  return Array.from({ length: n }, (_, k) => {
    const at = n === 1 ? 0 : Math.round((k * (all - 1)) / (n - 1));
    const [r, g, b, a] = [0, 1, 2, 3].map((i) => Math.round(colors[at * 4 + i]!));
    return { color: { r: r!, g: g!, b: b!, alpha: a! / 255 }, at, weight: counts[at]! };
  });
}

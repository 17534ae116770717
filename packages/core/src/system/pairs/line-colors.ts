import type { SeenColors } from '../../contrast/over-colors.ts';
import type { Rgba } from '../../contrast/ratio.ts';
import { hintsAsStops } from '../../gradient/hints-as-stops.ts';
import { colorAtPlace, type PlacedGradient, placeStops, type Stretch } from '../../gradient/model.ts';
import type { Gradient } from '../gradients/gradient.ts';
import { paintedGradient, type ResolvedGradient } from '../gradients/resolved-gradient.ts';
import type { UnderText } from './measurement.ts';

/** Places that are looked at between two stops of a line, and along the whole of it at most. */
const LOOKS = 40;
const MOST_LOOKS = 1024;
/** How far before a stop the colours that lead to it are looked at last, in percent. */
const BEFORE_END = 1e-6;

interface Line {
  readonly seen: SeenColors;
  readonly places: readonly number[];
  /** The same as what lies under a text: an area of one row. */
  readonly bare: UnderText;
}

const lines = new WeakMap<ResolvedGradient, Line | null>();

/** The colours along the whole line of a gradient, both sides of hard edges, as Chromium paints them; null where it has none. */
export function alongLine(resolved: ResolvedGradient): Line | null {
  let line = lines.get(resolved);
  if (line === undefined) {
    const painted = paintedGradient(resolved);
    line = painted && lineOf(hintsAsStops(placeStops({ ...painted, repeating: false }, LINE)), resolved);
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
  const each = Math.max(4, Math.min(LOOKS, Math.floor(MOST_LOOKS / ends.length)));
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

function lineOf(placed: PlacedGradient, resolved: ResolvedGradient): Line {
  const { ends, each, places, counts, at } = looksAt(placed, resolved.gradient);
  const colors = new Float32Array(places.length * 4);
  let filled = 0;
  let next = 0;
  for (let i = 1; i < ends.length; i++) {
    const [from, to] = [ends[i - 1]!, ends[i]! - BEFORE_END];
    if (to <= from) continue;
    while (next < placed.stretches.length && placed.stretches[next]!.to <= from) next += 1;
    const part = colorsBetween(placed, placed.stretches[next], from, to, each);
    colors.set(part, filled);
    filled += part.length;
  }
  colors.set(bytesOf(colorAtPlace(placed, 100)), filled);
  const seen = { colors, counts, at };
  const area = { x: 0, y: 0, width: places.length, height: 1 };
  return { seen, places, bare: { seen, area, source: resolved } };
}

const bytesOf = ({ r, g, b, alpha }: Rgba) => [r, g, b, alpha * 255];

/** The colours of stretches between two stops, by what they show: when one stop changes, the others are still there. */
const between = new Map<string, Float32Array>();
/** Stretches that are remembered, the latest; of 17 colours each some 40 MB at the most. */
const MOST_BETWEEN = 40_000;

function colorsBetween(
  placed: PlacedGradient,
  stretch: Stretch | undefined,
  from: number,
  to: number,
  looks: number,
): Float32Array {
  const key = stretch && keyOf(placed, stretch, from, to, looks);
  const known = key && between.get(key);
  if (known) return known;
  const colors = new Float32Array((looks + 1) * 4);
  for (let k = 0; k <= looks; k++)
    colors.set(bytesOf(colorAtPlace(placed, from + ((to - from) * k) / looks)), k * 4);
  if (!key) return colors;
  if (between.size >= MOST_BETWEEN) between.clear();
  between.set(key, colors);
  return colors;
}

/** What the colours from one place to another depend on; null where they are not those of one whole stretch. */
function keyOf({ space, hueWay }: PlacedGradient, stretch: Stretch, from: number, to: number, looks: number) {
  const { a, b, exponent, jump } = stretch;
  if (jump || stretch.from !== from || stretch.to < to || stretch.to - to > 1e-5) return null;
  return `${space} ${hueWay} ${looks} ${exponent} ${to - from} ${a.r} ${a.g} ${a.b} ${a.alpha} ${b.r} ${b.g} ${b.b} ${b.alpha}`;
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

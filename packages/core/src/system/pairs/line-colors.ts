import type { SeenColors } from '../../contrast/over-colors.ts';
import type { Rgba } from '../../contrast/ratio.ts';
import { hintsAsStops } from '../../gradient/hints-as-stops.ts';
import { colorAtPlace, placeStops } from '../../gradient/model.ts';
import { paintedGradient, type ResolvedGradient } from '../gradients/resolved-gradient.ts';

/** Places that are looked at between two stops of a line, and along the whole of it at most. */
const LOOKS = 40;
const MOST_LOOKS = 1024;

const lines = new WeakMap<
  ResolvedGradient,
  { readonly seen: SeenColors; readonly places: readonly number[] } | null
>();

/** The colours along the whole line of a gradient, both sides of hard edges, as Chromium paints them; null where it has none. */
export function alongLine(resolved: ResolvedGradient) {
  let line = lines.get(resolved);
  if (line !== undefined) return line;
  const painted = paintedGradient(resolved);
  line = null;
  if (painted) {
    const placed = hintsAsStops(placeStops({ ...painted, repeating: false }, LINE));
    const ends = [0, ...placed.colors.map(({ place }) => place).filter((at) => at > 0 && at < 100), 100];
    const looks = Math.max(4, Math.min(LOOKS, Math.floor(MOST_LOOKS / ends.length)));
    const places = ends.slice(1).flatMap((end, i) => {
      const [from, to] = [ends[i]!, end - 1e-6];
      if (to <= from) return [];
      return Array.from({ length: looks + 1 }, (_, k) => from + ((to - from) * k) / looks);
    });
    places.push(100);
    const colors = new Float32Array(places.length * 4);
    places.forEach((at, i) => {
      const { r, g, b, alpha } = colorAtPlace(placed, at);
      colors.set([r, g, b, alpha * 255], i * 4);
    });
    const at = Uint32Array.from(places.keys());
    // Each stands for the part of the line up to the next.
    const counts = Uint32Array.from(places, (place, i) =>
      Math.max(1, Math.round(((places[i + 1] ?? 100) - place) * PARTS)),
    );
    line = { seen: { colors, counts, at }, places };
  }
  lines.set(resolved, line);
  return line;
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

/** Some of the colours of a line, evenly spread, ends included. */
export function someOf({ colors, counts }: SeenColors, most: number): LineColor[] {
  const all = counts.length;
  const n = Math.min(most, all);
  return Array.from({ length: n }, (_, k) => {
    const at = n === 1 ? 0 : Math.round((k * (all - 1)) / (n - 1));
    const [r, g, b, a] = [0, 1, 2, 3].map((i) => Math.round(colors[at * 4 + i]!));
    return { color: { r: r!, g: g!, b: b!, alpha: a! / 255 }, at, weight: counts[at]! };
  });
}

import type { SeenColors } from '../contrast/over-colors.ts';
import { clamp255 } from '../numbers/clamp.ts';
import type { Area } from './area.ts';
import type { GradientPainter } from './geometry.ts';
import { hintsAsStops } from './hints-as-stops.ts';
import type { Point } from './line.ts';
import { colorAtPlace } from './model.ts';

/** The pixels of an area that show every colour of a gradient that is seen in it, and for how many each stands. */
export interface Covered {
  readonly points: readonly Point[];
  readonly counts: Uint32Array;
  /** Index of each pixel in the area, row by row. */
  readonly at: Uint32Array;
}

/** Pixels that are looked at, at most; of larger areas every second or third row and column. */
const MOST = 80_000;
/** Parts of the way along the gradient; of each its first and its last pixel are kept. */
const PARTS = 1024;

/**
 * Which pixels of an area (px, within the painter's box) have to be asked for their colours, so that none that is
 * painted is missed by more than a thousandth of the way along the gradient; near hard edges both sides are kept. It
 * depends on the gradient's shape and places and not on its colours.
 */
export function coveredBy({ placeAt, placed }: GradientPainter, area: Area): Covered {
  const step = Math.max(1, Math.ceil(Math.sqrt((area.width * area.height) / MOST)));
  const along = (size: number) =>
    Array.from({ length: Math.ceil((size - 1) / step) + 1 }, (_, i) => Math.min(i * step, size - 1));
  const [columns, rows] = [along(area.width), along(area.height)];
  const span = placed.last - placed.first;
  const folded = placed.repeating && span > 0;
  const places = new Float64Array(columns.length * rows.length);
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  let n = 0;
  for (const row of rows)
    for (const column of columns) {
      const place = placeAt({ x: area.x + column + 0.5, y: area.y + row + 0.5 });
      // All repeats show the same.
      places[n] = folded ? (((place - placed.first) % span) + span) % span : place;
      low = Math.min(low, places[n]!);
      high = Math.max(high, places[n]!);
      n += 1;
    }
  const width = (high - low) / PARTS;
  const first = new Int32Array(PARTS).fill(-1);
  const last = new Int32Array(PARTS);
  const inPart = new Uint32Array(PARTS);
  for (let i = 0; i < n; i++) {
    const part = width > 0 ? Math.min(PARTS - 1, Math.floor((places[i]! - low) / width)) : 0;
    inPart[part]! += 1;
    if (first[part] === -1 || places[i]! < places[first[part]!]!) first[part] = i;
    if (inPart[part] === 1 || places[i]! > places[last[part]!]!) last[part] = i;
  }
  const kept: number[] = [];
  const counts: number[] = [];
  for (let part = 0; part < PARTS; part++) {
    const [a, b] = [first[part]!, last[part]!];
    if (a === -1) continue;
    kept.push(a);
    counts.push(a === b ? inPart[part]! : Math.ceil(inPart[part]! / 2));
    if (a === b) continue;
    kept.push(b);
    counts.push(Math.floor(inPart[part]! / 2));
  }
  const pixel = (i: number) => [columns[i % columns.length]!, rows[Math.floor(i / columns.length)]!] as const;
  return {
    points: kept.map((i) => ({ x: area.x + pixel(i)[0] + 0.5, y: area.y + pixel(i)[1] + 0.5 })),
    counts: Uint32Array.from(counts),
    at: Uint32Array.from(kept, (i) => pixel(i)[1] * area.width + pixel(i)[0]),
  };
}

/** The colours of a gradient at pixels that cover it, as Chromium paints them. */
export function colorsAt(painter: GradientPainter, { points, counts, at }: Covered): SeenColors {
  const { placeAt } = painter;
  const hinted = painter.placed.stretches.some(({ exponent, jump }) => exponent !== 1 && !jump);
  const pieces = hinted ? hintsAsStops(painter.placed) : null;
  const colors = new Float32Array(points.length * 4);
  points.forEach((point, i) => {
    const { r, g, b, alpha } = pieces ? colorAtPlace(pieces, placeAt(point)) : painter.colorAt(point);
    colors.set([clamp255(r), clamp255(g), clamp255(b), alpha * 255], i * 4);
  });
  return { colors, counts, at };
}

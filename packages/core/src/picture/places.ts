import { rgbToOklab, type Triple } from '../color/kernel.ts';
import type { Division } from './division.ts';
import { CELLS, cellOf, type Histogram, wordsOf } from './histogram.ts';
import type { Pixels } from './sample.ts';

/** A place in a picture, in whole px. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

interface Rgb {
  readonly r: number;
  readonly g: number;
  readonly b: number;
}

/** No patch is searched for a place further from its edge than so many px. */
const DEEP = 255;

/** ΔE OK within which a pixel shows a colour. */
const SHOWS = 0.02;
/** What belongs to no part, since it looks like none of the colours. */
const NONE = 255;

/** OKLab of every pixel, three numbers each: six palettes of a picture ask for the same. */
function oklabOfEach({ width, height, pixels }: Pixels): Float64Array {
  const labs = new Float64Array(width * height * 3);
  const lab: Triple = [0, 0, 0];
  for (let i = 0, from = 0, to = 0; i < width * height; i++, from += 4, to += 3) {
    rgbToOklab(pixels[from]!, pixels[from + 1]!, pixels[from + 2]!, lab);
    labs[to] = lab[0];
    labs[to + 1] = lab[1];
    labs[to + 2] = lab[2];
  }
  return labs;
}

/**
 * For each colour of a divided picture (at most 254) the place that lies deepest within what shows it, as far from all
 * else as any: where an eye would look for that colour, and a square around it averages little else. Of several as
 * deep, the one nearest to the middle of them. `nearest` is the {@link Division}'s; a pixel shows its colour up to ΔE
 * OK 0.02. Null for colours that no pixel shows. Linear in pixels.
 */
export const deepestPlaces = (
  picture: Pixels,
  division: Pick<Division, 'nearest'>,
  colors: readonly Rgb[],
): (Spot | null)[] => deepestOf(picture, oklabOfEach(picture), division, colors);

function deepestOf(
  { width, height, pixels }: Pixels,
  seen: Float64Array,
  { nearest }: Pick<Division, 'nearest'>,
  colors: readonly Rgb[],
): (Spot | null)[] {
  const words = wordsOf(pixels);
  const labs = Float64Array.from(colors.flatMap(({ r, g, b }) => rgbToOklab(r, g, b)));
  const parts = NONE + 1;
  const part = new Uint8Array(width * height).fill(NONE);
  for (let i = 0, at = 0; i < part.length; i++, at += 3) {
    const word = words[i]!;
    const own = nearest[cellOf(word)]!;
    if (word >= 0 || own >= colors.length) continue;
    const dl = seen[at]! - labs[own * 3]!;
    const da = seen[at + 1]! - labs[own * 3 + 1]!;
    const db = seen[at + 2]! - labs[own * 3 + 2]!;
    if (dl * dl + da * da + db * db <= SHOWS * SHOWS) part[i] = own;
  }
  const depth = depthOf(part, width, height);
  const most = new Uint8Array(parts);
  for (let i = 0; i < part.length; i++) if (depth[i]! > most[part[i]!]!) most[part[i]!] = depth[i]!;
  // The middle of the deepest, then the deepest that is nearest to it.
  const sums = Array.from({ length: parts }, () => ({ x: 0, y: 0, n: 0 }));
  const deepest: number[] = [];
  for (let i = 0; i < part.length; i++) {
    const own = part[i]!;
    if (own === NONE || depth[i] !== most[own]) continue;
    deepest.push(i);
    const sum = sums[own]!;
    sum.x += i % width;
    sum.y += Math.floor(i / width);
    sum.n += 1;
  }
  const best = Array.from({ length: parts }, () => ({ at: -1, distance: Number.POSITIVE_INFINITY }));
  for (const i of deepest) {
    const sum = sums[part[i]!]!;
    const distance = ((i % width) - sum.x / sum.n) ** 2 + (Math.floor(i / width) - sum.y / sum.n) ** 2;
    const known = best[part[i]!]!;
    if (distance < known.distance) {
      known.at = i;
      known.distance = distance;
    }
  }
  return colors.map((_, c) => {
    const { at } = best[c]!;
    return at === -1 ? null : { x: at % width, y: Math.floor(at / width) };
  });
}

/** The pixel of a square that shows a colour best, and how well, ΔE OK: where it is first met. Transparent ones aside. */
function bestWithin(
  { width, height, pixels }: Pixels,
  { r, g, b }: Rgb,
  square: { readonly x: number; readonly y: number; readonly side: number },
): (Spot & { readonly difference: number }) | null {
  const words = wordsOf(pixels);
  const right = Math.min(width, square.x + square.side);
  const bottom = Math.min(height, square.y + square.side);
  // Channels first, which are quick to compare; what looks alike in them looks alike.
  let least = Number.POSITIVE_INFINITY;
  let at = -1;
  for (let y = square.y; y < bottom; y++)
    for (let x = square.x; x < right; x++) {
      const word = words[y * width + x]!;
      if (word >= 0) continue;
      const d = distanceTo(word, r, g, b);
      if (d < least) {
        least = d;
        at = y * width + x;
      }
    }
  if (at < 0) return null;
  const word = words[at]!;
  const [l, a, o] = rgbToOklab(word & 255, (word >> 8) & 255, (word >> 16) & 255);
  const [cl, ca, cb] = rgbToOklab(r, g, b);
  return { x: at % width, y: Math.floor(at / width), difference: Math.hypot(l - cl, a - ca, o - cb) };
}

/** The square of how far a pixel is from a colour, by channels. */
function distanceTo(word: number, r: number, g: number, b: number): number {
  const [dr, dg, db] = [(word & 255) - r, ((word >> 8) & 255) - g, ((word >> 16) & 255) - b];
  return dr * dr + dg * dg + db * db;
}

/** How far a channel's value lies beside what a cell of 5 bits holds of it. */
const beside = (bits: number, v: number): number => {
  const from = (bits & 31) << 3;
  return v < from ? from - v : v > from + 7 ? v - from - 7 : 0;
};

/** Has no cell ask for a colour any more. Lists are made anew: one of them may be gone through. */
function leave(asks: (number[] | null)[], color: number): void {
  for (let key = 0; key < asks.length; key++) {
    const asked = asks[key];
    if (!asked?.includes(color)) continue;
    const others = asked.filter((one) => one !== color);
    asks[key] = others.length ? others : null;
  }
}

/**
 * For each of some colours the pixel of a picture that shows it best by channels, where it is first met, half
 * transparent ones aside; null where there is none. `h` has to be counted from the same pixels: it says which cells a
 * pixel as near as one that is known can lie in, and no other is looked at. One pass over the pixels, of any number of
 * colours.
 */
export function bestPixels(
  { width, pixels }: Pixels,
  h: Pick<Histogram, 'key' | 'place'>,
  colors: readonly Rgb[],
): (Spot | null)[] {
  const words = wordsOf(pixels);
  const asks = new Array<number[] | null>(CELLS).fill(null);
  colors.forEach(({ r, g, b }, c) => {
    let known = Number.POSITIVE_INFINITY;
    for (const at of h.place) known = Math.min(known, distanceTo(words[at]!, r, g, b));
    for (const key of h.key) {
      const [dr, dg, db] = [beside(key >> 10, r), beside(key >> 5, g), beside(key, b)];
      if (dr * dr + dg * dg + db * db > known) continue;
      const asked = asks[key];
      if (asked) asked.push(c);
      else asks[key] = [c];
    }
  });
  const least = new Float64Array(colors.length).fill(Number.POSITIVE_INFINITY);
  const best = new Int32Array(colors.length).fill(-1);
  let left = colors.length;
  for (let i = 0; i < words.length && left; i++) {
    const word = words[i]!;
    if (word >= 0) continue;
    const asked = asks[cellOf(word)]!;
    if (asked === null) continue;
    for (const c of asked) {
      const { r, g, b } = colors[c]!;
      const d = distanceTo(word, r, g, b);
      if (d >= least[c]!) continue;
      least[c] = d;
      best[c] = i;
      // None can be nearer, and photographs have most of their colours soon.
      if (d === 0) {
        leave(asks, c);
        left -= 1;
      }
    }
  }
  return Array.from(best, (at) => (at < 0 ? null : { x: at % width, y: Math.floor(at / width) }));
}

/** A palette, and the picture divided among its colours. */
export interface DividedPalette {
  readonly division: Pick<Division, 'nearest'>;
  readonly colors: readonly Rgb[];
}

/**
 * Where each colour of some palettes is shown in a picture: deep within what shows it, as far as it is seen in the
 * picture made `factor` times smaller; else the pixel that shows it best. `h` is counted from the whole picture. Stops
 * after each palette, so that others may have their turn.
 */
export function* placesOfPalettes(
  whole: Pixels,
  h: Pick<Histogram, 'key' | 'place'>,
  small: Pixels,
  factor: number,
  palettes: readonly DividedPalette[],
): Generator<void, Spot[][]> {
  const seen = oklabOfEach(small);
  const sought: Rgb[] = [];
  /** Of each colour its place, or which of those that are sought it is. */
  const found: (Spot | number)[][] = [];
  for (const { division, colors } of palettes) {
    found.push(
      deepestOf(small, seen, division, colors).map((deep, i) => {
        // A pixel of the small picture is the mean of many: the one among them that shows it is looked for.
        const square = deep && { x: deep.x * factor, y: deep.y * factor, side: factor };
        const best = square && bestWithin(whole, colors[i]!, square);
        return best && best.difference <= SHOWS ? { x: best.x, y: best.y } : sought.push(colors[i]!) - 1;
      }),
    );
    yield;
  }
  const best = sought.length ? bestPixels(whole, h, sought) : [];
  return found.map((row) =>
    row.map((one) => (typeof one === 'number' ? (best[one] ?? { x: 0, y: 0 }) : one)),
  );
}

/** How many px each place lies from the next of another part or the edge, in steps to all eight sides; 1–255. */
function depthOf(part: Uint8Array, width: number, height: number): Uint8Array {
  // With a border that belongs to no part, so that nothing has to be asked at the edges.
  const across = width + 2;
  const own = new Int16Array(across * (height + 2)).fill(-1);
  for (let y = 0; y < height; y++) own.set(part.subarray(y * width, (y + 1) * width), (y + 1) * across + 1);
  const depth = new Uint8Array(own.length);
  for (let i = 0; i < own.length; i++) depth[i] = own[i]! < 0 ? 0 : DEEP;
  settle(own, depth, across, across + 1, own.length - across - 1, 1);
  settle(own, depth, across, own.length - across - 2, across, -1);
  const out = new Uint8Array(part.length);
  for (let y = 0; y < height; y++)
    out.set(depth.subarray((y + 1) * across + 1, (y + 1) * across + 1 + width), y * width);
  return out;
}

/** One more than the least depth of those four of a place's neighbours that were passed before it, where they are of its part. */
function settle(
  own: Int16Array,
  depth: Uint8Array,
  across: number,
  from: number,
  to: number,
  way: 1 | -1,
): void {
  const row = across * way;
  for (let i = from; i !== to; i += way) {
    const part = own[i]!;
    if (part < 0) continue;
    let least = DEEP;
    least = Math.min(least, own[i - way] === part ? depth[i - way]! : 0);
    least = Math.min(least, own[i - row - way] === part ? depth[i - row - way]! : 0);
    least = Math.min(least, own[i - row] === part ? depth[i - row]! : 0);
    least = Math.min(least, own[i - row + way] === part ? depth[i - row + way]! : 0);
    if (least + 1 < depth[i]!) depth[i] = least + 1;
  }
}

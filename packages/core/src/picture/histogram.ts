import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { drain } from '../in-parts/drain.ts';

/** Every pixel of a picture counted into cells of 5 bits a channel, which a processor's nearest memory holds. */
export interface Histogram {
  /** Pixels counted: those with an alpha of at least half. */
  readonly total: number;
  /** The cells' keys, ascending: see {@link cellOf}. */
  readonly key: Uint16Array;
  /** Occupied cells as parallel arrays: how many pixels, their mean channels (0–255), and that mean in OKLab. */
  readonly count: Float64Array;
  readonly red: Float64Array;
  readonly green: Float64Array;
  readonly blue: Float64Array;
  readonly l: Float64Array;
  readonly a: Float64Array;
  readonly b: Float64Array;
  /** Index of a pixel of the cell: the first met. */
  readonly place: Int32Array;
}

/** Cells that there are: 5 bits a channel. */
export const CELLS = 1 << 15;

/** The cell of a pixel, as a little-endian word of RGBA bytes: its five upper bits of red, green and blue in a row. */
export const cellOf = (word: number): number =>
  ((word & 0xf8) << 7) | ((word & 0xf800) >> 6) | ((word & 0xf80000) >> 19);

/** The pixels as 32-bit words, little-endian as on every machine that browsers run on: A B G R from the top. */
export function wordsOf(pixels: Uint8ClampedArray | Uint8Array): Int32Array {
  const n = pixels.length >> 2;
  if (pixels.byteOffset % 4 === 0) return new Int32Array(pixels.buffer, pixels.byteOffset, n);
  return new Int32Array(pixels.slice(0, n * 4).buffer, 0, n);
}

/** Pixels of one cell that a word holds before its fields, of 8 bits each, would overflow. */
const FULL = 36;

/** What is counted, by cell. */
interface Cells {
  /** While counting, four 8-bit fields: pixels, and their blue, green and red above the cell's own five bits. */
  readonly words: Int32Array;
  /** The index of a pixel: of the first since the word was last empty. */
  readonly recent: Int32Array;
  /** The index of the first pixel of all; −1 where there is none. Known once a word was emptied. */
  readonly first: Int32Array;
  /** For each cell four numbers: its pixels, and their red, green and blue above the cell's five bits. */
  readonly sums: Float64Array;
}

/** Moves a cell's word into its sums. */
function empty({ words, recent, first, sums }: Cells, key: number): void {
  const word = words[key]!;
  const at = key * 4;
  if (first[key]! < 0) first[key] = recent[key]!;
  sums[at] = sums[at]! + (word >>> 24);
  sums[at + 1] = sums[at + 1]! + (word & 255);
  sums[at + 2] = sums[at + 2]! + ((word >> 8) & 255);
  sums[at + 3] = sums[at + 3]! + ((word >> 16) & 255);
  words[key] = 0;
}

/**
 * The inner loop of a large picture: one addition a pixel, and yet exact means. What a channel comes to above
 * its upper five bits is its three lowest bits, which lie just where the fields of a cell's word want them.
 */
function count(pixels: Int32Array, cells: Cells, from: number, to: number): void {
  const { words, recent } = cells;
  for (let i = from; i < to; i++) {
    const pixel = pixels[i]!;
    // The sign bit is the top bit of alpha: not set, the pixel is less than half opaque.
    if (pixel >= 0) continue;
    const key = cellOf(pixel);
    const before = words[key]!;
    if (before === 0) recent[key] = i;
    const now = before + (pixel & 0x070707) + 0x01000000;
    words[key] = now;
    if (now >>> 24 === FULL) empty(cells, key);
  }
}

/** Counts RGBA pixels (4 bytes each, not premultiplied) into cells. Time is linear. */
export function histogramOf(pixels: Uint8ClampedArray | Uint8Array): Histogram {
  return drain(countInParts(pixels, Number.POSITIVE_INFINITY));
}

/**
 * {@link histogramOf} in parts of some number of pixels: stops after each with the share that is done, 0–1, so that
 * whoever has others to serve can turn to them.
 */
export function* countInParts(
  pixels: Uint8ClampedArray | Uint8Array,
  part: number,
): Generator<number, Histogram> {
  const cells: Cells = {
    words: new Int32Array(CELLS),
    recent: new Int32Array(CELLS),
    first: new Int32Array(CELLS).fill(-1),
    sums: new Float64Array(CELLS * 4),
  };
  const words = wordsOf(pixels);
  for (let from = 0; from < words.length; from += part) {
    const to = Math.min(words.length, from + part);
    count(words, cells, from, to);
    if (to < words.length) yield to / words.length;
  }
  return histogramOfCells(cells);
}

function histogramOfCells(cells: Cells): Histogram {
  const { sums } = cells;
  const keys: number[] = [];
  for (let key = 0; key < CELLS; key++) {
    if (cells.words[key]! !== 0) empty(cells, key);
    if (cells.first[key]! >= 0) keys.push(key);
  }
  const column = () => new Float64Array(keys.length);
  const h = {
    key: Uint16Array.from(keys),
    count: column(),
    red: column(),
    green: column(),
    blue: column(),
    l: column(),
    a: column(),
    b: column(),
    place: Int32Array.from(keys, (key) => cells.first[key]!),
  };
  let total = 0;
  const lab: Triple = [0, 0, 0];
  keys.forEach((key, i) => {
    const n = sums[key * 4]!;
    const mean = (part: number, above: number) => ((part & 31) << 3) + sums[key * 4 + above]! / n;
    const [red, green, blue] = [mean(key >> 10, 1), mean(key >> 5, 2), mean(key, 3)];
    rgbToOklab(red, green, blue, lab);
    total += n;
    h.count[i] = n;
    h.red[i] = red;
    h.green[i] = green;
    h.blue[i] = blue;
    [h.l[i], h.a[i], h.b[i]] = lab;
  });
  return { total, ...h };
}

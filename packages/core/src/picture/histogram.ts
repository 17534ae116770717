import { linearize, linearToOklab, type Triple } from '../color/kernel.ts';

/** Every pixel of a picture counted into cells of 6 bits a channel. */
export interface Histogram {
  /** Pixels counted: those with an alpha of at least half. */
  readonly total: number;
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

const CELLS = 1 << 18;

/** The pixels as 32-bit words, little-endian as on every machine that browsers run on: A B G R from the top. */
function wordsOf(pixels: Uint8ClampedArray | Uint8Array): Int32Array {
  const n = pixels.length >> 2;
  if (pixels.byteOffset % 4 === 0) return new Int32Array(pixels.buffer, pixels.byteOffset, n);
  return new Int32Array(pixels.slice(0, n * 4).buffer, 0, n);
}

/**
 * The inner loop of a large picture. Of every cell, four numbers in `sums`: its pixels, and how much their red,
 * green and blue come to above the cell's own six bits. So one pass gives exact means.
 */
function count(words: Int32Array, sums: Uint32Array, first: Int32Array): void {
  for (let i = 0, n = words.length; i < n; i++) {
    const word = words[i]!;
    // The sign bit is the top bit of alpha: not set, the pixel is less than half opaque.
    if (word >= 0) continue;
    const at = ((word & 0xfc) << 12) | ((word & 0xfc00) >> 2) | ((word & 0xfc0000) >> 16);
    const before = sums[at]!;
    if (before === 0) first[at >> 2] = i;
    sums[at] = before + 1;
    sums[at + 1] = sums[at + 1]! + (word & 3);
    sums[at + 2] = sums[at + 2]! + ((word >> 8) & 3);
    sums[at + 3] = sums[at + 3]! + ((word >> 16) & 3);
  }
}

/** Counts RGBA pixels (4 bytes each, not premultiplied; up to 1,000 megapixels) into cells. Time is linear. */
export function histogramOf(pixels: Uint8ClampedArray | Uint8Array): Histogram {
  const sums = new Uint32Array(CELLS * 4);
  const first = new Int32Array(CELLS);
  count(wordsOf(pixels), sums, first);
  const keys: number[] = [];
  for (let key = 0; key < CELLS; key++) if (sums[key * 4]! > 0) keys.push(key);
  const column = () => new Float64Array(keys.length);
  const h = {
    count: column(),
    red: column(),
    green: column(),
    blue: column(),
    l: column(),
    a: column(),
    b: column(),
    place: new Int32Array(keys.length),
  };
  let total = 0;
  const lab: Triple = [0, 0, 0];
  keys.forEach((key, i) => {
    const n = sums[key * 4]!;
    const mean = (part: number, above: number) => ((part & 63) << 2) + sums[key * 4 + above]! / n;
    const [red, green, blue] = [mean(key >> 12, 1), mean(key >> 6, 2), mean(key, 3)];
    linearToOklab(linearize(red / 255), linearize(green / 255), linearize(blue / 255), lab);
    total += n;
    h.count[i] = n;
    h.red[i] = red;
    h.green[i] = green;
    h.blue[i] = blue;
    [h.l[i], h.a[i], h.b[i]] = lab;
    h.place[i] = first[key]!;
  });
  return { total, ...h };
}

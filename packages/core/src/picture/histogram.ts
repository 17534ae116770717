import { linearize, linearToOklab, type Triple } from '../color/kernel.ts';

/** Every pixel of a picture counted into cells of 6 bits a channel. */
export interface Histogram {
  /** The pixels that were counted: RGBA, 4 bytes each. */
  readonly pixels: Uint8ClampedArray | Uint8Array;
  /** Pixels counted: those with an alpha of at least half. */
  readonly total: number;
  /** Occupied cells, by number; parallel arrays: pixels, and the OKLab of the cell's middle. */
  readonly count: Float64Array;
  readonly l: Float64Array;
  readonly a: Float64Array;
  readonly b: Float64Array;
  /** Index of a pixel of the cell: the first met. */
  readonly place: Int32Array;
  /** From cell key to its number; meaningful for occupied cells only. */
  readonly numberOf: Int32Array;
}

const CELLS = 1 << 18;
export const OPAQUE_ENOUGH = 128;
/** Linear light at the middle of each of the 64 steps of a channel. */
const MIDDLE = Float64Array.from({ length: 64 }, (_, i) => linearize((i * 4 + 1.5) / 255));

/** The pixels as 32-bit words, little-endian as on every machine that browsers run on: A B G R from the top. */
export function wordsOf(pixels: Uint8ClampedArray | Uint8Array): Int32Array {
  const n = pixels.length >> 2;
  if (pixels.byteOffset % 4 === 0) return new Int32Array(pixels.buffer, pixels.byteOffset, n);
  return new Int32Array(pixels.slice(0, n * 4).buffer, 0, n);
}

/** The cell of a pixel's word. */
export const cellOf = (word: number) =>
  ((word & 0xfc) << 10) | ((word & 0xfc00) >> 4) | ((word & 0xfc0000) >> 18);

/** Counts RGBA pixels (4 bytes each, not premultiplied) into cells. Time is linear, one pass. */
export function histogramOf(pixels: Uint8ClampedArray | Uint8Array): Histogram {
  const words = wordsOf(pixels);
  const counts = new Uint32Array(CELLS);
  const first = new Int32Array(CELLS);
  let total = 0;
  for (let i = 0, n = words.length; i < n; i++) {
    const word = words[i]!;
    if (word >>> 24 < OPAQUE_ENOUGH) continue;
    const key = cellOf(word);
    if (counts[key]! === 0) first[key] = i;
    counts[key] = counts[key]! + 1;
    total++;
  }
  const keys: number[] = [];
  const numberOf = new Int32Array(CELLS);
  for (let key = 0; key < CELLS; key++)
    if (counts[key]! > 0) {
      numberOf[key] = keys.length;
      keys.push(key);
    }
  const n = keys.length;
  const [l, a, b, count] = [
    new Float64Array(n),
    new Float64Array(n),
    new Float64Array(n),
    new Float64Array(n),
  ];
  const place = new Int32Array(n);
  const lab: Triple = [0, 0, 0];
  keys.forEach((key, i) => {
    linearToOklab(MIDDLE[key >> 12]!, MIDDLE[(key >> 6) & 63]!, MIDDLE[key & 63]!, lab);
    [l[i], a[i], b[i]] = lab;
    count[i] = counts[key]!;
    place[i] = first[key]!;
  });
  return { pixels, total, count, l, a, b, place, numberOf };
}

import { LINEAR_8BIT, linearToOklab, type Triple } from '../color/kernel.ts';

/** Every pixel of a picture counted into cells of 5 bits a channel. */
export interface Histogram {
  /** Pixels counted: those with an alpha of at least half. */
  readonly total: number;
  /** Occupied cells, by number; parallel arrays. */
  readonly count: Float64Array;
  /** Mean colour of the cell's pixels, OKLab. */
  readonly l: Float64Array;
  readonly a: Float64Array;
  readonly b: Float64Array;
  /** Mean 8-bit channels. */
  readonly rgb: readonly Triple[];
  /** Index of a pixel of the cell: the first met. */
  readonly place: Int32Array;
  /** From cell key (15 bits) to its number, −1 for an empty one. */
  readonly numberOf: Int32Array;
}

const CELLS = 1 << 15;
const OPAQUE_ENOUGH = 128;

export const cellKey = (r: number, g: number, b: number) => ((r >> 3) << 10) | ((g >> 3) << 5) | (b >> 3);

/** Counts RGBA pixels (4 bytes each, not premultiplied) into cells. Time is linear, one pass. */
export function histogramOf(pixels: Uint8ClampedArray | Uint8Array): Histogram {
  const counts = new Float64Array(CELLS);
  const sums = new Float64Array(CELLS * 3);
  const first = new Int32Array(CELLS).fill(-1);
  let total = 0;
  for (let i = 0, n = pixels.length - 3; i < n; i += 4) {
    if (pixels[i + 3]! < OPAQUE_ENOUGH) continue;
    const r = pixels[i]!;
    const g = pixels[i + 1]!;
    const b = pixels[i + 2]!;
    const key = ((r >> 3) << 10) | ((g >> 3) << 5) | (b >> 3);
    if (counts[key] === 0) first[key] = i >> 2;
    counts[key]! += 1;
    sums[key * 3]! += r;
    sums[key * 3 + 1]! += g;
    sums[key * 3 + 2]! += b;
    total++;
  }
  const keys: number[] = [];
  const numberOf = new Int32Array(CELLS).fill(-1);
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
  const at = (v: number) => {
    const low = Math.floor(v);
    const base = LINEAR_8BIT[low]!;
    return low === 255 ? base : base + (LINEAR_8BIT[low + 1]! - base) * (v - low);
  };
  const rgb = keys.map((key, i): Triple => {
    const size = counts[key]!;
    const mean: Triple = [sums[key * 3]! / size, sums[key * 3 + 1]! / size, sums[key * 3 + 2]! / size];
    linearToOklab(at(mean[0]), at(mean[1]), at(mean[2]), lab);
    [l[i], a[i], b[i]] = lab;
    count[i] = size;
    place[i] = first[key]!;
    return mean;
  });
  return { total, count, l, a, b, rgb, place, numberOf };
}

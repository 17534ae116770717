import { wordsOf } from './histogram.ts';
import type { Pixels } from './sample.ts';

/** Rows that are shrunk before others may have their turn. */
const ROWS = 128;

/** Every second channel of a pixel in a word: between them there is room for the sum of four. */
const EVERY_SECOND = 0x00ff00ff;
/** What a sum of four is rounded by, in both channels. */
const HALF = 0x00020002;

/**
 * A picture half as large in both directions, each pixel the mean of the up to four that it stands for, by encoded
 * channels as browsers draw pictures smaller, weighted by alpha. Stops every now and then with the share that is
 * done, 0–1. An odd last row or column stands for itself.
 */
export function* halved({ width, height, pixels }: Pixels): Generator<number, Pixels> {
  const [w, h] = [Math.ceil(width / 2), Math.ceil(height / 2)];
  const from = wordsOf(pixels);
  const out = new Int32Array(w * h);
  for (let y = 0; y < h; y++) {
    const top = y * 2 * width;
    halveRow(from, top, y * 2 + 1 < height ? top + width : top, width, out, y * w, w);
    if (y % ROWS === ROWS - 1) yield (y + 1) / h;
  }
  return { width: w, height: h, pixels: new Uint8ClampedArray(out.buffer) };
}

/** One row of `w` pixels of two rows of `width`, which begin at `top` and `below`. */
function halveRow(
  from: Int32Array,
  top: number,
  below: number,
  width: number,
  out: Int32Array,
  to: number,
  w: number,
): void {
  for (let x = 0; x < w; x++) {
    const left = x * 2;
    const right = left + 1 < width ? left + 1 : left;
    const a = from[top + left]!;
    const b = from[top + right]!;
    const c = from[below + left]!;
    const d = from[below + right]!;
    if ((a & b & c & d) >>> 24 !== 255) {
      out[to + x] = meanOf(a, b, c, d);
      continue;
    }
    // All opaque: two channels of each at once.
    const even = (a & EVERY_SECOND) + (b & EVERY_SECOND) + (c & EVERY_SECOND) + (d & EVERY_SECOND) + HALF;
    const odd =
      ((a >>> 8) & EVERY_SECOND) +
      ((b >>> 8) & EVERY_SECOND) +
      ((c >>> 8) & EVERY_SECOND) +
      ((d >>> 8) & EVERY_SECOND) +
      HALF;
    out[to + x] = ((even >>> 2) & EVERY_SECOND) | (((odd >>> 2) & EVERY_SECOND) << 8);
  }
}

/** The mean of four pixels, weighted by alpha; nothing where none of them is to be seen. */
function meanOf(a: number, b: number, c: number, d: number): number {
  const [wa, wb, wc, wd] = [a >>> 24, b >>> 24, c >>> 24, d >>> 24];
  const all = wa + wb + wc + wd;
  if (!all) return 0;
  let mean = ((all + 2) >> 2) << 24;
  for (let shift = 0; shift < 24; shift += 8) {
    const sum =
      ((a >> shift) & 255) * wa +
      ((b >> shift) & 255) * wb +
      ((c >> shift) & 255) * wc +
      ((d >> shift) & 255) * wd;
    mean |= evenly(sum / all) << shift;
  }
  return mean;
}

/** Rounded as pixels are: of two as near, to the even one. */
function evenly(v: number): number {
  const floor = Math.floor(v);
  const part = v - floor;
  return part > 0.5 || (part === 0.5 && floor % 2 === 1) ? floor + 1 : floor;
}

/** A part of a picture; what of it lies beside the picture is left out. Null when nothing is left. */
export function partOf(
  { width, height, pixels }: Pixels,
  x: number,
  y: number,
  w: number,
  h: number,
): (Pixels & { readonly x: number; readonly y: number }) | null {
  const [x0, y0] = [Math.max(0, Math.floor(x)), Math.max(0, Math.floor(y))];
  const [x1, y1] = [Math.min(width, Math.ceil(x + w)), Math.min(height, Math.ceil(y + h))];
  if (x1 <= x0 || y1 <= y0) return null;
  const out = new Uint8ClampedArray((x1 - x0) * (y1 - y0) * 4);
  for (let row = y0, to = 0; row < y1; row++, to += (x1 - x0) * 4)
    out.set(pixels.subarray((row * width + x0) * 4, (row * width + x1) * 4), to);
  return { x: x0, y: y0, width: x1 - x0, height: y1 - y0, pixels: out };
}

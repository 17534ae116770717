import type { Pixels } from './sample.ts';

/** Rows that are shrunk before others may have their turn. */
const ROWS = 128;

/**
 * A picture half as large in both directions, each pixel the mean of the up to four that it stands for, by encoded
 * channels as browsers draw pictures smaller, weighted by alpha. Stops every now and then with the share that is
 * done, 0–1. An odd last row or column stands for itself.
 */
export function* halved({ width, height, pixels }: Pixels): Generator<number, Pixels> {
  const [w, h] = [Math.ceil(width / 2), Math.ceil(height / 2)];
  const out = new Uint8ClampedArray(w * h * 4);
  for (let y = 0, to = 0; y < h; y++) {
    const top = y * 2 * width;
    const bottom = Math.min(height - 1, y * 2 + 1) * width;
    for (let x = 0; x < w; x++, to += 4) {
      const left = x * 2;
      const right = Math.min(width - 1, left + 1);
      const [a, b, c, d] = [(top + left) * 4, (top + right) * 4, (bottom + left) * 4, (bottom + right) * 4];
      const [wa, wb, wc, wd] = [pixels[a + 3]!, pixels[b + 3]!, pixels[c + 3]!, pixels[d + 3]!];
      const all = wa + wb + wc + wd;
      if (all === 1020)
        for (let k = 0; k < 3; k++)
          out[to + k] = (pixels[a + k]! + pixels[b + k]! + pixels[c + k]! + pixels[d + k]! + 2) >> 2;
      else if (all)
        for (let k = 0; k < 3; k++)
          out[to + k] =
            (pixels[a + k]! * wa + pixels[b + k]! * wb + pixels[c + k]! * wc + pixels[d + k]! * wd) / all;
      out[to + 3] = (all + 2) >> 2;
    }
    if (y % ROWS === ROWS - 1) yield (y + 1) / h;
  }
  return { width: w, height: h, pixels: out };
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

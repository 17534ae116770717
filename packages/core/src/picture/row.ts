import { delinearize, LINEAR_8BIT } from '../color/kernel.ts';
import { clamp } from '../numbers/clamp.ts';
import type { Pixels } from './sample.ts';

/** A straight line across a picture, from the middle of one pixel to that of another. */
export interface PictureLine {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** Pixels of a row along a line, at most; of a longer line, so many places evenly. */
export const MOST_ALONG = 4096;

/**
 * The colours along a line, a place for each px of its length (2 to 4096): each the average, in linear light and weighted
 * by alpha, of `side` px (1 to 101, odd) square across the line, which takes the grain away; over white where the
 * picture is translucent. RGBA, 8 bits, opaque. What lies beside the picture is as its edge is.
 */
export function rowAlong(
  { width, height, pixels }: Pixels,
  line: PictureLine,
  side: number,
): Uint8ClampedArray<ArrayBuffer> {
  if (!(width > 0 && height > 0)) throw new RangeError('The picture has no pixels.');
  const [dx, dy] = [line.x2 - line.x1, line.y2 - line.y1];
  const length = Math.hypot(dx, dy);
  const n = clamp(Math.round(length) + 1, 2, MOST_ALONG);
  const reach = Math.floor(clamp(Math.round(side), 1, 101) / 2);
  // Square to the line; of one without length, down.
  const [sx, sy] = length > 0 ? [-dy / length, dx / length] : [0, 1];
  const row = new Uint8ClampedArray(n * 4);
  const held = (v: number, most: number) => clamp(Math.round(v), 0, most);
  for (let i = 0; i < n; i++) {
    const [x, y] = [line.x1 + (dx * i) / (n - 1), line.y1 + (dy * i) / (n - 1)];
    let [r, g, b, alpha] = [0, 0, 0, 0];
    for (let k = -reach; k <= reach; k++) {
      const at = (held(y + sy * k, height - 1) * width + held(x + sx * k, width - 1)) * 4;
      const a = pixels[at + 3]! / 255;
      r += LINEAR_8BIT[pixels[at]!]! * a;
      g += LINEAR_8BIT[pixels[at + 1]!]! * a;
      b += LINEAR_8BIT[pixels[at + 2]!]! * a;
      alpha += a;
    }
    const count = reach * 2 + 1;
    const through = count - alpha;
    const encode = (v: number) => delinearize((v + through) / count) * 255;
    row.set([encode(r), encode(g), encode(b), 255], i * 4);
  }
  return row;
}

import { delinearize, LINEAR_8BIT } from '../color/kernel.ts';
import { hexOfRgb8 } from '../color/write.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { clamp } from '../numbers/clamp.ts';

/** The pixels of a picture. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  /** RGBA, 4 bytes a pixel, row by row, not premultiplied. */
  readonly pixels: Uint8ClampedArray | Uint8Array;
}

/**
 * The average colour of the square around a pixel, in linear light and weighted by alpha, as the eye sees a
 * patch from afar. `side` is 1 to 101 px (even numbers count as the next odd); what lies beyond the picture's
 * edge is left out. Channels 0–255, not rounded. A place outside the picture is moved to its edge.
 */
export function averageAround({ width, height, pixels }: Pixels, x: number, y: number, side: number): Rgba {
  if (!(width > 0 && height > 0)) throw new RangeError('The picture has no pixels.');
  const reach = Math.floor(clamp(Math.round(side), 1, 101) / 2);
  const cx = clamp(Math.floor(x), 0, width - 1);
  const cy = clamp(Math.floor(y), 0, height - 1);
  let [r, g, b, alpha, n] = [0, 0, 0, 0, 0];
  for (let j = Math.max(0, cy - reach); j <= Math.min(height - 1, cy + reach); j++)
    for (let i = Math.max(0, cx - reach); i <= Math.min(width - 1, cx + reach); i++) {
      const at = (j * width + i) * 4;
      const a = pixels[at + 3]! / 255;
      r += LINEAR_8BIT[pixels[at]!]! * a;
      g += LINEAR_8BIT[pixels[at + 1]!]! * a;
      b += LINEAR_8BIT[pixels[at + 2]!]! * a;
      alpha += a;
      n++;
    }
  if (alpha === 0) return { r: 0, g: 0, b: 0, alpha: 0 };
  const encode = (v: number) => delinearize(v / alpha) * 255;
  return { r: encode(r), g: encode(g), b: encode(b), alpha: alpha / n };
}

/** A sampled colour as documents spell it: 8-bit channels, with an alpha where it is less than 1. */
export const sampledText = ({ r, g, b, alpha }: Rgba): string =>
  hexOfRgb8(Math.round(r), Math.round(g), Math.round(b), alpha);

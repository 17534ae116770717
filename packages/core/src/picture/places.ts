import { cellOf, wordsOf } from './histogram.ts';
import type { Pixels } from './sample.ts';

/** A place in a picture, in whole px. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** No patch is searched for a place further from its edge than so many px. */
const DEEP = 255;

/**
 * For each part of a divided picture the place that lies deepest within it, as far from all others as any: where an
 * eye would look for that colour, and a square around it averages little else. Of several as deep, the one nearest to
 * the middle of them. `nearest` is the {@link Division}'s; null for parts that no pixel belongs to. Linear in pixels.
 */
export function deepestPlaces(
  { width, height, pixels }: Pixels,
  nearest: Uint8Array,
  parts: number,
): (Spot | null)[] {
  const words = wordsOf(pixels);
  const part = new Uint8Array(width * height);
  for (let i = 0; i < part.length; i++) part[i] = nearest[cellOf(words[i]!)]!;
  const depth = depthOf(part, width, height);
  const most = new Uint8Array(parts);
  for (let i = 0; i < part.length; i++) if (depth[i]! > most[part[i]!]!) most[part[i]!] = depth[i]!;
  // The middle of the deepest, then the deepest that is nearest to it.
  const sums = Array.from({ length: parts }, () => ({ x: 0, y: 0, n: 0 }));
  const isDeepest = (i: number) => depth[i] === most[part[i]!];
  for (let i = 0; i < part.length; i++)
    if (isDeepest(i)) {
      const sum = sums[part[i]!]!;
      sum.x += i % width;
      sum.y += Math.floor(i / width);
      sum.n += 1;
    }
  const best = Array.from({ length: parts }, () => ({ at: -1, distance: Number.POSITIVE_INFINITY }));
  for (let i = 0; i < part.length; i++)
    if (isDeepest(i)) {
      const sum = sums[part[i]!]!;
      const distance = ((i % width) - sum.x / sum.n) ** 2 + (Math.floor(i / width) - sum.y / sum.n) ** 2;
      const known = best[part[i]!]!;
      if (distance < known.distance) {
        known.at = i;
        known.distance = distance;
      }
    }
  return best.map(({ at }) => (at === -1 ? null : { x: at % width, y: Math.floor(at / width) }));
}

/** How many px each place lies from the next of another part or the edge, in steps to all eight sides; 1–255. */
function depthOf(part: Uint8Array, width: number, height: number): Uint8Array {
  const depth = new Uint8Array(part.length).fill(DEEP);
  const at = (x: number, y: number, own: number) => {
    if (x < 0 || y < 0 || x >= width || y >= height) return 0;
    const i = y * width + x;
    return part[i] === own ? depth[i]! : 0;
  };
  const settle = (x: number, y: number, way: 1 | -1) => {
    const i = y * width + x;
    const own = part[i]!;
    const least = Math.min(
      at(x - way, y, own),
      at(x - way, y - way, own),
      at(x, y - way, own),
      at(x + way, y - way, own),
    );
    depth[i] = Math.min(depth[i]!, least + 1, DEEP);
  };
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) settle(x, y, 1);
  for (let y = height - 1; y >= 0; y--) for (let x = width - 1; x >= 0; x--) settle(x, y, -1);
  return depth;
}

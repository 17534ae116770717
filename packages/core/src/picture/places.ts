import { rgbToOklab, type Triple } from '../color/kernel.ts';
import type { Division } from './division.ts';
import { cellOf, wordsOf } from './histogram.ts';
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

/** ΔE OK of the pixel at an index and a colour in OKLab. */
function differenceAt(pixels: Pixels['pixels'], i: number, lab: Readonly<Triple>): number {
  const [l, a, b] = rgbToOklab(pixels[i * 4]!, pixels[i * 4 + 1]!, pixels[i * 4 + 2]!);
  return Math.hypot(l - lab[0], a - lab[1], b - lab[2]);
}

/**
 * For each colour of a divided picture (at most 254) the place that lies deepest within what shows it, as far from all
 * else as any: where an eye would look for that colour, and a square around it averages little else. Of several as
 * deep, the one nearest to the middle of them. `nearest` is the {@link Division}'s; a pixel shows its colour up to ΔE
 * OK 0.02. Null for colours that no pixel shows. Linear in pixels.
 */
export function deepestPlaces(
  { width, height, pixels }: Pixels,
  { nearest }: Pick<Division, 'nearest'>,
  colors: readonly Rgb[],
): (Spot | null)[] {
  const words = wordsOf(pixels);
  const labs = colors.map(({ r, g, b }) => rgbToOklab(r, g, b));
  const parts = NONE + 1;
  const part = new Uint8Array(width * height);
  for (let i = 0; i < part.length; i++) {
    const own = nearest[cellOf(words[i]!)]!;
    const lab = labs[own];
    part[i] = lab && words[i]! < 0 && differenceAt(pixels, i, lab) <= SHOWS ? own : NONE;
  }
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
  return colors.map((_, c) => {
    const { at } = best[c]!;
    return at === -1 ? null : { x: at % width, y: Math.floor(at / width) };
  });
}

/** The pixel of a picture, or of a square within it, that shows a colour best: where it is first met. Transparent ones aside. */
function bestPixel(
  { width, height, pixels }: Pixels,
  { r, g, b }: Rgb,
  within: { readonly x: number; readonly y: number; readonly side: number } | null = null,
): (Spot & { readonly difference: number }) | null {
  const words = wordsOf(pixels);
  const [left, top] = within ? [within.x, within.y] : [0, 0];
  const right = within ? Math.min(width, left + within.side) : width;
  const bottom = within ? Math.min(height, top + within.side) : height;
  // Channels first, which are quick to compare; what looks alike in them looks alike.
  let least = Number.POSITIVE_INFINITY;
  let at = -1;
  for (let y = top; y < bottom; y++)
    for (let x = left; x < right; x++) {
      const word = words[y * width + x]!;
      if (word >= 0) continue;
      const [dr, dg, db] = [(word & 255) - r, ((word >> 8) & 255) - g, ((word >> 16) & 255) - b];
      const d = dr * dr + dg * dg + db * db;
      if (d < least) {
        least = d;
        at = y * width + x;
      }
    }
  if (at < 0) return null;
  const difference = differenceAt(pixels, at, rgbToOklab(r, g, b));
  return { x: at % width, y: Math.floor(at / width), difference };
}

/**
 * Where each colour of a palette is shown in a picture: deep within what shows it, as far as it is seen in the picture
 * made `factor` times smaller; else the pixel that shows it best.
 */
export function palettePlaces(
  whole: Pixels,
  small: Pixels,
  factor: number,
  division: Pick<Division, 'nearest'>,
  colors: readonly Rgb[],
): Spot[] {
  return deepestPlaces(small, division, colors).map((deep, i) => {
    const color = colors[i]!;
    // A pixel of the small picture is the mean of many: the one among them that shows it is looked for.
    const found = deep && bestPixel(whole, color, { x: deep.x * factor, y: deep.y * factor, side: factor });
    const spot = found && found.difference <= SHOWS ? found : (bestPixel(whole, color) ?? found);
    return { x: spot?.x ?? 0, y: spot?.y ?? 0 };
  });
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

import type { SeenColors } from '../contrast/over-colors.ts';
import { luminance } from '../contrast/ratio.ts';

/** Colours from which on those that are almost the same count as one. */
const MOST = 20_000;

interface Color {
  readonly key: number;
  count: number;
  readonly at: number;
}

const channels = (key: number) => [key >>> 24, (key >>> 16) & 255, (key >>> 8) & 255, key & 255] as const;
const lightOf = ({ key }: Color) => {
  const [r, g, b] = channels(key);
  return luminance({ r, g, b, alpha: 1 });
};

/** Of all colours that have the first bits of each channel in common, the darkest and the lightest. */
function thinned(colors: Iterable<Color>, bits: number): Color[] {
  const mask = ((0xff00 >> bits) & 255) * 0x1010101;
  const cells = new Map<number, Color[]>();
  for (const color of colors) {
    const cell = color.key & mask;
    const list = cells.get(cell);
    if (list) list.push(color);
    else cells.set(cell, [color]);
  }
  return [...cells.values()].flatMap((list) => {
    if (list.length < 3) return list;
    const byLight = list.map((color) => ({ color, y: lightOf(color) })).sort((a, b) => a.y - b.y);
    const [dark, light] = [byLight[0]!, byLight[byLight.length - 1]!];
    const ends = [{ ...dark.color }, { ...light.color }];
    for (const { color, y } of byLight.slice(1, -1))
      ends[y - dark.y <= light.y - y ? 0 : 1]!.count += color.count;
    return ends;
  });
}

/**
 * Counts the colours of an area of RGBA pixels (4 bytes each, not premultiplied) that comes in parts, row by row. Of more
 * than 20,000 colours those that differ by less than 4 of 256 in every channel are one (8 or 16, where that is not
 * enough), of which the darkest and the lightest are kept.
 */
export class AreaColors {
  private seen = new Map<number, Color>();
  private pixels = 0;
  /** Of each channel, by which colours that are almost the same are found. */
  private bits = 6;

  add(pixels: Uint8ClampedArray | Uint8Array): void {
    for (let i = 0; i + 3 < pixels.length; i += 4) {
      const key =
        ((pixels[i]! << 24) | (pixels[i + 1]! << 16) | (pixels[i + 2]! << 8) | pixels[i + 3]!) >>> 0;
      const known = this.seen.get(key);
      if (known) known.count += 1;
      else this.seen.set(key, { key, count: 1, at: this.pixels + i / 4 });
      // Between, so that no picture of many colours fills the memory with them.
      if (this.seen.size > MOST * 10) this.thin();
    }
    this.pixels += Math.floor(pixels.length / 4);
  }

  private thin(): void {
    for (; this.seen.size > MOST; this.bits -= 1)
      this.seen = new Map(thinned(this.seen.values(), this.bits).map((color) => [color.key, color]));
  }

  /** The colours so far. Throws a RangeError where there was no pixel. */
  colors(): SeenColors {
    if (!this.pixels) throw new RangeError('The area has no pixels.');
    this.thin();
    const list = [...this.seen.values()];
    const colors = new Uint8Array(list.length * 4);
    list.forEach(({ key }, i) => {
      colors.set(channels(key), i * 4);
    });
    return {
      colors,
      counts: Uint32Array.from(list, ({ count }) => count),
      at: Uint32Array.from(list, ({ at }) => at),
    };
  }
}

/** The colours of an area that is at hand whole; see {@link AreaColors}. */
export function areaColors(pixels: Uint8ClampedArray | Uint8Array): SeenColors {
  const area = new AreaColors();
  area.add(pixels);
  return area.colors();
}

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

/** Colours that are held before they are thinned out, so that no picture of many fills the memory with them. */
const MOST_HELD = MOST * 10;
/** Bits of a place in a table to begin with. */
const FEWEST_BITS = 10;

/** Colours with their counts, in the order in which they came: a table of numbers, since each pixel is looked up in it. */
class Table {
  size = 0;
  private bits = FEWEST_BITS;
  private keys = new Uint32Array(2 ** FEWEST_BITS);
  /** 0 where a place is free. */
  private counts = new Uint32Array(2 ** FEWEST_BITS);
  private at = new Uint32Array(2 ** FEWEST_BITS);
  /** The places in the order in which they were taken. */
  private order = new Uint32Array(2 ** (FEWEST_BITS - 1));

  add(key: number, count: number, at: number): void {
    const last = this.keys.length - 1;
    let place = Math.imul(key, 0x9e3779b1) >>> (32 - this.bits);
    while (this.counts[place] && this.keys[place] !== key) place = (place + 1) & last;
    if (!this.counts[place]) {
      if (this.size === this.order.length) {
        this.grow();
        this.add(key, count, at);
        return;
      }
      this.keys[place] = key;
      this.at[place] = at;
      this.order[this.size] = place;
      this.size += 1;
    }
    this.counts[place]! += count;
  }

  list(): Color[] {
    return Array.from(this.order.subarray(0, this.size), (place) => ({
      key: this.keys[place]!,
      count: this.counts[place]!,
      at: this.at[place]!,
    }));
  }

  replaceBy(colors: readonly Color[]): void {
    this.counts.fill(0);
    this.size = 0;
    for (const { key, count, at } of colors) this.add(key, count, at);
  }

  /** Twice the places; half of them stay free, so that what is looked for is near. */
  private grow(): void {
    const colors = this.list();
    this.bits += 1;
    this.keys = new Uint32Array(2 ** this.bits);
    this.counts = new Uint32Array(2 ** this.bits);
    this.at = new Uint32Array(2 ** this.bits);
    this.order = new Uint32Array(2 ** (this.bits - 1));
    this.replaceBy(colors);
  }
}

/**
 * Counts the colours of an area of RGBA pixels (4 bytes each, not premultiplied) that comes in parts, row by row. Of more
 * than 20,000 colours those that differ by less than 4 of 256 in every channel are one (8 or 16, where that is not
 * enough), of which the darkest and the lightest are kept.
 */
export class AreaColors {
  private readonly seen = new Table();
  private pixels = 0;
  /** Of each channel, by which colours that are almost the same are found. */
  private bits = 6;

  add(pixels: Uint8ClampedArray | Uint8Array): void {
    for (let i = 0; i + 3 < pixels.length; i += 4) {
      const key =
        ((pixels[i]! << 24) | (pixels[i + 1]! << 16) | (pixels[i + 2]! << 8) | pixels[i + 3]!) >>> 0;
      this.seen.add(key, 1, this.pixels + i / 4);
      if (this.seen.size > MOST_HELD) this.thin();
    }
    this.pixels += Math.floor(pixels.length / 4);
  }

  private thin(): void {
    for (; this.seen.size > MOST; this.bits -= 1) this.seen.replaceBy(thinned(this.seen.list(), this.bits));
  }

  /** The colours so far. Throws a RangeError where there was no pixel. */
  colors(): SeenColors {
    if (!this.pixels) throw new RangeError('The area has no pixels.');
    this.thin();
    const list = this.seen.list();
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

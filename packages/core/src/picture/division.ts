import { rgbToOklab } from '../color/kernel.ts';
import { CELLS, cellOf, type Histogram, wordsOf } from './histogram.ts';

/** sRGB, 0–255. */
interface Rgb {
  readonly r: number;
  readonly g: number;
  readonly b: number;
}

/** A picture divided among some colours: every pixel belongs to the one that is nearest to it. */
export interface Division {
  /** Share of the picture's pixels that belong to each colour, 0–1, in the order given; sums to 1. */
  readonly shares: readonly number[];
  /** For every cell of 5 bits a channel the colour that it belongs to. */
  readonly nearest: Uint8Array;
}

/** OKLab of the middle of every cell, three numbers each; the same for all pictures. */
let middles: Float64Array | null = null;

function middlesOfCells(): Float64Array {
  if (middles) return middles;
  middles = new Float64Array(CELLS * 3);
  const middle = (bits: number) => ((bits & 31) << 3) + 3.5;
  for (let key = 0; key < CELLS; key++)
    middles.set(rgbToOklab(middle(key >> 10), middle(key >> 5), middle(key)), key * 3);
  return middles;
}

/** What finds the nearest of some colours to one in OKLab, by ΔE OK. */
function finder(colors: readonly Rgb[]): (l: number, a: number, b: number) => number {
  const labs = Float64Array.from(colors.flatMap(({ r, g, b }) => rgbToOklab(r, g, b)));
  return (l, a, b) => {
    let best = Number.POSITIVE_INFINITY;
    let found = 0;
    for (let c = 0; c < labs.length; c += 3) {
      const [dl, da, db] = [l - labs[c]!, a - labs[c + 1]!, b - labs[c + 2]!];
      const d = dl * dl + da * da + db * db;
      if (d < best) {
        best = d;
        found = c;
      }
    }
    return found / 3;
  };
}

/**
 * The share of a counted picture's pixels that are nearest to each of some colours, by ΔE OK, 0–1, in the order given.
 * Where `nearest` is given (a number for each of {@link CELLS}), each cell with a pixel has its colour's place written there.
 */
export function sharesOf(h: Histogram, colors: readonly Rgb[], nearest?: Uint8Array): number[] {
  const find = finder(colors);
  const sizes = colors.map(() => 0);
  for (let i = 0; i < h.count.length; i++) {
    const c = find(h.l[i]!, h.a[i]!, h.b[i]!);
    if (nearest) nearest[h.key[i]!] = c;
    if (colors.length) sizes[c]! += h.count[i]!;
  }
  return sizes.map((size) => (h.total ? size / h.total : 0));
}

/** Divides a counted picture among colours (at most 255), by ΔE OK. Without colours or pixels all shares are 0. */
export function divide(h: Histogram, colors: readonly Rgb[]): Division {
  const find = finder(colors);
  const labs = middlesOfCells();
  const nearest = new Uint8Array(CELLS);
  // Cells without a pixel are met where pixels are shown smaller than they are, as means of several.
  for (let key = 0, at = 0; key < CELLS; key++, at += 3)
    nearest[key] = find(labs[at]!, labs[at + 1]!, labs[at + 2]!);
  return { shares: sharesOf(h, colors, nearest), nearest };
}

/**
 * Dims what does not belong to one colour of a division, in place: RGBA pixels (4 bytes each) go `by` of the way
 * (0–1) to a dark grey that keeps a little of their lightness. What belongs to the colour stays as it is.
 */
export function dimOthers(
  pixels: Uint8ClampedArray | Uint8Array,
  { nearest }: Pick<Division, 'nearest'>,
  index: number,
  by = 0.86,
): void {
  const words = wordsOf(pixels);
  for (let i = 0; i < words.length; i++) {
    if (nearest[cellOf(words[i]!)] === index) continue;
    const at = i * 4;
    const grey = (pixels[at]! * 0.3 + pixels[at + 1]! * 0.59 + pixels[at + 2]! * 0.11) * 0.3 + 44;
    for (let k = at; k < at + 3; k++) pixels[k] = Math.round(pixels[k]! * (1 - by) + grey * by);
  }
}

import type { MovedColor } from '@mint-lamp/core/document/pictures/picture';
import { type Division, divide, sharesOf } from '@mint-lamp/core/picture/division';
import type { Histogram } from '@mint-lamp/core/picture/histogram';
import { paletteOfHistogram } from '@mint-lamp/core/picture/palette';
import { placesOfPalettes } from '@mint-lamp/core/picture/places';
import { averageAround, type Pixels } from '@mint-lamp/core/picture/sample';
import { PALETTE_STRATEGIES, type PaletteStrategy } from '@mint-lamp/core/picture/strategies';

/** What there is of a picture: all of it, or a small copy until all is there. */
export interface KnownPicture {
  /** The picture or its copy, and smaller ones for seeing it from afar, each half the one before. */
  readonly levels: readonly Pixels[];
  /** px of the picture to one of the first of them, to each side. */
  readonly factor: number;
  /** Counted from the first of them. */
  readonly histogram: Histogram;
}

export interface RowColor {
  readonly r: number;
  readonly g: number;
  readonly b: number;
  /** Of the picture's pixels, 0–1. */
  readonly share: number;
  readonly x: number;
  readonly y: number;
  /** It was taken from a place of the designer's own. */
  readonly moved: boolean;
}

export interface PaletteRow {
  readonly leaning: PaletteStrategy;
  readonly colors: readonly RowColor[];
}

/** The colours of one palette, largest first, those from places of the designer's own among them. */
function colorsOf(
  { levels: [whole], factor, histogram: h }: KnownPicture,
  leaning: PaletteStrategy,
  size: number,
  moved: readonly MovedColor[],
): Omit<RowColor, 'share'>[] {
  const { width } = whole!;
  const all = paletteOfHistogram(h, size, leaning);
  const shares = new Map(sharesOf(h, all).map((share, i) => [all[i]!, share]));
  const found = all.slice().sort((a, b) => shares.get(b)! - shares.get(a)!);
  return found.map(({ r, g, b, place }, index) => {
    const own = moved.find((one) => one.leaning === leaning && one.size === size && one.index === index);
    if (!own) return { r, g, b, x: place % width, y: Math.floor(place / width), moved: false };
    const at = averageAround(whole!, own.x / factor, own.y / factor, own.side / factor);
    const [or, og, ob] = [at.r, at.g, at.b].map(Math.round) as [number, number, number];
    return { r: or, g: og, b: ob, x: own.x, y: own.y, moved: true };
  });
}

export interface Palettes {
  readonly rows: PaletteRow[];
  /** The picture divided among the colours of each. */
  readonly divisions: Map<PaletteStrategy, Division>;
}

/** A palette of some colours for each leaning, with where each colour is to be seen; stops after each. */
export function* palettesOf(
  known: KnownPicture,
  size: number,
  moved: readonly MovedColor[],
): Generator<void, Palettes> {
  const { levels, factor, histogram } = known;
  const found: { leaning: PaletteStrategy; colors: Omit<RowColor, 'share'>[]; division: Division }[] = [];
  for (const leaning of PALETTE_STRATEGIES) {
    const colors = colorsOf(known, leaning, size, moved);
    found.push({ leaning, colors, division: divide(histogram, colors) });
    yield;
  }
  const last = levels.length - 1;
  const places = yield* placesOfPalettes(levels[0]!, histogram, levels[last]!, 2 ** last, found);
  // In the middle of the square that a pixel of a copy stands for.
  const inWhole = (v: number) => v * factor + (factor >> 1);
  return {
    divisions: new Map(found.map(({ leaning, division }) => [leaning, division])),
    rows: found.map(({ leaning, colors, division }, row) => ({
      leaning,
      colors: colors.map((color, i) => {
        const { x, y } = places[row]![i]!;
        const share = division.shares[i]!;
        return color.moved ? { ...color, share } : { ...color, x: inWhole(x), y: inWhole(y), share };
      }),
    })),
  };
}

import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { MovedColor, PixelPlace } from '@mint-lamp/core/document/pictures/picture';
import type { Area } from '@mint-lamp/core/gradient/area';
import { followRow } from '@mint-lamp/core/gradient/follow-row';
import { drainInTurns } from '@mint-lamp/core/in-parts/drain';
import { type Division, dimOthers, divide, sharesOf } from '@mint-lamp/core/picture/division';
import type { Histogram } from '@mint-lamp/core/picture/histogram';
import { worstOfEach, worstOverPixels } from '@mint-lamp/core/picture/over-pixels';
import { paletteOfHistogram } from '@mint-lamp/core/picture/palette';
import { placesOfPalettes } from '@mint-lamp/core/picture/places';
import { type PictureLine, rowAlong } from '@mint-lamp/core/picture/row';
import { averageAround, type Pixels } from '@mint-lamp/core/picture/sample';
import { partOf } from '@mint-lamp/core/picture/shrink';
import { PALETTE_STRATEGIES, type PaletteStrategy } from '@mint-lamp/core/picture/strategies';
import { expose, transfer } from 'comlink';
import { fetched, readPicture } from './read-picture.ts';
import { type EyeAnswer, seenFirst, veiled, type WorstAt } from './seen-first.ts';
import { yieldTurn } from './turns.ts';

/** The script of the worker that holds the pixels of one opened picture, and answers whatever is asked of them. */

/** What is seen of a picture. */
export interface View {
  /** Place in the picture, in its px, at the top left corner of what is seen; may lie beside it. */
  readonly x: number;
  readonly y: number;
  /** px of the screen to one of the picture. */
  readonly scale: number;
  /** px of the screen. */
  readonly width: number;
  readonly height: number;
}

/** One colour of a palette whose pixels are lit while all others are dimmed. */
export interface Light {
  readonly leaning: PaletteStrategy;
  readonly index: number;
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

export interface Aimed {
  readonly color: Rgba;
  /** The neighbourhood, magnified. */
  readonly bitmap: ImageBitmap;
}

export interface Worst {
  readonly ratio: number;
  readonly x: number;
  readonly y: number;
  readonly ground: Rgba;
}

/** Pixels that are measured before others may have their turn. */
const PART = 500_000;
/** What shows through where a picture is translucent, when text on it is measured. */
const BENEATH: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };

let queue: Promise<unknown> = Promise.resolve();
/** Long things one after another: they share the channel above. */
function inRow<T>(body: () => Promise<T>): Promise<T> {
  const next = queue.then(body, body);
  queue = next.catch(() => {});
  return next;
}

/** The picture, and smaller ones for seeing it from afar, each half the one before. */
let levels: Pixels[] = [];
let histogram: Histogram | null = null;
let divisions = new Map<PaletteStrategy, Division>();
let latestPalettes = 0;

const picture = (): Pixels => {
  const [whole] = levels;
  if (!whole) throw new Error('No picture is open.');
  return whole;
};

let shown: OffscreenCanvas | null = null;
let region: OffscreenCanvas | null = null;
let loupe: OffscreenCanvas | null = null;

function canvasOf(known: OffscreenCanvas | null, width: number, height: number): OffscreenCanvas {
  const canvas = known ?? new OffscreenCanvas(1, 1);
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  return canvas;
}

/** Draws a part of a level so that it lies where the view has it. */
function drawPart(target: OffscreenCanvas, view: View, level: Pixels, factor: number, light: Light | null) {
  const context = target.getContext('2d')!;
  context.clearRect(0, 0, target.width, target.height);
  const part = partOf(
    level,
    view.x / factor,
    view.y / factor,
    view.width / view.scale / factor + 1,
    view.height / view.scale / factor + 1,
  );
  if (!part) return;
  const division = light && divisions.get(light.leaning);
  if (division) dimOthers(part.pixels, division, light.index);
  region = canvasOf(
    region,
    Math.max(region?.width ?? 1, part.width),
    Math.max(region?.height ?? 1, part.height),
  );
  const drawn = new ImageData(part.pixels as Uint8ClampedArray<ArrayBuffer>, part.width, part.height);
  region.getContext('2d', { willReadFrequently: true })!.putImageData(drawn, 0, 0);
  // Pixels stay pixels when they are seen large.
  context.imageSmoothingEnabled = view.scale * factor < 1;
  context.imageSmoothingQuality = 'medium';
  context.drawImage(
    region,
    0,
    0,
    part.width,
    part.height,
    (part.x * factor - view.x) * view.scale,
    (part.y * factor - view.y) * view.scale,
    part.width * factor * view.scale,
    part.height * factor * view.scale,
  );
}

/** The colours of one palette, largest first, those from places of the designer's own among them. */
function colorsOf(
  h: Histogram,
  leaning: PaletteStrategy,
  size: number,
  moved: readonly MovedColor[],
): Omit<RowColor, 'share'>[] {
  const whole = picture();
  const all = paletteOfHistogram(h, size, leaning);
  const shares = new Map(sharesOf(h, all).map((share, i) => [all[i]!, share]));
  const found = all.slice().sort((a, b) => shares.get(b)! - shares.get(a)!);
  return found.map(({ r, g, b, place }, index) => {
    const own = moved.find((one) => one.leaning === leaning && one.size === size && one.index === index);
    if (!own) return { r, g, b, x: place % whole.width, y: Math.floor(place / whole.width), moved: false };
    const at = averageAround(whole, own.x, own.y, own.side);
    const [or, og, ob] = [at.r, at.g, at.b].map(Math.round) as [number, number, number];
    return { r: or, g: og, b: ob, x: own.x, y: own.y, moved: true };
  });
}

/** A region of the picture in parts that are measured before others may have their turn. */
function* partsOf(x: number, y: number, width: number, height: number) {
  const rows = Math.max(1, Math.floor(PART / width));
  for (let top = y; top < y + height; top += rows) {
    const part = partOf(picture(), x, top, width, Math.min(rows, y + height - top));
    if (part) yield part;
  }
}

const api = {
  /** Whether it can answer at all. */
  isThere: () => true,

  /** Fetches and decodes a picture. Progress 0–1. Rejects with a sentence for people. */
  async open(address: string, onProgress: (share: number) => void) {
    const blob = await fetched(address, (share) => onProgress(share * 0.3));
    const read = await readPicture(blob, (share) => onProgress(0.3 + share * 0.7));
    ({ levels, histogram } = read);
    divisions = new Map();
    const { width, height } = picture();
    return {
      width,
      height,
      faintest: read.faintest,
      /** Bytes of pixels that are held. */
      held: levels.reduce((sum, { pixels }) => sum + pixels.byteLength, 0),
    };
  },

  render(view: View, light: Light | null): ImageBitmap {
    const wanted = Math.max(0, Math.floor(Math.log2(1 / view.scale)));
    const index = Math.min(levels.length - 1, wanted);
    shown = canvasOf(shown, view.width, view.height);
    drawPart(shown, view, levels[index]!, 2 ** index, light);
    const bitmap = shown.transferToImageBitmap();
    return transfer(bitmap, [bitmap]);
  },

  /** The average of a square, and its neighbourhood of `reach` px to each side, drawn in a square of `size` px. */
  aim({ x, y, side }: PixelPlace, reach: number, size: number): Aimed {
    const whole = picture();
    loupe = canvasOf(loupe, size, size);
    const view = {
      x: Math.floor(x) - reach,
      y: Math.floor(y) - reach,
      scale: size / (reach * 2 + 1),
      width: size,
      height: size,
    };
    drawPart(loupe, view, whole, 1, null);
    const bitmap = loupe.transferToImageBitmap();
    return transfer({ color: averageAround(whole, x, y, side), bitmap }, [bitmap]);
  },

  averages: (places: readonly PixelPlace[]): Rgba[] =>
    places.map(({ x, y, side }) => averageAround(picture(), x, y, side)),

  /** A palette for each leaning; null when a later one was asked for meanwhile. */
  palettes(size: number, moved: readonly MovedColor[]): Promise<PaletteRow[] | null> {
    latestPalettes += 1;
    const own = latestPalettes;
    return inRow(async () => {
      if (!histogram) throw new Error('No picture is open.');
      const h = histogram;
      const found: { leaning: PaletteStrategy; colors: Omit<RowColor, 'share'>[]; division: Division }[] = [];
      for (const leaning of PALETTE_STRATEGIES) {
        if (own !== latestPalettes) return null;
        const colors = colorsOf(h, leaning, size, moved);
        found.push({ leaning, colors, division: divide(h, colors) });
        await yieldTurn();
      }
      const small = levels[levels.length - 1]!;
      const factor = 2 ** (levels.length - 1);
      const places = await drainInTurns(placesOfPalettes(picture(), h, small, factor, found), yieldTurn);
      if (own !== latestPalettes) return null;
      divisions = new Map(found.map(({ leaning, division }) => [leaning, division]));
      return found.map(({ leaning, colors, division }, row) => ({
        leaning,
        colors: colors.map((color, i) => ({
          ...color,
          ...(color.moved ? null : places[row]![i]),
          share: division.shares[i]!,
        })),
      }));
    });
  },

  /** The gradient that follows the colours along a line, averaged over `side` px across it, to a tolerance in ΔE OK. */
  follow(line: PictureLine, side: number, tolerance: number) {
    const row = rowAlong(picture(), line, side);
    return transfer({ ...followRow(row, tolerance), row }, [row.buffer]);
  },

  /** The worst contrast of a text over a region, in px of the picture. */
  worst(text: Rgba, x: number, y: number, width: number, height: number): Promise<Worst> {
    return inRow(async () => {
      let worst: Worst | null = null;
      for (const part of partsOf(x, y, width, height)) {
        const { ratio, at, ground } = worstOverPixels(text, part.pixels, BENEATH);
        if (!worst || ratio < worst.ratio)
          worst = { ratio, ground, x: part.x + (at % part.width), y: part.y + Math.floor(at / part.width) };
        await yieldTurn();
      }
      if (!worst) throw new Error('The region lies beside the picture.');
      return worst;
    });
  },

  /**
   * Where the eye goes first on the picture with a text over a region, and what would have it go to the text: one of some
   * other colours for it, the least veil of one of some colours over the picture, another place. `lying` is a veil that lies there already.
   */
  eye(
    text: Rgba,
    region: Area,
    required: number,
    others: readonly Rgba[],
    veils: readonly Rgba[],
    lying: Rgba | null,
  ): Promise<EyeAnswer> {
    return inRow(() => {
      // Seen from afar, as the eye does.
      const small = levels[levels.length - 1]!;
      const worst: WorstAt = (of, { x, y, width, height }, veil) => {
        let least = Number.POSITIVE_INFINITY;
        for (const part of partsOf(x, y, width, height))
          least = Math.min(
            least,
            worstOverPixels(of, veil ? veiled(part.pixels, veil) : part.pixels, BENEATH).ratio,
          );
        return least;
      };
      const asked = { text, region, required, others, veils, lying };
      return drainInTurns(seenFirst(small, picture().width, asked, worst), yieldTurn);
    });
  },

  /** The worst contrast of each of several opaque texts over a region. */
  worstOfEach(
    texts: readonly Rgba[],
    x: number,
    y: number,
    width: number,
    height: number,
  ): Promise<number[]> {
    return inRow(async () => {
      let worst = texts.map(() => Number.POSITIVE_INFINITY);
      for (const part of partsOf(x, y, width, height)) {
        const ratios = worstOfEach(texts, part.pixels, BENEATH);
        worst = worst.map((ratio, i) => Math.min(ratio, ratios[i]!));
        await yieldTurn();
      }
      return worst;
    });
  },
};
export type PixelWorkerApi = typeof api;

expose(api);

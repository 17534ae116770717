import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { MovedColor, PixelPlace } from '@mint-lamp/core/document/pictures/picture';
import type { Area } from '@mint-lamp/core/gradient/area';
import { followRow } from '@mint-lamp/core/gradient/follow-row';
import { drainInTurns } from '@mint-lamp/core/in-parts/drain';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { type Division, dimOthers } from '@mint-lamp/core/picture/division';
import { histogramOf } from '@mint-lamp/core/picture/histogram';
import { worstOfEach, worstOverPixels } from '@mint-lamp/core/picture/over-pixels';
import { type PictureLine, rowAlong } from '@mint-lamp/core/picture/row';
import { averageAround, type Pixels } from '@mint-lamp/core/picture/sample';
import { partOf } from '@mint-lamp/core/picture/shrink';
import type { PaletteStrategy } from '@mint-lamp/core/picture/strategies';
import { expose, transfer } from 'comlink';
import { type KnownPicture, type PaletteRow, palettesOf } from './palette-rows.ts';
import { fetched, levelsOf, readPicture } from './read-picture.ts';
import { type EyeAnswer, seenFirst, veiled, type WorstAt } from './seen-first.ts';
import { smallCopyOf } from './small-copy.ts';
import { yieldTurn } from './turns.ts';
import { warmUp } from './warm-up.ts';

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

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** A picture all of whose pixels are there. */
interface Opened extends Size {
  /** The least opacity in it that is more than none, 1–255. */
  readonly faintest: number;
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

/** What is seen: the picture, or a small copy until it is there. */
let known: KnownPicture | null = null;
/** All of the picture, once it is there; everything that is measured waits for it. */
let opening: Promise<KnownPicture> = Promise.reject(new Error('No picture is open.'));
opening.catch(() => {});
/** Whether one is open or on its way. */
let isOpening = false;
let divisions = new Map<PaletteStrategy, Division>();
let latestPalettes = 0;

const seen = (): KnownPicture => {
  if (!known) throw new Error('No picture is open.');
  return known;
};
/** All pixels of the picture. */
const whole = async (): Promise<Pixels> => (await opening).levels[0]!;

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
  // Pixels stay pixels when they are seen large; those of a copy are none.
  context.imageSmoothingEnabled = view.scale * factor < 1 || seen().factor > 1;
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

/** A region of the picture in parts that are measured before others may have their turn. */
function* partsOf(picture: Pixels, x: number, y: number, width: number, height: number) {
  const rows = Math.max(1, Math.floor(PART / width));
  for (let top = y; top < y + height; top += rows) {
    const part = partOf(picture, x, top, width, Math.min(rows, y + height - top));
    if (part) yield part;
  }
}

/** What is asked of the small copy goes before the reading of all of it. */
async function turnOfReading(): Promise<void> {
  await yieldTurn();
  await queue;
}

/** Ms between two words on how far it is: each has the page draw. */
const TELL_MS = 60;

function nowAndThen(tell: (share: number) => void): (share: number) => void {
  let last = 0;
  return (share) => {
    const now = performance.now();
    if (now - last < TELL_MS) return;
    last = now;
    tell(share);
  };
}

/** Reads a picture; a small copy of it is seen meanwhile, of which `onCopy` tells. */
async function readWhole(
  address: string,
  size: Size | null,
  onProgress: (share: number) => void,
  onCopy: () => void,
): Promise<KnownPicture & { readonly faintest: number }> {
  const tell = nowAndThen(onProgress);
  const blob = await fetched(address, (share) => tell(share * 0.3));
  const reading = readPicture(blob, (share) => tell(0.3 + share * 0.7), turnOfReading);
  let isRead = false;
  const showCopy = async () => {
    const copy = size && (await smallCopyOf(blob, size));
    if (!copy) return;
    const levels = await levelsOf(copy.pixels, yieldTurn);
    if (isRead) return;
    known = { levels, factor: copy.factor, histogram: histogramOf(copy.pixels.pixels) };
    onCopy();
  };
  void showCopy();
  const read = await reading.finally(() => {
    isRead = true;
  });
  return { ...read, factor: 1 };
}

const api = {
  /** Whether it can answer at all. */
  isThere: () => true,

  /** Does what is done with a picture once with one of its own, so that it is done fast with the first that is opened. */
  warmUp: () => warmUp(() => isOpening),

  /**
   * Fetches and decodes a picture of a size in px, where it is known. Progress 0–1; `onCopy` tells that a small copy can be
   * seen and has palettes. Rejects with a sentence for people.
   */
  async open(
    address: string,
    size: Size | null,
    onProgress: (share: number) => void,
    onCopy: () => void,
  ): Promise<Opened> {
    isOpening = true;
    const reading = readWhole(address, size, onProgress, onCopy);
    opening = reading;
    const { faintest, ...read } = await reading;
    known = read;
    const { width, height } = read.levels[0]!;
    return { width, height, faintest };
  },

  render(view: View, light: Light | null): ImageBitmap {
    const { levels, factor } = seen();
    const wanted = Math.floor(Math.log2(1 / view.scale / factor));
    const index = clamp(wanted, 0, levels.length - 1);
    shown = canvasOf(shown, view.width, view.height);
    drawPart(shown, view, levels[index]!, factor * 2 ** index, light);
    const bitmap = shown.transferToImageBitmap();
    return transfer(bitmap, [bitmap]);
  },

  /** The average of a square, and its neighbourhood of `reach` px to each side, drawn in a square of `size` px. */
  async aim({ x, y, side }: PixelPlace, reach: number, size: number): Promise<Aimed> {
    const picture = await whole();
    loupe = canvasOf(loupe, size, size);
    const view = {
      x: Math.floor(x) - reach,
      y: Math.floor(y) - reach,
      scale: size / (reach * 2 + 1),
      width: size,
      height: size,
    };
    drawPart(loupe, view, picture, 1, null);
    const bitmap = loupe.transferToImageBitmap();
    return transfer({ color: averageAround(picture, x, y, side), bitmap }, [bitmap]);
  },

  async averages(places: readonly PixelPlace[]): Promise<Rgba[]> {
    const picture = await whole();
    return places.map(({ x, y, side }) => averageAround(picture, x, y, side));
  },

  /** A palette for each leaning, of what there is of the picture; null when a later one was asked for meanwhile. */
  palettes(size: number, moved: readonly MovedColor[]): Promise<PaletteRow[] | null> {
    latestPalettes += 1;
    const own = latestPalettes;
    return inRow(async () => {
      const parts = palettesOf(seen(), size, moved);
      for (;;) {
        if (own !== latestPalettes) return null;
        const step = parts.next();
        if (!step.done) await yieldTurn();
        else {
          ({ divisions } = step.value);
          return step.value.rows;
        }
      }
    });
  },

  /** The gradient that follows the colours along a line, averaged over `side` px across it, to a tolerance in ΔE OK. */
  async follow(line: PictureLine, side: number, tolerance: number) {
    const row = rowAlong(await whole(), line, side);
    return transfer({ ...followRow(row, tolerance), row }, [row.buffer]);
  },

  /** The worst contrast of a text over a region, in px of the picture. */
  async worst(text: Rgba, x: number, y: number, width: number, height: number): Promise<Worst> {
    const picture = await whole();
    return inRow(async () => {
      let worst: Worst | null = null;
      for (const part of partsOf(picture, x, y, width, height)) {
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
  async eye(
    text: Rgba,
    region: Area,
    required: number,
    others: readonly Rgba[],
    veils: readonly Rgba[],
    lying: Rgba | null,
  ): Promise<EyeAnswer> {
    const { levels } = await opening;
    return inRow(() => {
      const picture = levels[0]!;
      // Seen from afar, as the eye does.
      const small = levels[levels.length - 1]!;
      const worst: WorstAt = (of, { x, y, width, height }, veil) => {
        let least = Number.POSITIVE_INFINITY;
        for (const part of partsOf(picture, x, y, width, height))
          least = Math.min(
            least,
            worstOverPixels(of, veil ? veiled(part.pixels, veil) : part.pixels, BENEATH).ratio,
          );
        return least;
      };
      const asked = { text, region, required, others, veils, lying };
      return drainInTurns(seenFirst(small, picture.width, asked, worst), yieldTurn);
    });
  },

  /** The worst contrast of each of several opaque texts over a region. */
  async worstOfEach(
    texts: readonly Rgba[],
    x: number,
    y: number,
    width: number,
    height: number,
  ): Promise<number[]> {
    const picture = await whole();
    return inRow(async () => {
      let worst = texts.map(() => Number.POSITIVE_INFINITY);
      for (const part of partsOf(picture, x, y, width, height)) {
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

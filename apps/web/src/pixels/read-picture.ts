import { drainInTurns } from '@mint-lamp/core/in-parts/drain';
import { countInParts, type Histogram, wordsOf } from '@mint-lamp/core/picture/histogram';
import type { Pixels } from '@mint-lamp/core/picture/sample';
import { halved } from '@mint-lamp/core/picture/shrink';

/** Rows that are read before others may have their turn. */
const STRIP = 256;
/** No smaller picture is kept for being shown from afar. */
const SMALLEST_LEVEL = 250_000;

/** How long the server may send nothing, ms. */
const SILENT_MS = 30_000;

/** The bytes of a picture from the server. Progress 0–1. Rejects with a sentence for people. */
export async function fetched(address: string, tell: (share: number) => void): Promise<Blob> {
  const silent = new AbortController();
  let timer = setTimeout(() => silent.abort(), SILENT_MS);
  const heard = () => {
    clearTimeout(timer);
    timer = setTimeout(() => silent.abort(), SILENT_MS);
  };
  try {
    return await fetchedBlob(address, tell, silent.signal, heard);
  } finally {
    clearTimeout(timer);
  }
}

const away = () => new Error('The server does not answer, so the picture cannot be opened.');

async function fetchedBlob(
  address: string,
  tell: (share: number) => void,
  signal: AbortSignal,
  heard: () => void,
): Promise<Blob> {
  const response = await fetch(address, { signal }).catch(() => {
    throw away();
  });
  if (!response.ok || !response.body)
    throw new Error(
      response.status === 404
        ? 'The file of this picture is not on the server. Open it anew from where it came.'
        : 'The server could not give the picture. Try again.',
    );
  const size = Number(response.headers.get('content-length')) || 1;
  const chunks: Uint8Array<ArrayBuffer>[] = [];
  let read = 0;
  const reader = response.body.getReader();
  for (;;) {
    const { done, value } = await reader.read().catch(() => {
      throw away();
    });
    if (done) break;
    heard();
    chunks.push(value);
    read += value.length;
    tell(Math.min(1, read / size));
  }
  return new Blob(chunks, { type: response.headers.get('content-type') ?? '' });
}

/** A picture as it was read. */
export interface ReadPicture {
  /** The picture, and smaller ones for seeing it from afar, each half the one before. */
  readonly levels: Pixels[];
  readonly histogram: Histogram;
  /** The least opacity that is more than none, 1–255; 255 where nothing is translucent. */
  readonly faintest: number;
}

/** The least opacity of some pixels that is more than none and less than before. */
function faintestOf(pixels: Uint8ClampedArray, before: number): number {
  // Most pictures are opaque all over, which words of four bytes tell at once.
  const words = wordsOf(pixels);
  let all = -1;
  for (let i = 0; i < words.length; i++) all &= words[i]!;
  if (all >>> 24 === 255) return before;
  let least = before;
  for (let i = 3; i < pixels.length; i += 4) if (pixels[i]! < least && pixels[i]! > 0) least = pixels[i]!;
  return least;
}

/** A picture and smaller ones, each half the one before; `turn` hears how much of the next is done, 0–1. */
export async function levelsOf(
  whole: Pixels,
  turn: (share: number, level: number) => Promise<unknown>,
): Promise<Pixels[]> {
  const levels = [whole];
  for (let last = whole; last.width * last.height > SMALLEST_LEVEL; levels.push(last))
    last = await drainInTurns(halved(last), (share) => turn(share, levels.length - 1));
  return levels;
}

/**
 * Decodes a picture once, and reads it strip by strip, so that no second copy of all of it is needed; each strip is
 * counted while the processor still has it at hand. Progress 0–1; between strips others have their turn. Rejects with a
 * sentence for people.
 */
export async function readPicture(
  blob: Blob,
  tell: (share: number) => void,
  turn: () => Promise<unknown>,
): Promise<ReadPicture> {
  const bitmap = await createImageBitmap(blob, {
    imageOrientation: 'from-image',
    premultiplyAlpha: 'none',
    colorSpaceConversion: 'default',
  }).catch(() => {
    throw new Error('This browser cannot read the picture. Save it anew as PNG or JPEG, and open that.');
  });
  tell(0.3);
  const { width, height } = bitmap;
  const whole: Pixels = { width, height, pixels: new Uint8ClampedArray(width * height * 4) };
  const canvas = new OffscreenCanvas(width, Math.min(STRIP, height));
  const context = canvas.getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' })!;
  context.globalCompositeOperation = 'copy';
  context.imageSmoothingEnabled = false;
  const counting = countInParts(whole.pixels, STRIP * width);
  let histogram: Histogram | null = null;
  let faintest = 255;
  for (let y = 0; y < height; y += STRIP) {
    const rows = Math.min(STRIP, height - y);
    context.drawImage(bitmap, 0, y, width, rows, 0, 0, width, rows);
    const strip = context.getImageData(0, 0, width, rows).data;
    whole.pixels.set(strip, y * width * 4);
    faintest = faintestOf(strip, faintest);
    const counted = counting.next();
    if (counted.done) histogram = counted.value;
    tell(0.3 + (0.5 * (y + rows)) / height);
    await turn();
  }
  // Only then are smaller ones made: with the bitmap they would be more than the memory that is allowed.
  bitmap.close();
  const levels = await levelsOf(whole, (share, level) => {
    if (level === 0) tell(0.8 + share * 0.2);
    return turn();
  });
  if (!histogram) throw new Error('The picture has no pixels.');
  return { levels, histogram, faintest };
}

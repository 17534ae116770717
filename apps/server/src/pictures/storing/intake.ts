import { createHash } from 'node:crypto';
import { MOST_PIXELS } from '@mint-lamp/core/document/limits';
import { LONGEST_SIDE } from '@mint-lamp/core/document/pictures/picture';
import { MOST_PICTURE_BYTES, type PictureKind, pictureKindOf } from '@mint-lamp/core/picture/kind';
import sharp, { type Metadata } from 'sharp';
import { checkNoise } from '../drawing/drawing-cost.ts';
import { refused } from '../refused-picture.ts';
import { strippedAvif } from './stripped/avif.ts';
import { BrokenFile } from './stripped/broken-file.ts';
import { strippedJpeg } from './stripped/jpeg.ts';
import { strippedPng } from './stripped/png.ts';
import { strippedWebp } from './stripped/webp.ts';

// Its memory of what was opened before would keep pictures of people who have gone.
sharp.cache(false);

/** A picture as it is kept: nothing in it but what it shows. */
export interface KeptPicture {
  /** SHA-256 of `bytes`, hex. */
  readonly content: string;
  readonly mediaType: 'image/png' | 'image/jpeg' | 'image/webp' | 'image/avif';
  /** px, upright. */
  readonly width: number;
  readonly height: number;
  readonly bytes: Uint8Array;
  /** The picture again, small, for lists. */
  readonly small: Uint8Array;
}

const STRIPPED = {
  jpeg: strippedJpeg,
  png: strippedPng,
  webp: strippedWebp,
  avif: strippedAvif,
} as const;

/** px of the longer side, below which a drawing is painted larger than it says. */
const SMALLEST_DRAWING = 1024;
/** px of the longer side of a small one. */
const SMALL = 360;
// How long it takes and how much memory is for the lane that this runs in.
const unlimited = { limitInputPixels: false, failOn: 'error' } as const;

/**
 * Reads a file with the library, whose every complaint is about the file. Its faults in detail are not shown; what helps
 * is which file it is.
 */
async function reading<T>(read: () => Promise<T>): Promise<T> {
  try {
    return await read();
  } catch (error) {
    throw new BrokenFile(error instanceof Error ? error.message : String(error));
  }
}

/** The file without its notes; where its parts lie elsewhere than in it, it is broken. */
async function stripped(bytes: Uint8Array, kind: keyof typeof STRIPPED): Promise<Uint8Array> {
  try {
    return await STRIPPED[kind](bytes);
  } catch (error) {
    if (error instanceof RangeError) throw new BrokenFile(error.message);
    throw error;
  }
}

function painted(bytes: Uint8Array, { width, height }: Metadata): Promise<Buffer> {
  const scale = Math.max(1, SMALLEST_DRAWING / Math.max(width, height));
  checkNoise(new TextDecoder().decode(bytes), width * scale, height * scale);
  const density = Math.min(100_000, 72 * scale);
  return reading(() =>
    sharp(bytes, { ...unlimited, density })
      .png()
      .toBuffer(),
  );
}

/** A WebP turned as its camera was held, its pixels the same. */
const upright = (bytes: Uint8Array): Promise<Buffer> =>
  reading(() => sharp(bytes, unlimited).autoOrient().keepIccProfile().webp({ lossless: true }).toBuffer());

/** The file with nothing in it but what it shows; drawings and moving pictures as the picture that they show first. */
async function withoutNotes(bytes: Uint8Array, kind: PictureKind, metadata: Metadata) {
  if (kind === 'svg') return { kind: 'png', bytes: await painted(bytes, metadata) } as const;
  if (kind === 'gif')
    return {
      kind: 'png',
      bytes: await reading(() => sharp(bytes, unlimited).png().toBuffer()),
    } as const;
  // Browsers leave one of this kind as it lies; turned without loss it looks alike everywhere.
  if (kind === 'webp' && (metadata.orientation ?? 1) !== 1)
    return { kind, bytes: await upright(bytes) } as const;
  return { kind, bytes: await stripped(bytes, kind) };
}

function checkSize(width: number, height: number): void {
  if (width * height > MOST_PIXELS) throw refused.pixels(width, height);
  if (Math.max(width, height) > LONGEST_SIDE) throw refused.side(width, height, LONGEST_SIDE);
}

async function take(given: Uint8Array, kind: PictureKind): Promise<KeptPicture> {
  const said = await reading(() => sharp(given, unlimited).metadata());
  checkSize(said.width, said.height);
  const file = await withoutNotes(given, kind, said);
  // Turned upright as browsers do, which heed what is noted in PNG and JPEG; AVIF's own form says it.
  const { autoOrient, width: w, height: h } = await reading(() => sharp(file.bytes, unlimited).metadata());
  const { width, height } = file.kind === 'avif' ? { width: w, height: h } : autoOrient;
  checkSize(width, height);
  // Reading every pixel of what was given is what shows whether it is whole; without its end it may look so.
  const small = await reading(() =>
    sharp(kind === file.kind ? given : file.bytes, unlimited)
      .autoOrient()
      .resize(SMALL, SMALL, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#777777' })
      .webp({ quality: 82 })
      .toBuffer(),
  );
  const content = createHash('sha256').update(file.bytes).digest('hex');
  return { content, mediaType: `image/${file.kind}`, width, height, bytes: file.bytes, small };
}

/**
 * Takes in a file of any origin: what kind it is its bytes say; it must be whole and within the limits; what it tells
 * besides its pixels is thrown away. Pixels stay as they are, to the bit, and wide gamuts keep their profile. Drawings
 * are painted, never run, and nothing that they point to is fetched. Throws ApiError with one sentence.
 */
export async function takeIn(given: Uint8Array): Promise<KeptPicture> {
  if (!given.length) throw refused.empty();
  if (given.length > MOST_PICTURE_BYTES) throw refused.bytes();
  const kind = pictureKindOf(given);
  if (!kind) throw refused.kind();
  try {
    return await take(given, kind);
  } catch (error) {
    if (error instanceof BrokenFile) throw refused.broken(kind.toUpperCase());
    throw error;
  }
}

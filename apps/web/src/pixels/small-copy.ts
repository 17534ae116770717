import type { Pixels } from '@mint-lamp/core/picture/sample';

/** A small copy of a picture, as its decoder makes it long before all of it is there. */
export interface SmallCopy {
  readonly pixels: Pixels;
  /** px of the picture to one of the copy, to each side. */
  readonly factor: number;
}

/** What a browser may have, and TypeScript's list of what browsers have does not. */
interface Decoder {
  decode(): Promise<{ readonly image: VideoFrame }>;
  close(): void;
}
type DecoderOf = new (asked: {
  type: string;
  data: ReadableStream<Uint8Array>;
  desiredWidth: number;
  desiredHeight: number;
}) => Decoder;

/** Pictures with fewer pixels are read as soon as a copy of them would be. */
const WORTH_IT = 3_000_000;
/** A copy has so many pixels at least: it fills the desk, and has the colours of small things too. */
const LEAST = 250_000;
/** JPEG is decoded to an eighth of its width at the least. */
const FACTORS = [8, 4, 2];

interface CopySize {
  /** px. */
  readonly width: number;
  readonly height: number;
  readonly factor: number;
}

/** The size of a copy of a picture of a size in px; null where none is worth it. */
export function sizeOfCopy(width: number, height: number): CopySize | null {
  if (width * height < WORTH_IT) return null;
  for (const factor of FACTORS) {
    const [w, h] = [Math.ceil(width / factor), Math.ceil(height / factor)];
    if (w * h >= LEAST) return { width: w, height: h, factor };
  }
  return null;
}

/**
 * A small copy of a JPEG of a size in px, upright: each of its pixels is made from the few numbers that say how a square of
 * the picture is on the whole, in a fifth of the time that all of them take. Null where the picture is small, or of
 * another kind, or the browser cannot do it; who cannot decode it at all says so where all of it is read.
 */
export async function smallCopyOf(
  blob: Blob,
  { width, height }: { readonly width: number; readonly height: number },
): Promise<SmallCopy | null> {
  const size = sizeOfCopy(width, height);
  const { ImageDecoder } = globalThis as { ImageDecoder?: DecoderOf };
  if (!size || !ImageDecoder || blob.type !== 'image/jpeg') return null;
  try {
    const decoder = new ImageDecoder({
      type: blob.type,
      data: blob.stream(),
      desiredWidth: size.width,
      desiredHeight: size.height,
    });
    try {
      const { image } = await decoder.decode();
      return copyOf(image, size);
    } finally {
      decoder.close();
    }
  } catch {
    return null;
  }
}

/** The pixels of a decoded copy, which is closed; null where it is of another size than was asked for. */
function copyOf(image: VideoFrame, { width, height, factor }: CopySize): SmallCopy | null {
  try {
    if (image.displayWidth !== width || image.displayHeight !== height) return null;
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' })!;
    context.drawImage(image, 0, 0);
    return { pixels: { width, height, pixels: context.getImageData(0, 0, width, height).data }, factor };
  } finally {
    image.close();
  }
}

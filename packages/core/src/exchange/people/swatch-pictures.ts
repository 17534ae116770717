import { encode } from 'jpeg-js';
import { deflated } from '../deflated.ts';
import { pngEnd, pngHead, pngPart } from '../png.ts';
import type { Canvas } from './canvas.ts';

/** How good a JPEG is, of 100: flat colours stay within 2 of 255. */
const QUALITY = 95;

/**
 * Each row of opaque pixels as it differs from the one above (PNG §9.2, filter 2), three bytes each: on flat colours that is
 * nothing, row after row.
 */
function fromAbove(pixels: Uint8ClampedArray, width: number, rows: number): Uint8Array<ArrayBuffer> {
  const out = new Uint8Array(rows * (width * 3 + 1));
  const above = width * 4;
  let to = 0;
  let from = 0;
  for (let row = 0; row < rows; row++) {
    out[to++] = 2;
    for (let column = 0; column < width; column++, from += 4, to += 3) {
      if (row) {
        out[to] = pixels[from]! - pixels[from - above]!;
        out[to + 1] = pixels[from + 1]! - pixels[from + 1 - above]!;
        out[to + 2] = pixels[from + 2]! - pixels[from + 2 - above]!;
      } else {
        out[to] = pixels[from]!;
        out[to + 1] = pixels[from + 1]!;
        out[to + 2] = pixels[from + 2]!;
      }
    }
  }
  return out;
}

/** Pixels as a PNG. */
export async function writePng({ pixels, width, height }: Canvas): Promise<Uint8Array<ArrayBuffer>> {
  const packed = await deflated(fromAbove(pixels, width, height));
  const parts = [pngHead(width, height, 'opaque'), pngPart(packed), pngEnd()];
  const out = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    out.set(part, at);
    at += part.length;
  }
  return out;
}

/** Pixels as a JPEG. */
export function writeJpeg({ pixels, width, height }: Canvas): Uint8Array<ArrayBuffer> {
  // The encoder ends by `Buffer.from`, which browsers have not, and which does nothing here that this does not.
  const scope = globalThis as { Buffer?: unknown };
  scope.Buffer ??= Uint8Array;
  return Uint8Array.from(encode({ data: pixels, width, height }, QUALITY).data);
}

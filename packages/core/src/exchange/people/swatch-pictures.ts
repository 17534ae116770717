import { zlibSync } from 'fflate';
import { encode } from 'jpeg-js';
import { pngEnd, pngHead, pngPart } from '../png.ts';
import type { Canvas } from './canvas.ts';

/** How good a JPEG is, of 100: flat colours stay within 2 of 255. */
const QUALITY = 95;

/** Each row as it differs from the one above (PNG §9.2, filter 2): on flat colours that is nothing, row after row. */
function fromAbove(pixels: Uint8ClampedArray, length: number, rows: number): Uint8Array {
  const out = new Uint8Array(rows * (length + 1));
  for (let row = 0; row < rows; row++) {
    const [from, to] = [row * length, row * (length + 1)];
    out[to] = 2;
    for (let i = 0; i < length; i++)
      out[to + 1 + i] = pixels[from + i]! - (row ? pixels[from - length + i]! : 0);
  }
  return out;
}

/** Pixels as a PNG. */
export function writePng({ pixels, width, height }: Canvas): Uint8Array<ArrayBuffer> {
  const bytes = fromAbove(pixels, width * 4, height);
  const parts = [pngHead(width, height), pngPart(zlibSync(bytes, { level: 1 })), pngEnd()];
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

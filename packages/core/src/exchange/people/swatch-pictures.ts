import { zlibSync } from 'fflate';
import { encode } from 'jpeg-js';
import { pngEnd, pngHead, pngPart, pngRows } from '../png.ts';
import type { Canvas } from './canvas.ts';

/** How good a JPEG is, of 100: flat colours stay within 2 of 255. */
const QUALITY = 95;

/** Pixels as a PNG. */
export function writePng({ pixels, width, height }: Canvas): Uint8Array<ArrayBuffer> {
  const { bytes } = pngRows(pixels, width, null);
  const parts = [pngHead(width, height), pngPart(zlibSync(bytes, { level: 4 })), pngEnd()];
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

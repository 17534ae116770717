import type { SeenColors } from '../contrast/over-colors.ts';

/** Bytes of a colour: RGBA, and how many pixels have it, and where one is, as 32 bits of the lowest first. */
const EACH = 12;

/** The colours of a region as bytes. */
export function writeRegion({ colors, counts, at }: SeenColors): Uint8Array {
  const bytes = new Uint8Array(counts.length * EACH);
  const view = new DataView(bytes.buffer);
  for (let i = 0; i < counts.length; i++) {
    bytes.set(colors.subarray(i * 4, i * 4 + 4), i * EACH);
    view.setUint32(i * EACH + 4, counts[i]!, true);
    view.setUint32(i * EACH + 8, at[i]!, true);
  }
  return bytes;
}

/** The colours of a region from bytes; throws a RangeError where they are none. */
export function readRegion(bytes: ArrayBuffer): SeenColors {
  const n = bytes.byteLength / EACH;
  if (!Number.isInteger(n) || n < 1) throw new RangeError('These bytes are no colours of a region.');
  const view = new DataView(bytes);
  const colors = new Uint8Array(n * 4);
  const [counts, at] = [new Uint32Array(n), new Uint32Array(n)];
  for (let i = 0; i < n; i++) {
    colors.set(new Uint8Array(bytes, i * EACH, 4), i * 4);
    counts[i] = view.getUint32(i * EACH + 4, true);
    at[i] = view.getUint32(i * EACH + 8, true);
  }
  return { colors, counts, at };
}

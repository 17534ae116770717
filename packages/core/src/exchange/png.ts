/** Source: PNG (third edition), §5 and §9. */
const SIGNATURE = Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a);
/** RGBA and RGB, 8 bits each. */
const COLOR_KINDS = { alpha: 6, opaque: 2 } as const;
const [DEPTH, EACH] = [8, 4];
/** Each byte as its difference from the pixel to the left, which gradients have little of; from the row above; or as it is. */
const [AS_IT_IS, LEFT, ABOVE] = [0, 1, 2];

const CRC = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});

function crcOf(bytes: Uint8Array): number {
  let c = 0xffffffff;
  for (const byte of bytes) c = CRC[(c ^ byte) & 255]! ^ (c >>> 8);
  return (c ^ 0xffffffff) >>> 0;
}

function chunk(type: string, content: Uint8Array): Uint8Array<ArrayBuffer> {
  const out = new Uint8Array(12 + content.length);
  const view = new DataView(out.buffer);
  view.setUint32(0, content.length);
  for (let i = 0; i < 4; i++) out[4 + i] = type.charCodeAt(i);
  out.set(content, 8);
  view.setUint32(8 + content.length, crcOf(out.subarray(4, 8 + content.length)));
  return out;
}

/** What stands before the pixels of a PNG of whole px in sRGB, not multiplied by alpha. */
export function pngHead(
  width: number,
  height: number,
  kind: keyof typeof COLOR_KINDS = 'alpha',
): Uint8Array<ArrayBuffer> {
  const head = new Uint8Array(13);
  const view = new DataView(head.buffer);
  view.setUint32(0, width);
  view.setUint32(4, height);
  head.set([DEPTH, COLOR_KINDS[kind]], 8);
  const parts = [SIGNATURE, chunk('IHDR', head), chunk('sRGB', Uint8Array.of(0))];
  const out = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    out.set(part, at);
    at += part.length;
  }
  return out;
}

/** Some of the compressed pixels, in order. */
export const pngPart = (compressed: Uint8Array): Uint8Array<ArrayBuffer> => chunk('IDAT', compressed);
export const pngEnd = (): Uint8Array<ArrayBuffer> => chunk('IEND', new Uint8Array());

/** The row nearest to zero of the three ways to write one, by the sum of its bytes as they are off zero. */
function filtered(
  out: Uint8Array,
  at: number,
  pixels: Uint8ClampedArray,
  row: number,
  length: number,
  above: Uint8ClampedArray | null,
) {
  const from = row * length;
  let best = AS_IT_IS;
  let least = Number.POSITIVE_INFINITY;
  for (const kind of above ? [AS_IT_IS, LEFT, ABOVE] : [AS_IT_IS, LEFT]) {
    let sum = 0;
    for (let i = 0; i < length; i++) {
      const other =
        kind === LEFT ? (i < EACH ? 0 : pixels[from + i - EACH]!) : kind === ABOVE ? above![i]! : 0;
      const v = (pixels[from + i]! - other) & 255;
      sum += v < 128 ? v : 256 - v;
    }
    if (sum < least) {
      least = sum;
      best = kind;
    }
  }
  out[at] = best;
  for (let i = 0; i < length; i++) {
    const other = best === LEFT ? (i < EACH ? 0 : pixels[from + i - EACH]!) : best === ABOVE ? above![i]! : 0;
    out[at + 1 + i] = pixels[from + i]! - other;
  }
}

/** The last row that was written, which the next one may be told by. */
export type RowAbove = Uint8ClampedArray<ArrayBuffer> | null;

/** Rows of RGBA pixels (4 bytes each, not multiplied by alpha) as they are compressed, and the last of them. */
export function pngRows(
  pixels: Uint8ClampedArray<ArrayBuffer>,
  width: number,
  above: RowAbove,
): { readonly bytes: Uint8Array<ArrayBuffer>; readonly last: RowAbove } {
  const length = width * EACH;
  const rows = pixels.length / length;
  const bytes = new Uint8Array(rows * (length + 1));
  let before = above;
  for (let row = 0; row < rows; row++) {
    filtered(bytes, row * (length + 1), pixels, row, length, before);
    before = pixels.subarray(row * length, (row + 1) * length);
  }
  return { bytes, last: before };
}

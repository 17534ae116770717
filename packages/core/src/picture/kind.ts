/** Kinds of pictures that can be opened. */
const PICTURE_KINDS = ['png', 'jpeg', 'webp', 'avif', 'gif', 'svg'] as const;
export type PictureKind = (typeof PICTURE_KINDS)[number];

/** What they are called for people. */
export const PICTURE_KINDS_IN_WORDS = 'PNG, JPEG, WebP, AVIF, GIF or SVG';

/** Bytes of a file, at most: 40 MB. */
export const MOST_PICTURE_BYTES = 40_000_000;

const startsWith = (bytes: Uint8Array, at: number, ...signs: readonly number[]) =>
  signs.every((sign, i) => bytes[at + i] === sign);
const letters = (bytes: Uint8Array, at: number, length = 4) =>
  String.fromCharCode(...bytes.subarray(at, at + length));

/** Whether a file of ISO boxes (`ftyp` first) is an AVIF, by its brands. */
function isAvif(bytes: Uint8Array): boolean {
  if (letters(bytes, 4) !== 'ftyp') return false;
  const size = (bytes[0]! << 24) | (bytes[1]! << 16) | (bytes[2]! << 8) | bytes[3]!;
  const end = Math.min(size, bytes.length, 256);
  for (let at = 8; at + 4 <= end; at += 4) if (at !== 12 && /^avi[fs]$/.test(letters(bytes, at))) return true;
  return false;
}

/** What may stand before the root of an SVG: declarations, comments, a document type. */
const BEFORE_ROOT =
  /^\s*(?:<\?[^>]{0,500}\?>\s*|<!--[\s\S]{0,3000}?-->\s*|<!DOCTYPE\s+(?:[a-z]+:)?svg\b[^>[]{0,500}(?:\[[^\]]{0,3000}\])?\s*>\s*)*/i;

function isSvg(bytes: Uint8Array): boolean {
  const text = new TextDecoder().decode(bytes.subarray(0, 4096)).replace(/^\ufeff/, '');
  return /^<(?:[a-z]+:)?svg[\s>/]/i.test(text.replace(BEFORE_ROOT, ''));
}

/** The kind of a file by what its bytes begin with, whatever it is called; null when it is none that can be opened. */
export function pictureKindOf(bytes: Uint8Array): PictureKind | null {
  if (startsWith(bytes, 0, 0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return 'png';
  if (startsWith(bytes, 0, 0xff, 0xd8, 0xff)) return 'jpeg';
  if (letters(bytes, 0) === 'RIFF' && letters(bytes, 8) === 'WEBP') return 'webp';
  if (/^GIF8[79]a$/.test(letters(bytes, 0, 6))) return 'gif';
  if (isAvif(bytes)) return 'avif';
  return isSvg(bytes) ? 'svg' : null;
}

import { BrokenFile, tagAt, viewOf } from './broken-file.ts';
import { orientationIn, tiffWith } from './orientation.ts';

const NEEDED = new Set(['VP8X', 'ICCP', 'ANIM', 'ANMF', 'ALPH', 'VP8 ', 'VP8L']);
/** Flags of VP8X that say that there are notes. */
const [HAS_EXIF, HAS_XMP] = [0x08, 0x04];

function chunk(type: string, content: Uint8Array): Uint8Array {
  const out = Buffer.alloc(8 + content.length + (content.length & 1));
  out.write(type, 0, 'latin1');
  out.writeUInt32LE(content.length, 4);
  out.set(content, 8);
  return out;
}

/** A WebP without what is not needed to show it. Throws BrokenFile. Source: RFC 9649. */
export function strippedWebp(bytes: Uint8Array): Uint8Array {
  const view = viewOf(bytes);
  const end = Math.min(bytes.length, 8 + view.getUint32(4, true));
  const parts: Uint8Array[] = [];
  let orientation = 1;
  for (let at = 12; at + 8 <= end; ) {
    const size = view.getUint32(at + 4, true);
    if (at + 8 + size > bytes.length) throw new BrokenFile('The WebP ends within a chunk.');
    const type = tagAt(bytes, at);
    const content = bytes.subarray(at + 8, at + 8 + size);
    if (NEEDED.has(type)) parts.push(chunk(type, content));
    // Some programs write the letters that JPEG has before them.
    if (type === 'EXIF') orientation = orientationIn(content.subarray(tagAt(content, 0) === 'Exif' ? 6 : 0));
    at += 8 + size + (size & 1);
  }
  const extended = parts[0];
  if (!extended) throw new BrokenFile('The WebP has no picture in it.');
  if (tagAt(extended, 0) === 'VP8X') {
    extended[8]! &= ~(HAS_EXIF | HAS_XMP);
    if (orientation !== 1) {
      extended[8]! |= HAS_EXIF;
      parts.push(chunk('EXIF', tiffWith(orientation)));
    }
  }
  const body = Buffer.concat(parts);
  const head = Buffer.from('RIFF____WEBP', 'latin1');
  head.writeUInt32LE(body.length + 4, 4);
  return Buffer.concat([head, body]);
}

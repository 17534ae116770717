import { crc32 } from 'node:zlib';
import { BrokenFile, tagAt, viewOf } from './broken-file.ts';
import { orientationIn, tiffWith } from './orientation.ts';

/** What is needed to show the first picture of the file; critical chunks have a capital first letter. */
const FOR_PIXELS = /^(?:[A-Z]...|tRNS|gAMA|cHRM|sRGB|iCCP|cICP|sBIT)$/;

function chunk(type: string, content: Uint8Array): Uint8Array {
  const out = Buffer.alloc(content.length + 12);
  out.writeUInt32BE(content.length, 0);
  out.write(type, 4, 'latin1');
  out.set(content, 8);
  out.writeUInt32BE(crc32(out.subarray(4, 8 + content.length)), 8 + content.length);
  return out;
}

/** A PNG without what is not needed to show it. Throws BrokenFile. Source: PNG (third edition), §5 and §11. */
export function strippedPng(bytes: Uint8Array): Uint8Array {
  const view = viewOf(bytes);
  const parts: Uint8Array[] = [bytes.subarray(0, 8)];
  for (let at = 8; ; ) {
    if (at + 12 > bytes.length) throw new BrokenFile('The PNG has no end.');
    const end = at + 12 + view.getUint32(at);
    if (end > bytes.length) throw new BrokenFile('The PNG ends within a chunk.');
    const type = tagAt(bytes, at + 4);
    if (FOR_PIXELS.test(type)) parts.push(bytes.subarray(at, end));
    if (type === 'eXIf') {
      const orientation = orientationIn(bytes.subarray(at + 8, end - 4));
      if (orientation !== 1) parts.push(chunk('eXIf', tiffWith(orientation)));
    }
    if (type === 'IEND') return Buffer.concat(parts);
    at = end;
  }
}

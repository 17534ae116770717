import { BrokenFile } from './broken-file.ts';
import { orientationIn, tiffWith } from './orientation.ts';

const [SOI, EOI, SOS, APP0, APP1, APP2, APP14, APP15, COM] = [
  0xd8, 0xd9, 0xda, 0xe0, 0xe1, 0xe2, 0xee, 0xef, 0xfe,
];
const EXIF = 'Exif\0\0';
/** Bytes of the segment that says how the colour channels are mixed. */
const MIXING = 12;

const text = (bytes: Uint8Array, at: number, length: number) =>
  String.fromCharCode(...bytes.subarray(at, at + length));

/** Notes that change how pixels look: the file's frame, its colour profile, how its channels are mixed. */
function isForPixels(marker: number, content: Uint8Array): boolean {
  if (marker === APP0) return text(content, 0, 5) === 'JFIF\0';
  if (marker === APP2) return text(content, 0, 12) === 'ICC_PROFILE\0';
  // How channels are mixed is said in just so many bytes; of another length it says something else.
  if (marker === APP14) return content.length === MIXING;
  return !((marker >= APP0 && marker <= APP15) || marker === COM);
}

function segment(marker: number, content: Uint8Array): Uint8Array {
  const out = new Uint8Array(content.length + 4);
  out.set([0xff, marker, (content.length + 2) >> 8, (content.length + 2) & 255]);
  out.set(content, 4);
  return out;
}

/** Where the coded pixels that begin at a place end: at the next marker that is not part of them. */
function endOfScan(bytes: Uint8Array, from: number): number {
  for (let at = bytes.indexOf(0xff, from); at !== -1; at = bytes.indexOf(0xff, at + 1)) {
    const next = bytes[at + 1];
    if (next === undefined) break;
    if (next !== 0 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return at;
  }
  // Some cameras leave out the end.
  return bytes.length;
}

/**
 * A JPEG without what is not needed to show it: notes of the camera and of programs, places, small previews, whatever
 * follows its end. Its pixels are the same to the bit, its colour profile and how it was held stay. Throws BrokenFile.
 * Source: ITU-T T.81, annex B.
 */
export function strippedJpeg(bytes: Uint8Array): Uint8Array {
  const head: Uint8Array[] = [Uint8Array.of(0xff, SOI)];
  const rest: Uint8Array[] = [];
  let orientation = 1;
  let at = 2;
  for (;;) {
    if (bytes[at] !== 0xff) throw new BrokenFile('A segment of the JPEG does not begin where it should.');
    while (bytes[at + 1] === 0xff) at += 1;
    const marker = bytes[at + 1];
    if (marker === undefined || marker === EOI) break;
    const length = (bytes[at + 2]! << 8) | bytes[at + 3]!;
    const end = at + 2 + length;
    if (!(length >= 2) || end > bytes.length) throw new BrokenFile('The JPEG ends within a segment.');
    const content = bytes.subarray(at + 4, end);
    if (marker === APP1 && text(content, 0, 6) === EXIF) orientation = orientationIn(content.subarray(6));
    if (marker === APP0 && isForPixels(marker, content)) {
      // What follows its first 12 bytes is a small preview, which may show what was cut off.
      const bare = content.slice(0, 14);
      bare.fill(0, 12);
      head.push(segment(marker, bare));
    } else if (isForPixels(marker, content)) rest.push(bytes.subarray(at, end));
    at = end;
    if (marker === SOS) {
      const scanned = endOfScan(bytes, at);
      rest.push(bytes.subarray(at, scanned));
      at = scanned;
      if (at >= bytes.length) break;
    }
  }
  if (orientation !== 1)
    head.push(segment(APP1, Buffer.concat([Buffer.from(EXIF, 'latin1'), tiffWith(orientation)])));
  return Buffer.concat([...head, ...rest, Uint8Array.of(0xff, EOI)]);
}

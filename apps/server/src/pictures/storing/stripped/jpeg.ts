import { BrokenFile } from './broken-file.ts';
import { orientationIn, tiffWith } from './orientation.ts';
import { strippedProfile } from './profile.ts';

const [SOI, EOI, SOS, APP0, APP1, APP2, APP14] = [0xd8, 0xd9, 0xda, 0xe0, 0xe1, 0xe2, 0xee];
const EXIF = 'Exif\0\0';
/** Bytes of the segment that says how the colour channels are mixed. */
const MIXING = 12;
/** What such a segment begins with (ITU-T T.872). */
const MIXING_SIGN = [0x41, 0x64, 0x6f, 0x62, 0x65];
/** Bytes of a profile that one segment holds. */
const MOST_OF_PROFILE = 65_000;

const text = (bytes: Uint8Array, at: number, length: number) =>
  String.fromCharCode(...bytes.subarray(at, at + length));

const PROFILE = 'ICC_PROFILE\0';
/** Markers of what the pixels are decoded with: frames, tables, restarts, scans. Everything else is a note. */
const [DHT, DAC, DQT, DNL, DRI] = [0xc4, 0xcc, 0xdb, 0xdc, 0xdd];
const isFrame = (marker: number) => marker >= 0xc0 && marker <= 0xcf && ![DHT, 0xc8, DAC].includes(marker);

/** How many bytes of a segment are tables, one after the other; what follows them is none. */
function tablesIn(content: Uint8Array, lengthAt: (at: number) => number): number {
  let at = 0;
  while (at < content.length) {
    const length = lengthAt(at);
    if (!(length > 0) || at + length > content.length) break;
    at += length;
  }
  return at;
}
const quantisationAt = (content: Uint8Array) => (at: number) => (content[at]! >> 4 ? 129 : 65);
const huffmanAt = (content: Uint8Array) => (at: number) =>
  17 + content.subarray(at + 1, at + 17).reduce((sum, n) => sum + n, 0);

/** What of a segment is needed to show the picture, in just its own length; null when nothing is. */
function needed(marker: number, content: Uint8Array): Uint8Array | null {
  const first = (length: number) => (content.length >= length ? content.subarray(0, length) : null);
  if (isFrame(marker)) return first(6 + 3 * (content[5] ?? 0));
  if (marker === SOS) return first(4 + 2 * (content[0] ?? 0));
  if (marker === DQT) return content.subarray(0, tablesIn(content, quantisationAt(content)));
  if (marker === DHT) return content.subarray(0, tablesIn(content, huffmanAt(content)));
  if (marker === DAC) return content.subarray(0, Math.floor(content.length / 2) * 2).subarray(0, 64);
  if (marker === DRI || marker === DNL) return first(2);
  // How channels are mixed is said in just so many bytes; of another length it says something else.
  if (marker === APP14)
    return content.length === MIXING && MIXING_SIGN.every((byte, i) => content[i] === byte) ? content : null;
  return null;
}

/** The segments of a profile, which may be longer than one holds, with its colours and nothing else. */
function profileSegments(parts: ReadonlyMap<number, Uint8Array>): Uint8Array[] {
  const given = Buffer.concat([...parts.keys()].sort((a, b) => a - b).map((n) => parts.get(n)!));
  const profile = strippedProfile(given);
  if (!profile) return [];
  const count = Math.ceil(profile.length / MOST_OF_PROFILE);
  return Array.from({ length: count }, (_, i) =>
    segment(
      APP2,
      Buffer.concat([
        Buffer.from(PROFILE, 'latin1'),
        Uint8Array.of(i + 1, count),
        profile.subarray(i * MOST_OF_PROFILE, (i + 1) * MOST_OF_PROFILE),
      ]),
    ),
  );
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
 * A JPEG with what is needed to show it and nothing else: no notes of the camera and of programs, no places, no small
 * previews, no texts of its profile, nothing that follows its end. Its pixels are the same to the bit, its colour profile and how it was held stay. Throws BrokenFile.
 * Source: ITU-T T.81, annex B.
 */
export function strippedJpeg(bytes: Uint8Array): Uint8Array {
  const head: Uint8Array[] = [Uint8Array.of(0xff, SOI)];
  const rest: Uint8Array[] = [];
  const profile = new Map<number, Uint8Array>();
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
    if (marker === APP0 && text(content, 0, 5) === 'JFIF\0') {
      // What follows its first 12 bytes is a small preview, which may show what was cut off.
      const bare = content.slice(0, 14);
      bare.fill(0, 12);
      if (bare.length === 14 && !head.some((one) => one[1] === APP0)) head.push(segment(APP0, bare));
    } else if (marker === APP2 && text(content, 0, PROFILE.length) === PROFILE)
      profile.set(content[PROFILE.length]!, content.subarray(PROFILE.length + 2));
    else {
      const kept = needed(marker, content);
      if (kept) rest.push(segment(marker, kept));
    }
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
  return Buffer.concat([...head, ...profileSegments(profile), ...rest, Uint8Array.of(0xff, EOI)]);
}

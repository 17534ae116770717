import { crc32, createInflate, deflateSync, inflateSync } from 'node:zlib';
import { BrokenFile, tagAt, viewOf } from './broken-file.ts';
import { orientationIn, tiffWith } from './orientation.ts';
import { strippedProfile } from './profile.ts';

/** Chunks that are needed to show the first picture of the file, with the bytes that each has; null for any number. */
const NEEDED: Readonly<Record<string, readonly number[] | null>> = {
  IHDR: [13],
  PLTE: null,
  IDAT: null,
  tRNS: null,
  gAMA: [4],
  cHRM: [32],
  sRGB: [1],
  cICP: [4],
  sBIT: [1, 2, 3, 4],
};
/** Bytes of a transparency or a palette, at most. */
const MOST_COLORS = 768;

function chunk(type: string, content: Uint8Array): Uint8Array {
  const out = Buffer.alloc(content.length + 12);
  out.writeUInt32BE(content.length, 0);
  out.write(type, 4, 'latin1');
  out.set(content, 8);
  out.writeUInt32BE(crc32(out.subarray(4, 8 + content.length)), 8 + content.length);
  return out;
}

/** A profile's chunk with the same colours, without its name and its texts; null when it is no profile. */
function strippedIccp(content: Uint8Array): Uint8Array | null {
  const end = content.indexOf(0);
  if (end === -1 || content[end + 1] !== 0) return null;
  try {
    const profile = strippedProfile(inflateSync(content.subarray(end + 2), { maxOutputLength: 8_000_000 }));
    return profile && Buffer.concat([Buffer.from('icc\0\0', 'latin1'), deflateSync(profile)]);
  } catch {
    // What cannot be read is no profile for anybody.
    return null;
  }
}

/** Bits of a pixel by the kind of colour. */
const CHANNELS: Readonly<Record<number, number>> = { 0: 1, 2: 3, 3: 1, 4: 2, 6: 4 };
/** Where the seven passes of an interlaced picture begin, and how far apart their pixels are: x, y, dx, dy. */
const PASSES = [
  [0, 0, 8, 8],
  [4, 0, 8, 8],
  [0, 4, 4, 8],
  [2, 0, 4, 4],
  [0, 2, 2, 4],
  [1, 0, 2, 2],
  [0, 1, 1, 2],
] as const;

/** Bytes of all rows of a picture, each with the byte that says how it is filtered. */
function bytesOfRows(head: Uint8Array): number {
  const view = viewOf(head);
  const [width, height, depth] = [view.getUint32(0), view.getUint32(4), head[8]!];
  const bits = depth * (CHANNELS[head[9]!] ?? 0);
  if (!bits || !width || !height) throw new BrokenFile('The PNG says nothing of its pixels.');
  const bytes = (w: number, h: number) => (w && h ? h * (1 + Math.ceil((w * bits) / 8)) : 0);
  if (head[12] === 0) return bytes(width, height);
  return PASSES.reduce(
    (sum, [x, y, dx, dy]) =>
      sum + bytes(Math.max(0, Math.ceil((width - x) / dx)), Math.max(0, Math.ceil((height - y) / dy))),
    0,
  );
}

/** How many bytes of compressed data are read to its end, and how many come of them. */
function measured(data: Uint8Array): Promise<{ readonly read: number; readonly made: number }> {
  return new Promise((resolve, reject) => {
    const inflate = createInflate();
    let made = 0;
    inflate.on('data', (part: Buffer) => {
      made += part.length;
    });
    inflate.on('end', () => resolve({ read: inflate.bytesWritten, made }));
    inflate.on('error', (error) => reject(new BrokenFile(error.message)));
    inflate.end(data);
  });
}

/** The coded pixels without what follows them, in the code or behind it. */
async function onlyPixels(data: Uint8Array, rows: number): Promise<Uint8Array> {
  const { read, made } = await measured(data);
  if (made < rows) throw new BrokenFile('The PNG has fewer pixels than it says.');
  if (made > rows) return deflateSync(inflateSync(data).subarray(0, rows), { level: 6 });
  return data.subarray(0, read);
}

const isNeeded = (type: string, content: Uint8Array): boolean => {
  const lengths = NEEDED[type];
  if (lengths === undefined) return false;
  if (lengths === null) return type === 'IDAT' || content.length <= MOST_COLORS;
  return lengths.includes(content.length);
};

/**
 * A PNG with what is needed to show it and nothing else. Its pixels stay as they are coded, to the bit. Rejects with
 * BrokenFile. Source: PNG (third edition), §5 and §11.
 */
export async function strippedPng(bytes: Uint8Array): Promise<Uint8Array> {
  const view = viewOf(bytes);
  const parts: Uint8Array[] = [];
  const data: Uint8Array[] = [];
  let head: Uint8Array | null = null;
  for (let at = 8; ; ) {
    if (at + 12 > bytes.length) throw new BrokenFile('The PNG has no end.');
    const end = at + 12 + view.getUint32(at);
    if (end > bytes.length) throw new BrokenFile('The PNG ends within a chunk.');
    const type = tagAt(bytes, at + 4);
    const content = bytes.subarray(at + 8, end - 4);
    if (type === 'IEND') break;
    if (type === 'IDAT') data.push(content);
    else if (type === 'IHDR') {
      head ??= content;
      if (content === head) parts.push(chunk(type, content));
    } else if (type === 'iCCP') {
      const profile = strippedIccp(content);
      if (profile) parts.push(chunk(type, profile));
    } else if (type === 'eXIf') {
      const orientation = orientationIn(content);
      if (orientation !== 1) parts.push(chunk('eXIf', tiffWith(orientation)));
    } else if (isNeeded(type, content)) parts.push(chunk(type, content));
    at = end;
  }
  if (head?.length !== 13) throw new BrokenFile('The PNG has no head.');
  const pixels = await onlyPixels(Buffer.concat(data), bytesOfRows(head));
  // What is said of the pixels stands before them, wherever it stood.
  return Buffer.concat([
    bytes.subarray(0, 8),
    ...parts,
    chunk('IDAT', pixels),
    chunk('IEND', new Uint8Array()),
  ]);
}

import { BrokenFile, tagAt, viewOf } from './broken-file.ts';
import { orientationIn, tiffWith } from './orientation.ts';
import { strippedProfile } from './profile.ts';

/** Flags of VP8X that say that there are a profile and notes. */
const [HAS_ICC, HAS_EXIF, HAS_XMP] = [0x20, 0x08, 0x04];
/** Bytes of chunks that have just so many. */
const [VP8X_BYTES, ANIM_BYTES, ANMF_BYTES] = [10, 6, 16];
/** Coded pixels, of a picture or of a frame. */
const PIXELS = new Set(['ALPH', 'VP8 ', 'VP8L']);

interface Chunk {
  readonly type: string;
  readonly content: Uint8Array;
}

function* chunksIn(bytes: Uint8Array, from: number, to: number): Generator<Chunk> {
  const view = viewOf(bytes);
  for (let at = from; at + 8 <= to; ) {
    const size = view.getUint32(at + 4, true);
    if (at + 8 + size > to) throw new BrokenFile('The WebP ends within a chunk.');
    yield { type: tagAt(bytes, at), content: bytes.subarray(at + 8, at + 8 + size) };
    at += 8 + size + (size & 1);
  }
}

function chunk(type: string, content: Uint8Array): Uint8Array {
  const out = Buffer.alloc(8 + content.length + (content.length & 1));
  out.write(type, 0, 'latin1');
  out.writeUInt32LE(content.length, 4);
  out.set(content, 8);
  return out;
}

/** A frame of a moving picture, with its coded pixels and nothing else. */
function strippedFrame(content: Uint8Array): Uint8Array {
  const parts: Uint8Array[] = [content.subarray(0, ANMF_BYTES)];
  for (const { type, content: inner } of chunksIn(content, ANMF_BYTES, content.length))
    if (PIXELS.has(type)) parts.push(chunk(type, inner));
  return chunk('ANMF', Buffer.concat(parts));
}

/** A WebP with what is needed to show it and nothing else: each chunk once, in its own length. Throws BrokenFile. Source: RFC 9649. */
export function strippedWebp(bytes: Uint8Array): Uint8Array {
  const end = Math.min(bytes.length, 8 + viewOf(bytes).getUint32(4, true));
  const once = new Map<string, Uint8Array>();
  const frames: Uint8Array[] = [];
  let orientation = 1;
  for (const { type, content } of chunksIn(bytes, 12, end)) {
    // Some programs write the letters that JPEG has before them.
    if (type === 'EXIF') orientation = orientationIn(content.subarray(tagAt(content, 0) === 'Exif' ? 6 : 0));
    if (type === 'ANMF') frames.push(strippedFrame(content));
    else if (!once.has(type)) once.set(type, content);
  }
  const isExtended = once.has('VP8X');
  const head = once.get('VP8X')?.slice(0, VP8X_BYTES);
  const given = once.get('ICCP');
  const profile = given && strippedProfile(given);
  const parts: Uint8Array[] = [];
  if (head) {
    if (head.length < VP8X_BYTES) throw new BrokenFile('The head of the WebP is too short.');
    head[0]! &= ~(HAS_ICC | HAS_EXIF | HAS_XMP);
    if (profile) head[0]! |= HAS_ICC;
    if (orientation !== 1) head[0]! |= HAS_EXIF;
    parts.push(chunk('VP8X', head));
    if (profile) parts.push(chunk('ICCP', profile));
  }
  const loop = once.get('ANIM');
  if (loop && frames.length) parts.push(chunk('ANIM', loop.subarray(0, ANIM_BYTES)), ...frames);
  else
    for (const type of PIXELS) {
      const content = once.get(type);
      if (content && (isExtended || type !== 'ALPH')) parts.push(chunk(type, content));
    }
  if (parts.length <= (head ? 1 : 0)) throw new BrokenFile('The WebP has no picture in it.');
  if (head && orientation !== 1) parts.push(chunk('EXIF', tiffWith(orientation)));
  const body = Buffer.concat(parts);
  const front = Buffer.from('RIFF____WEBP', 'latin1');
  front.writeUInt32LE(body.length + 4, 4);
  return Buffer.concat([front, body]);
}

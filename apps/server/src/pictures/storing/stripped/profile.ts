import { tagAt, viewOf } from './broken-file.ts';

/** Source: ICC.1:2022, §7. */
const HEAD = 128;
const SIGNATURE = 'acsp';
/** What of a profile says how colours look; everything else is a text, a name or a measurement protocol. */
const FOR_COLORS = new Set([
  ...['rXYZ', 'gXYZ', 'bXYZ', 'rTRC', 'gTRC', 'bTRC', 'kTRC', 'wtpt', 'bkpt', 'chad', 'cicp', 'lumi'],
  ...['A2B0', 'A2B1', 'A2B2', 'A2B3', 'B2A0', 'B2A1', 'B2A2', 'B2A3', 'D2B0', 'D2B1', 'D2B2', 'D2B3'],
  ...['B2D0', 'B2D1', 'B2D2', 'B2D3', 'gamt', 'chrm'],
]);
/** Parts of the head that say who made the profile, when and for what device; and its fingerprint. */
const SAYS_WHO = [
  [4, 8],
  [24, 36],
  [40, 44],
  [48, 56],
  [80, 100],
  [100, 128],
] as const;

const ascii = (text: string) => Uint8Array.from(text, (sign) => sign.charCodeAt(0));

/** A text of one word in the form that version 4 has, which programs look for before they take a profile. */
function plainText(word: string): Uint8Array {
  const bytes = new Uint8Array(28 + word.length * 2);
  const view = viewOf(bytes);
  bytes.set(ascii('mluc'), 0);
  view.setUint32(8, 1);
  view.setUint32(12, 12);
  bytes.set(ascii('enUS'), 16);
  view.setUint32(20, word.length * 2);
  view.setUint32(24, 28);
  for (let i = 0; i < word.length; i++) view.setUint16(28 + i * 2, word.charCodeAt(i));
  return bytes;
}

/** The same in the forms of version 2. */
function oldText(tag: string, word: string): Uint8Array {
  if (tag === 'cprt') return Uint8Array.from([...ascii('text'), 0, 0, 0, 0, ...ascii(word), 0]);
  const bytes = new Uint8Array(12 + word.length + 1 + 78);
  bytes.set(ascii('desc'), 0);
  viewOf(bytes).setUint32(8, word.length + 1);
  bytes.set(ascii(word), 12);
  return bytes;
}

/**
 * A colour profile that says how colours look and nothing else: who made it, when, for which device and all texts are
 * gone. Null when it is none.
 */
export function strippedProfile(given: Uint8Array): Uint8Array | null {
  if (given.length < HEAD + 4 || tagAt(given, 36) !== SIGNATURE) return null;
  const view = viewOf(given);
  const size = view.getUint32(0);
  const count = view.getUint32(HEAD);
  if (size > given.length || count > 200 || HEAD + 4 + count * 12 > size) return null;
  const isOld = given[8]! < 4;
  const kept: { readonly tag: string; readonly bytes: Uint8Array }[] = [];
  for (let i = 0; i < count; i++) {
    const at = HEAD + 4 + i * 12;
    const [tag, from, length] = [tagAt(given, at), view.getUint32(at + 4), view.getUint32(at + 8)];
    if (!FOR_COLORS.has(tag)) continue;
    if (from < HEAD || from + length > size) return null;
    kept.push({ tag, bytes: given.subarray(from, from + length) });
  }
  for (const [tag, word] of [
    ['desc', 'Colours'],
    ['cprt', 'None'],
  ] as const)
    kept.push({ tag, bytes: isOld ? oldText(tag, word) : plainText(word) });
  // Tags that share their data go on sharing it.
  const places = new Map<string, number>();
  const parts: Uint8Array[] = [];
  let end = HEAD + 4 + kept.length * 12;
  const list = kept.map(({ tag, bytes }) => {
    const key = `${bytes.byteOffset} ${bytes.length}`;
    let from = places.get(key);
    if (from === undefined) {
      from = end;
      places.set(key, from);
      const padded = new Uint8Array(Math.ceil(bytes.length / 4) * 4);
      padded.set(bytes);
      parts.push(padded);
      end += padded.length;
    }
    return { tag, from, length: bytes.length };
  });
  const out = new Uint8Array(end);
  const write = viewOf(out);
  out.set(given.subarray(0, HEAD));
  for (const [from, to] of SAYS_WHO) out.fill(0, from, to);
  write.setUint32(0, end);
  write.setUint32(HEAD, list.length);
  list.forEach(({ tag, from, length }, i) => {
    const at = HEAD + 4 + i * 12;
    out.set(ascii(tag), at);
    write.setUint32(at + 4, from);
    write.setUint32(at + 8, length);
  });
  let at = HEAD + 4 + list.length * 12;
  for (const part of parts) {
    out.set(part, at);
    at += part.length;
  }
  return out;
}

/**
 * The same within the bytes that the profile takes: what is not for colours becomes an empty text where it stands. Null
 * when it is none.
 */
export function strippedInPlace(given: Uint8Array): Uint8Array | null {
  if (!strippedProfile(given)) return null;
  const out = Uint8Array.from(given);
  const view = viewOf(out);
  const count = view.getUint32(HEAD);
  const taken = new Set<number>();
  for (const isForColors of [true, false])
    for (let i = 0; i < count; i++) {
      const at = HEAD + 4 + i * 12;
      const [from, length] = [view.getUint32(at + 4), view.getUint32(at + 8)];
      if (FOR_COLORS.has(tagAt(out, at)) !== isForColors) continue;
      if (isForColors) taken.add(from);
      else if (!taken.has(from) && from >= HEAD && from + length <= out.length) {
        out.fill(0, from, from + length);
        if (length >= 4) out.set(ascii('text'), from);
      }
    }
  for (const [from, to] of SAYS_WHO) out.fill(0, from, to);
  out.fill(0, view.getUint32(0));
  return out;
}

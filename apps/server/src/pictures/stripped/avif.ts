import { BrokenFile, tagAt, viewOf } from './broken-file.ts';

interface Box {
  readonly type: string;
  /** Of what is in it. */
  readonly from: number;
  readonly to: number;
}

/** The boxes from one place to another. */
function* boxesIn(bytes: Uint8Array, from: number, to: number): Generator<Box> {
  const view = viewOf(bytes);
  for (let at = from; at + 8 <= to; ) {
    let size = view.getUint32(at);
    let head = 8;
    if (size === 1 && at + 16 <= to) {
      size = Number(view.getBigUint64(at + 8));
      head = 16;
    } else if (size === 0) size = to - at;
    if (size < head || at + size > to) throw new BrokenFile('The AVIF ends within a box.');
    yield { type: tagAt(bytes, at + 4), from: at + head, to: at + size };
    at += size;
  }
}

const find = (bytes: Uint8Array, from: number, to: number, type: string) =>
  [...boxesIn(bytes, from, to)].find((box) => box.type === type);

/** Ids of the items that hold notes: Exif, and others in XML. */
function noteIds(bytes: Uint8Array, meta: Box): Set<number> {
  const ids = new Set<number>();
  const view = viewOf(bytes);
  const infos = find(bytes, meta.from + 4, meta.to, 'iinf');
  if (!infos) return ids;
  const first = infos.from + (bytes[infos.from] === 0 ? 6 : 8);
  for (const { type, from } of boxesIn(bytes, first, infos.to)) {
    const version = bytes[from]!;
    if (type !== 'infe' || version < 2) continue;
    const wide = version > 2;
    const id = wide ? view.getUint32(from + 4) : view.getUint16(from + 4);
    const what = tagAt(bytes, from + (wide ? 10 : 8));
    if (what === 'Exif' || what === 'mime' || what === 'uri ') ids.add(id);
  }
  return ids;
}

/** Where in the file the items with some ids lie. Source: ISO/IEC 14496-12, §8.11.3. */
function* extentsOf(bytes: Uint8Array, meta: Box, ids: ReadonlySet<number>): Generator<[number, number]> {
  const places = find(bytes, meta.from + 4, meta.to, 'iloc');
  if (!places) return;
  const view = viewOf(bytes);
  const version = bytes[places.from]!;
  let at = places.from + 4;
  const number = (size: number): number => {
    if (at + size > places.to) throw new BrokenFile('The AVIF ends within its list of places.');
    const value =
      size === 8
        ? Number(view.getBigUint64(at))
        : size === 4
          ? view.getUint32(at)
          : size === 2
            ? view.getUint16(at)
            : 0;
    at += size;
    return value;
  };
  const sizes = number(2);
  const [offsetSize, lengthSize, baseSize, indexSize] = [12, 8, 4, 0].map(
    (shift) => (sizes >> shift) & 15,
  ) as [number, number, number, number];
  const items = number(version < 2 ? 2 : 4);
  for (let i = 0; i < items; i++) {
    const id = number(version < 2 ? 2 : 4);
    const method = version > 0 ? number(2) & 15 : 0;
    number(2);
    const base = number(baseSize);
    const extents = number(2);
    for (let k = 0; k < extents; k++) {
      if (version > 0) number(indexSize);
      const offset = base + number(offsetSize);
      const length = number(lengthSize);
      if (!ids.has(id)) continue;
      if (method === 0) yield [offset, offset + length];
      if (method === 1) {
        const data = find(bytes, meta.from + 4, meta.to, 'idat');
        if (data) yield [data.from + offset, data.from + offset + length];
      }
    }
  }
}

/**
 * An AVIF whose notes of cameras and programs are empty: what they said is written over with zeros, since other parts
 * of the file are found by their distance from its beginning. Throws BrokenFile.
 */
export function strippedAvif(bytes: Uint8Array): Uint8Array {
  const meta = find(bytes, 0, bytes.length, 'meta');
  if (!meta) throw new BrokenFile('The AVIF has no picture in it.');
  const out = Uint8Array.from(bytes);
  for (const [from, to] of extentsOf(bytes, meta, noteIds(bytes, meta)))
    out.fill(0, from, Math.min(to, out.length));
  return out;
}

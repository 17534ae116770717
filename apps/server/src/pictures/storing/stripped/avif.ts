import { BrokenFile, tagAt, viewOf } from './broken-file.ts';
import { strippedInPlace } from './profile.ts';

interface Box {
  readonly type: string;
  /** Bytes before what is in it. */
  readonly head: number;
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
    yield { type: tagAt(bytes, at + 4), head, from: at + head, to: at + size };
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

/** Where in the file the items that are wanted lie. Source: ISO/IEC 14496-12, §8.11.3. */
function* extentsOf(
  bytes: Uint8Array,
  meta: Box,
  isWanted: (id: number) => boolean,
): Generator<[number, number]> {
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
      if (!isWanted(id)) continue;
      if (method === 0) yield [offset, offset + length];
      if (method === 1) {
        const data = find(bytes, meta.from + 4, meta.to, 'idat');
        if (data) yield [data.from + offset, data.from + offset + length];
      }
    }
  }
}

/** Boxes of the file, of its `meta` and of its list of properties that are needed to show the picture. */
const AT_TOP = new Set(['ftyp', 'meta', 'mdat']);
const IN_META = new Set(['hdlr', 'pitm', 'iinf', 'iloc', 'iprp', 'iref', 'idat', 'grpl']);
const PROPERTIES = new Set([
  ...['av1C', 'ispe', 'pixi', 'colr', 'irot', 'imir', 'clap', 'pasp', 'auxC', 'a1op', 'lsel', 'a1lx'],
  ...['clli', 'mdcv', 'amve', 'cclv'],
]);
/** Bytes of a handler before its name; of an item's description before its own. */
const [HANDLER, ITEM_V2, ITEM_V3] = [24, 12, 14];

/** Empties a box that is not needed: its place stays, since other parts are found by their distance from the beginning. */
function empty(out: Uint8Array, { from, to, head }: Box): void {
  out.set([0x66, 0x72, 0x65, 0x65], from - head + 4);
  out.fill(0, from, to);
}

/** A colour profile in its place, without what it tells besides colours. */
function stripColor(out: Uint8Array, { from, to }: Box): void {
  const kind = tagAt(out, from);
  if (kind === 'nclx') out.fill(0, Math.min(to, from + 11), to);
  else if (kind === 'prof' || kind === 'rICC') {
    const profile = strippedInPlace(out.subarray(from + 4, to));
    if (profile) out.set(profile, from + 4);
    else out.fill(0, from + 4, to);
  } else out.fill(0, from, to);
}

function stripMeta(out: Uint8Array, meta: Box): void {
  for (const box of boxesIn(out, meta.from + 4, meta.to)) {
    if (!IN_META.has(box.type)) empty(out, box);
    else if (box.type === 'hdlr') out.fill(0, Math.min(box.to, box.from + HANDLER), box.to);
    else if (box.type === 'iinf') {
      const first = box.from + (out[box.from] === 0 ? 6 : 8);
      for (const item of boxesIn(out, first, box.to)) {
        // What an item is called; of those that are notes also what kind they are.
        const head = (out[item.from] ?? 0) > 2 ? ITEM_V3 : ITEM_V2;
        if (item.type === 'infe') out.fill(0, Math.min(item.to, item.from + head), item.to);
      }
    } else if (box.type === 'iprp')
      for (const list of boxesIn(out, box.from, box.to)) {
        if (list.type === 'ipma') continue;
        if (list.type !== 'ipco') empty(out, list);
        else
          for (const property of boxesIn(out, list.from, list.to))
            if (!PROPERTIES.has(property.type)) empty(out, property);
            else if (property.type === 'colr') stripColor(out, property);
      }
  }
}

/**
 * An AVIF with nothing in it but what is needed to show it: everything else is written over with zeros, since other parts
 * of the file are found by their distance from its beginning. Throws BrokenFile.
 */
export function strippedAvif(bytes: Uint8Array): Uint8Array {
  const meta = find(bytes, 0, bytes.length, 'meta');
  if (!meta) throw new BrokenFile('The AVIF has no picture in it.');
  const out = Uint8Array.from(bytes);
  const notes = noteIds(bytes, meta);
  const pictures = [...extentsOf(bytes, meta, (id) => !notes.has(id))];
  for (const [from, to] of extentsOf(bytes, meta, (id) => notes.has(id)))
    out.fill(0, from, Math.min(to, out.length));
  for (const box of boxesIn(bytes, 0, bytes.length)) {
    if (!AT_TOP.has(box.type)) empty(out, box);
    else if (box.type === 'mdat') {
      // What no picture's data lies in is nobody's.
      let at = box.from;
      for (const [from, to] of pictures.filter(([start]) => start < box.to).sort((a, b) => a[0] - b[0])) {
        if (to <= box.from) continue;
        if (from > at) out.fill(0, at, Math.min(from, box.to));
        at = Math.max(at, to);
      }
      if (at < box.to) out.fill(0, at, box.to);
    } else if (box.type === 'meta' && box.from !== meta.from) empty(out, box);
    // A moving picture is shown as the one that it names.
    else if (box.type === 'ftyp')
      for (let at = box.from; at + 4 <= box.to; at += 4)
        if (tagAt(out, at) === 'avis') out.set([0x61, 0x76, 0x69, 0x66], at);
  }
  stripMeta(out, meta);
  return out;
}

import { describeColor } from '../color/describe.ts';
import { toRgb8 } from '../color/gamut.ts';
import { rgbToOklab, type Triple } from '../color/kernel.ts';
import type { Color } from '../color/spaces.ts';
import { PLAIN_NAMES } from './plain-names.ts';

export interface NamedColor {
  readonly name: string;
  /** `#rrggbb`. */
  readonly hex: string;
}

export interface NameIndex {
  /** The name nearest to 8-bit channels (ΔE OK), with its distance. */
  nearest(r: number, g: number, b: number): NamedColor & { readonly difference: number };
  /** The names nearest to 8-bit channels (ΔE OK), nearest first; at most `most`. */
  near(r: number, g: number, b: number, most: number): NamedColor[];
  /** Names that contain all words of a text, those that begin with it first; at most `most`. */
  search(text: string, most?: number): NamedColor[];
}

/** The 8-bit channels of `#rrggbb`. */
export const channelsOf = (hex: string): Triple =>
  [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16)) as Triple;
const plain = (text: string) =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase();

/** Makes a list of names ready for looking up: milliseconds for some thousand, then microseconds each. */
export function indexNames(list: readonly NamedColor[]): NameIndex {
  if (!list.length) throw new RangeError('The list of names is empty.');
  const labs = new Float64Array(list.length * 3);
  const lab: Triple = [0, 0, 0];
  // Sorted by lightness, so that a search outwards from a colour's own can stop early.
  const order = list.map((item) => {
    const [r, g, b] = channelsOf(item.hex);
    rgbToOklab(r, g, b, lab);
    return { item, lab: [...lab] as Triple };
  });
  order.sort((x, y) => x.lab[0] - y.lab[0]);
  order.forEach(({ lab: own }, i) => {
    labs.set(own, i * 3);
  });
  const words = list.map((item) => ({ item, text: plain(item.name) }));

  const nearest = (r: number, g: number, b: number) => {
    const target = rgbToOklab(r, g, b);
    let low = 0;
    let high = order.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (labs[middle * 3]! < target[0]) low = middle + 1;
      else high = middle;
    }
    let best = Number.POSITIVE_INFINITY;
    let found = 0;
    const look = (i: number): boolean => {
      const dl = labs[i * 3]! - target[0];
      if (dl * dl >= best) return false;
      const d = dl * dl + (labs[i * 3 + 1]! - target[1]) ** 2 + (labs[i * 3 + 2]! - target[2]) ** 2;
      if (d < best) {
        best = d;
        found = i;
      }
      return true;
    };
    for (let i = low; i < order.length && look(i); i++);
    for (let i = low - 1; i >= 0 && look(i); i--);
    return { ...order[found]!.item, difference: Math.sqrt(best) };
  };

  const near = (r: number, g: number, b: number, most: number): NamedColor[] => {
    const [l, a, b2] = rgbToOklab(r, g, b);
    return order
      .map(({ item, lab: [ownL, ownA, ownB] }) => ({
        item,
        square: (ownL - l) ** 2 + (ownA - a) ** 2 + (ownB - b2) ** 2,
      }))
      .sort((one, other) => one.square - other.square)
      .slice(0, most)
      .map(({ item }) => item);
  };

  const search = (text: string, most = 50): NamedColor[] => {
    const wanted = plain(text).split(/\s+/).filter(Boolean);
    if (!wanted.length) return [];
    const hits = words.filter(({ text: name }) => wanted.every((word) => name.includes(word)));
    const rank = (name: string) => (name === wanted.join(' ') ? 0 : name.startsWith(wanted[0]!) ? 1 : 2);
    return hits
      .sort(
        (a, b) => rank(a.text) - rank(b.text) || a.text.length - b.text.length || (a.text < b.text ? -1 : 1),
      )
      .slice(0, most)
      .map(({ item }) => item);
  };
  return { nearest, near, search };
}

let shipped: NameIndex | undefined;

/** The plain names that ship with the app. */
export function shippedNames(): NameIndex {
  shipped ??= indexNames(
    PLAIN_NAMES.trim()
      .split(/[,\n]/)
      .map((line) => ({ name: line.slice(6), hex: `#${line.slice(0, 6)}` })),
  );
  return shipped;
}

/** How far (ΔE OK) a colour may be from one with a name to be called by it. */
const NEAR = 0.05;

/**
 * The name of a colour that nobody has named: that of the nearest plain name, or its description where none is near.
 * Always the same for the same colour; alpha is left out, and a colour outside sRGB is named as it is shown.
 */
export function nameOf(color: Color): string {
  const { name, difference } = shippedNames().nearest(...toRgb8(color));
  if (difference <= NEAR) return name;
  const words = describeColor(color);
  return words.charAt(0).toUpperCase() + words.slice(1);
}

import type { SheetBlock } from '../cascade/rules.ts';
import { findColors } from '../color/find.ts';
import { parseColor, readColor } from '../color/parse.ts';
import { canonical } from '../color/write.ts';
import { asPainted } from './as-painted.ts';
import { isBareHex } from './values.ts';

/** A colour of the sheet, opaque, with how often it is written there. */
export interface LooseColor {
  readonly color: string;
  readonly count: number;
}

/** A colour without its opacity, in its canonical spelling. */
export function opaque(color: string): string {
  const c = readColor(color);
  return c.alpha === 1 ? color : canonical({ ...c, alpha: 1 });
}

/** Declarations in which a word may be a colour. */
const PAINTS =
  /colou?r|background|border|outline|shadow|fill|stroke|image|decoration|emphasis|caret|accent|^--/i;

const URL = /url\((?:"[^"]*"|'[^']*'|[^)"']*)\)/gi;
const LONGEST = 20_000;

const known = new Map<string, readonly LooseColor[]>();
const MOST_KNOWN = 20_000;

/** The colours that a value writes out, with their opacity; what nothing is seen of, as in `transparent`, is none. */
export function colorsOf(value: string): readonly LooseColor[] {
  const before = known.get(value);
  if (before) return before;
  const direct = isBareHex(value) ? null : parseColor(value);
  const found = direct?.ok
    ? [{ color: asPainted(direct.color), count: 1 }]
    : findColors(value.replace(URL, ' ')).found;
  const seen = found.flatMap(({ color, count }) => {
    const read = readColor(color);
    return read.alpha === 0 ? [] : [{ color: asPainted(read), count }];
  });
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(value, seen);
  return seen;
}

/** Counts every colour that some rules write, without its opacity. */
export function countColors(blocks: readonly SheetBlock[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { declarations } of blocks)
    for (const { property, value } of declarations) {
      if (!PAINTS.test(property) || value.length > LONGEST) continue;
      for (const { color, count } of colorsOf(value)) {
        const plain = opaque(color);
        counts.set(plain, (counts.get(plain) ?? 0) + count);
      }
    }
  return counts;
}

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

/** The colours in a value; what nothing is seen of, as in `transparent`, is none. */
function colorsIn(value: string): readonly LooseColor[] {
  const direct = isBareHex(value) ? null : parseColor(value);
  const found = direct?.ok
    ? [{ color: asPainted(direct.color), count: 1 }]
    : findColors(value.replace(URL, ' ')).found;
  return found
    .filter(({ color }) => readColor(color).alpha !== 0)
    .map(({ color, count }) => ({ color: opaque(color), count }));
}

/** Counts every colour that some rules write, without its opacity. What was read of a value is remembered. */
export function colorCounter(): (blocks: readonly SheetBlock[]) => Map<string, number> {
  const known = new Map<string, readonly LooseColor[]>();
  return (blocks) => {
    const counts = new Map<string, number>();
    for (const { declarations } of blocks)
      for (const { property, value } of declarations) {
        if (!PAINTS.test(property) || value.length > LONGEST) continue;
        const colors = known.get(value) ?? colorsIn(value);
        known.set(value, colors);
        for (const { color, count } of colors) counts.set(color, (counts.get(color) ?? 0) + count);
      }
    return counts;
  };
}

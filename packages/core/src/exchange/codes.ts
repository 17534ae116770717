import { toRgb8 } from '../color/gamut.ts';
import { parseColor } from '../color/parse.ts';
import type { SpaceId } from '../color/spaces.ts';
import { writeColor, writeHex } from '../color/write.ts';
import type { Rgba } from '../contrast/ratio.ts';
import type { Painted } from '../system/painted.ts';
import { colorOf } from '../system/painted.ts';

/** The notations that code is written in. */
export type Code = 'hex' | 'rgb' | 'hsl' | 'oklch';

const SPACE_OF = { rgb: 'srgb', hsl: 'hsl', oklch: 'oklch' } as const satisfies Record<string, SpaceId>;

/** More digits than the usual, for the colours that the usual ones do not come back from. */
const EXACT = 6;

const written = new Map<string, string>();

/** Whether a text is read as the same 8 bits again. */
function comesBack(text: string, { r, g, b }: Rgba): boolean {
  const parsed = parseColor(text);
  if (!parsed.ok) return false;
  const [x, y, z] = toRgb8(parsed.color);
  return x === r && y === g && z === b;
}

/**
 * A painted colour in a notation of code, such that a browser paints the same 8 bits: with the usual digits where those do,
 * else with more. Opacity is kept to four digits.
 */
export function codeOf(color: Painted, code: Code): string {
  if (code === 'hex') return color.alpha < 1 ? color.css : writeHex(colorOf(color));
  const key = `${code} ${color.css}`;
  let text = written.get(key);
  if (text === undefined) {
    const exact = colorOf(color);
    text = writeColor(exact, SPACE_OF[code]);
    if (!comesBack(text, color)) text = writeColor(exact, SPACE_OF[code], EXACT);
    if (written.size > 20_000) written.clear();
    written.set(key, text);
  }
  return text;
}

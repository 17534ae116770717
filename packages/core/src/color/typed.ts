import { corrections } from './corrections.ts';
import { NAMED_COLORS, parseColor } from './parse.ts';
import type { Color } from './spaces.ts';

/** What a text comes to that somebody typed: a colour; or why it is none, with what may have been meant, likeliest first. */
export type TypedColor =
  | { readonly ok: true; readonly color: Color }
  | { readonly ok: false; readonly reason: string; readonly corrections: readonly string[] };

const NAMES = new Set(NAMED_COLORS);
/** Functions of programs and of print that CSS does not have. */
const FOREIGN = /^(?:device-)?(cmyk|hsva?|hsba?)\(/i;
const LIGHTNESS_TO_ONE = /^(oklab|oklch)\(\s*([\d.]+)(?=[\s,/])/i;

/** A lightness that counts to 1 and was written as if it counted to 100; CSS would make it white without a word. */
function strayLightness(text: string): TypedColor | null {
  const match = LIGHTNESS_TO_ONE.exec(text);
  const lightness = Number(match?.[2]);
  if (!match || !(lightness > 1)) return null;
  const meant = text.replace(LIGHTNESS_TO_ONE, `$1(${match[2]}%`);
  return {
    ok: false,
    reason: `${match[1]!.toLowerCase()}() counts lightness from 0 to 1, or in percent; ${match[2]} is beyond white.`,
    corrections: [meant, '#ffffff'].filter((one) => parseColor(one).ok),
  };
}

/** A name of CSS that was written as several words: "dark blue", "light sea-green". */
const joined = (text: string): string | null => {
  const bare = text.toLowerCase().replace(/[\s-]+/g, '');
  return NAMES.has(bare) ? bare : null;
};

/**
 * Reads a colour that somebody typed or wrote in a text: what {@link parseColor} reads, names of CSS in several words,
 * and all the rest with a reason and what may have been meant. The same everywhere, so that a code is answered alike
 * wherever it is put. Style sheets are read as browsers read them instead.
 *
 * @example readTyped('#0b5f6') // { ok: false, reason: 'A hex code has …', corrections: ['#00b5f6', …] }
 */
export function readTyped(text: string): TypedColor {
  const trimmed = text.trim();
  const foreign = FOREIGN.exec(trimmed);
  if (foreign) {
    const name = foreign[1]!.toLowerCase();
    return {
      ok: false,
      reason: name.startsWith('cmyk')
        ? 'CSS has no inks. By the plain uncalibrated formula, which is for orientation and not for print, it is this:'
        : `CSS has no ${name}(); the same colour is this:`,
      corrections: corrections(trimmed),
    };
  }
  const stray = strayLightness(trimmed);
  if (stray) return stray;
  const parsed = parseColor(trimmed);
  if (parsed.ok) return parsed;
  const name = joined(trimmed);
  if (name) {
    const named = parseColor(name);
    if (named.ok) return named;
  }
  return { ok: false, reason: parsed.reason, corrections: corrections(trimmed) };
}

import { colorsNamed, parse as parseWithLibrary } from 'culori/fn';
import { fromLibrary, type LibraryColor } from './convert.ts';
import { type Color, color } from './spaces.ts';

/** The CSS named colours, in lower case. */
export const NAMED_COLORS: readonly string[] = Object.keys(colorsNamed);

export type ParseResult = { ok: true; color: Color } | { ok: false; reason: string };

const HEX = /^#?([0-9a-f]+)$/i;
const FUNCTION = /^(rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\(([^()]*)\)$/i;
const ARITY: Record<string, string> = {
  rgb: 'red, green and blue',
  rgba: 'red, green and blue',
  hsl: 'hue, saturation and lightness',
  hsla: 'hue, saturation and lightness',
  hwb: 'hue, whiteness and blackness',
  lab: 'lightness, a and b',
  lch: 'lightness, chroma and hue',
  oklab: 'lightness, a and b',
  oklch: 'lightness, chroma and hue',
  color: 'a colour space and three values',
};

/** Splits the arguments of a colour function into values, the alpha after a slash last. */
export function functionValues(args: string): string[] {
  return args
    .split(/[\s,/]+/)
    .map((part) => part.trim())
    .filter(Boolean);
}

function explainFunction(name: string, args: string): string {
  const values = functionValues(args);
  const most = name === 'color' ? 5 : 4;
  const parts = ARITY[name]!;
  if (values.length > most)
    return `${name}() takes ${parts} and at most an opacity; this has ${values.length} values.`;
  if (values.length < most - 1)
    return `${name}() needs ${parts}; this has ${values.length === 1 ? 'one value' : `${values.length} values`}.`;
  const odd = values.find(
    (v, i) =>
      !(name === 'color' && i === 0) && !/^([-+]?[\d.]+(e[-+]?\d+)?(%|deg|rad|grad|turn)?|none)$/i.test(v),
  );
  if (odd) return `${name}() takes numbers and percentages; "${odd}" is neither.`;
  return `This is not a valid ${name}() colour: it takes ${parts}, written all with commas or all with spaces.`;
}

function explainHex(digits: string): string {
  const n = digits.length;
  return `A hex code has 3, 4, 6 or 8 digits; this has ${n}.`;
}

/**
 * Reads one colour in any CSS Color 4 form: hex of 3, 4, 6 or 8 digits with or without #, a named colour,
 * `transparent`, or rgb, rgba, hsl, hsla, hwb, lab, lch, oklab, oklch, color() in old and new syntax.
 * Never throws: text that is no colour gives a reason in words.
 *
 * @example parseColor('hsl(185 83% 25%)') // { ok: true, color: { space: 'hsl', … } }
 */
export function parseColor(text: string): ParseResult {
  const trimmed = text.trim().toLowerCase();
  if (!trimmed) return { ok: false, reason: 'Nothing was entered.' };
  if (trimmed.length > 200) return { ok: false, reason: 'This is too long to be a colour.' };
  const hex = HEX.exec(trimmed);
  if (hex && ![3, 4, 6, 8].includes(hex[1]!.length)) return { ok: false, reason: explainHex(hex[1]!) };
  const fn = FUNCTION.exec(trimmed);
  if (fn && functionValues(fn[2]!).length > 5) return { ok: false, reason: explainFunction(fn[1]!, fn[2]!) };
  let parsed: LibraryColor | undefined;
  try {
    parsed = parseWithLibrary(trimmed) as LibraryColor | undefined;
  } catch {
    parsed = undefined;
  }
  if (parsed) {
    const c = fromLibrary(parsed);
    if ([...c.coords, c.alpha].every((v) => v === null || Number.isFinite(v))) return { ok: true, color: c };
  }
  if (fn) return { ok: false, reason: explainFunction(fn[1]!, fn[2]!) };
  if (trimmed.startsWith('#')) {
    const odd = [...trimmed.slice(1)].find((ch) => !/[0-9a-f]/.test(ch));
    return { ok: false, reason: odd ? `"${odd}" is not a hex digit (0–9, a–f).` : 'A # alone is no colour.' };
  }
  return { ok: false, reason: `"${text.trim().slice(0, 40)}" is not a colour that CSS knows.` };
}

const memory = new Map<string, Color>();

/**
 * Reads a colour string that is known to be valid, as those in a project document are; remembers results.
 * Throws a TypeError for text that is no colour.
 */
export function readColor(text: string): Color {
  const known = memory.get(text);
  if (known) return known;
  const result = parseColor(text);
  if (!result.ok) throw new TypeError(`Not a colour: ${text}. ${result.reason}`);
  if (memory.size > 20_000) memory.clear();
  memory.set(text, result.color);
  return result.color;
}

/** Whether text is a colour, for schemas. */
export function isColorText(text: string): boolean {
  return memory.has(text) || parseColor(text).ok;
}

/** Opaque sRGB colour from 8-bit channels (0–255). */
export function fromRgb8(r: number, g: number, b: number, alpha = 1): Color {
  return color('srgb', [r / 255, g / 255, b / 255], alpha);
}

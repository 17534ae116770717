import { colorsNamed, parse as parseWithLibrary } from 'culori/fn';
import { clamp } from '../numbers/clamp.ts';
import { readComputed } from './computed.ts';
import { fromLibrary, type LibraryColor } from './convert.ts';
import type { ParseResult } from './parse-result.ts';
import { type Color, color } from './spaces.ts';

/** The CSS named colours, in lower case. */
export const NAMED_COLORS: readonly string[] = Object.keys(colorsNamed);

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

/** Functions that are written with commas too, the old way. */
const WITH_COMMAS = /^(?:rgba?|hsla?)$/;

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
  if (args.includes(',') && !WITH_COMMAS.test(name))
    return `${name}() takes its values with spaces between them, not commas.`;
  if (args.includes(',') && name.startsWith('hsl') && values.slice(1, 3).some((v) => !v.endsWith('%')))
    return `${name}() with commas takes saturation and lightness as percentages; without commas plain numbers will do.`;
  return `This is not a valid ${name}() colour: it takes ${parts}${WITH_COMMAS.test(name) ? ', written all with commas or all with spaces' : ', with spaces between them'}.`;
}

function explainHex(digits: string): string {
  const n = digits.length;
  return `A hex code has 3, 4, 6 or 8 digits; this has ${n}.`;
}

const DIGIT = new Int8Array(128).fill(-1);
for (let i = 0; i < 16; i++) {
  DIGIT[i.toString(16).charCodeAt(0)] = i;
  DIGIT[i.toString(16).toUpperCase().charCodeAt(0)] = i;
}

/** Hex of 3, 4, 6 or 8 digits after a #, by far the commonest spelling; null for anything else. */
function readHex(text: string): Color | null {
  const n = text.length - 1;
  if (text.charCodeAt(0) !== 35 || (n !== 6 && n !== 3 && n !== 8 && n !== 4)) return null;
  let value = 0;
  for (let i = 1; i <= n; i++) {
    const digit = DIGIT[text.charCodeAt(i)] ?? -1;
    if (digit < 0) return null;
    value = value * 16 + digit;
    if (n < 6) value = value * 16 + digit;
  }
  if (n === 6 || n === 3) return fromRgb8((value >> 16) & 255, (value >> 8) & 255, value & 255);
  return fromRgb8(
    Math.floor(value / 0x1000000),
    (value >> 16) & 255,
    (value >> 8) & 255,
    (value & 255) / 255,
  );
}

const clamped = (v: number | null, most: number) => (v === null ? null : clamp(v, 0, most));

/**
 * What is beyond a function's range is brought to its end, as browsers do: every channel of rgb(), hsl() and hwb(), the
 * lightness of the others, and no chroma below none. Source: CSS Color 4, §5.1, §7, §8, §9.3, §9.4.
 */
function withinFunction(name: string, c: Color): Color {
  const [a, b, d] = c.coords;
  const of = (coords: Color['coords']): Color => ({ ...c, coords, alpha: clamped(c.alpha, 1) });
  switch (name) {
    case 'rgb':
    case 'rgba':
      return of([clamped(a, 1), clamped(b, 1), clamped(d, 1)]);
    case 'hsl':
    case 'hsla':
    case 'hwb':
      return of([a, clamped(b, 100), clamped(d, 100)]);
    case 'lab':
    case 'oklab':
      return of([clamped(a, name === 'lab' ? 100 : 1), b, d]);
    case 'lch':
    case 'oklch':
      return of([clamped(a, name === 'lch' ? 100 : 1), clamped(b, Number.POSITIVE_INFINITY), d]);
    default:
      return of(c.coords);
  }
}

/** What stands for a computed colour, with others inside, gets longer than others. */
const IS_COMPUTED = /^(?:color-mix|light-dark)\(|^[a-z]+\(\s*from\s|\bcalc\(/;
const LONGEST_COMPUTED = 20_000;
const DEEPEST = 32;

/**
 * Reads one colour in any CSS Color 4 form: hex of 3, 4, 6 or 8 digits with or without #, a named colour,
 * `transparent`, or rgb, rgba, hsl, hsla, hwb, lab, lch, oklab, oklch, color() in old and new syntax.
 * Also color-mix(), relative colours and light-dark(), worked out; `scheme` says which side of light-dark() counts,
 * `depth` how deep the colour is nested in another. Never throws: text that is no colour, or that depends on its
 * page, gives a reason in words.
 *
 * @example parseColor('hsl(185 83% 25%)') // { ok: true, color: { space: 'hsl', … } }
 */
export function parseColor(text: string, scheme: 'light' | 'dark' = 'light', depth = 0): ParseResult {
  const hexColor = readHex(text);
  if (hexColor) return { ok: true, color: hexColor };
  const trimmed = text.trim().toLowerCase();
  if (!trimmed) return { ok: false, reason: 'Nothing was entered.' };
  if (trimmed.length > (IS_COMPUTED.test(trimmed) ? LONGEST_COMPUTED : 400))
    return { ok: false, reason: 'This is too long to be a colour.' };
  if (depth > DEEPEST) return { ok: false, reason: 'Colours are nested too deeply here.' };
  const computed = readComputed(trimmed, (inner) => parseColor(inner, scheme, depth + 1), scheme);
  if (computed) return computed;
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
    const c = fn ? withinFunction(fn[1]!, fromLibrary(parsed)) : fromLibrary(parsed);
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

/** Opaque sRGB colour from 8-bit channels (0–255). */
export function fromRgb8(r: number, g: number, b: number, alpha = 1): Color {
  return color('srgb', [r / 255, g / 255, b / 255], alpha);
}

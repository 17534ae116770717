import { clamp } from '../numbers/clamp.ts';
import { toRgb8 } from './gamut.ts';
import { functionValues, NAMED_COLORS, parseColor } from './parse.ts';
import { type Color, color } from './spaces.ts';
import { fromPlainCmyk, hexOfRgb8 } from './write.ts';

const LOOKALIKES: Record<string, string> = { o: '0', l: '1', i: '1', s: '5', g: '6', q: '9', z: '2', t: '7' };
const pairs = (hex: string) => /^(?:(.)\1){3,4}$/.test(hex);

/** Replaces letters that are easily taken for digits (O for 0, l for 1 …). */
function unmistake(text: string): string {
  return [...text].map((ch) => (/[0-9a-f]/.test(ch) ? ch : (LOOKALIKES[ch] ?? ch))).join('');
}

function hexCorrections(raw: string): string[] {
  const digits = unmistake(raw.toLowerCase());
  if (!/^[0-9a-f]+$/.test(digits)) return [];
  const n = digits.length;
  if ([3, 4, 6, 8].includes(n)) return [`#${digits}`];
  const out: string[] = [];
  if (n === 5 || n === 7) {
    // One digit is missing: double each in turn; codes made of pairs are the likeliest.
    const doubled = [...digits].map((ch, i) => digits.slice(0, i) + ch + digits.slice(i));
    out.push(...doubled.filter(pairs));
    // Or one is too many, mostly the last.
    if (n === 7) out.push(digits.slice(0, 6), digits.slice(1));
    else out.push(digits.slice(0, 3));
    out.push(...doubled.filter((d) => !pairs(d)));
  } else if (n === 1 || n === 2) {
    out.push(digits.repeat(6 / n));
  } else if (n > 8) {
    out.push(digits.slice(0, 6), digits.slice(0, 8));
  }
  return [...new Set(out)].map((d) => `#${d}`);
}

const hexOf = (c: Color) => hexOfRgb8(...toRgb8(c));
const numbersIn = (args: string) => functionValues(args).map((v) => Number.parseFloat(v));

/** What CSS has no function for, as hex: inks by the plain uncalibrated formula, and hue, saturation and value. */
function foreignCorrections(name: string, args: string): string[] {
  const values = numbersIn(args);
  if (values.some((v) => !Number.isFinite(v))) return [];
  if (/cmyk$/i.test(name) && values.length >= 4) {
    // Inks are written as percentages, or as shares.
    const scale = values.slice(0, 4).every((v) => v <= 1) && !args.includes('%') ? 100 : 1;
    const [c, m, y, k] = values.map((v) => clamp(v * scale, 0, 100));
    return [hexOf(color('srgb', fromPlainCmyk(c!, m!, y!, k!)))];
  }
  if (/^hs[vb]a?$/i.test(name) && values.length >= 3) {
    const scale = values[1]! <= 1 && values[2]! <= 1 && !args.includes('%') ? 100 : 1;
    const [h, sat, v] = [values[0]!, values[1]! * scale, values[2]! * scale];
    return [hexOf(color('hsv', [h, clamp(sat, 0, 100), clamp(v, 0, 100)]))];
  }
  return [];
}

const LIMITS: Record<string, readonly [number, number, number]> = {
  rgb: [255, 255, 255],
  hsl: [360, 100, 100],
  hwb: [360, 100, 100],
};

function functionCorrections(name: string, args: string): string[] {
  const base = name.toLowerCase().replace(/a$/, '');
  const values = functionValues(args.toLowerCase().replace(/[^\d.,%/\s+\-a-z]/g, ' '))
    .map((v) => unmistakeNumber(v))
    .filter((v) => /^[-+]?[\d.]+(e[-+]?\d+)?(%|deg|rad|grad|turn)?$/.test(v));
  if (values.length < 3) return [];
  const limits = LIMITS[base];
  const withinLimit = (text: string, i: number) => {
    const most = limits?.[i];
    const value = Number.parseFloat(text);
    if (text.endsWith('%') || most === undefined) return text;
    const kept = String(clamp(value, 0, most));
    return base !== 'rgb' && i > 0 ? `${kept}%` : kept;
  };
  const body = values.slice(0, 3).map(withinLimit).join(' ');
  const out = [`${base}(${body})`];
  const alpha = values[3];
  if (alpha !== undefined) {
    const number = Number.parseFloat(alpha) / (alpha.endsWith('%') ? 100 : 1);
    const opacity = number > 1 ? number / 100 : number;
    if (opacity > 0 && opacity < 1) out.push(`${base}(${body} / ${opacity})`);
  }
  return out;
}

/** Takes a letter O or l inside a number for a digit; leaves units alone. */
function unmistakeNumber(text: string): string {
  return /^[\dol]+$/.test(text) ? unmistake(text) : text;
}

function distance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++)
      next.push(Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1)));
    row = next;
  }
  return row[b.length]!;
}

/** Named colours within two typing errors of a word (Levenshtein distance), nearest first. */
export function nearNames(word: string): string[] {
  const lower = word.toLowerCase();
  // Words of other lengths are that many letters off at least.
  const near = NAMED_COLORS.filter((name) => Math.abs(name.length - lower.length) <= 2);
  return near
    .map((name) => ({ name, d: distance(lower, name) }))
    .filter(({ d, name }) => d > 0 && d <= (name.length < 5 ? 1 : 2))
    .sort((a, b) => a.d - b.d || a.name.localeCompare(b.name))
    .map(({ name }) => name);
}

/** Characters of the longest text that is corrected; `parseColor` reads none longer. */
const LONGEST = 400;

/**
 * Likely corrections for text that looks like a colour code and is none, likeliest first, at most five, each
 * a valid colour. Empty when nothing sensible comes to mind.
 *
 * @example corrections('#CFF00') // ['#ccff00', …]
 */
export function corrections(text: string): string[] {
  const trimmed = text.trim();
  // No colour is written that long, and nobody corrects one digit in thousands.
  if (trimmed.length > LONGEST) return [];
  const fn = /^([a-z-]+)\(([^()]*)\)?$/i.exec(trimmed);
  const candidates = fn
    ? [...foreignCorrections(fn[1]!, fn[2]!), ...functionCorrections(fn[1]!, fn[2]!)]
    : trimmed.startsWith('#')
      ? hexCorrections(trimmed.slice(1))
      : nearNames(trimmed);
  return [...new Set(candidates)].filter((c) => parseColor(c).ok).slice(0, 5);
}

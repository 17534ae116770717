import { splitOutside } from '../color/split.ts';
import { type Head, readConic, readLinear, readRadial } from './css-forms.ts';
import { readOldest, readPrefixed } from './css-old-forms.ts';
import { Unreadable } from './css-parts.ts';
import type { CssGradient } from './model.ts';

export type ReadGradient =
  | { readonly ok: true; readonly gradient: CssGradient }
  | { readonly ok: false; readonly reason: string };

/** A text of CSS with its comments as white space; one that does not end goes on to the end. */
function withoutComments(text: string): string {
  let out = '';
  let at = 0;
  for (;;) {
    const from = text.indexOf('/*', at);
    if (from < 0) return out + text.slice(at);
    out += `${text.slice(at, from)} `;
    const end = text.indexOf('*/', from + 2);
    if (end < 0) return out;
    at = end + 2;
  }
}

const FUNCTION = /^(-webkit-|-moz-|-o-|-ms-)?(repeating-)?(linear|radial|conic)-gradient\((.*)\)$/is;

/**
 * Reads a CSS gradient in any form: linear, radial, conic, repeating; stops with one or two places, hints,
 * interpolation space and hue way; the prefixed forms of old and the oldest `-webkit-gradient()`. Places in %,
 * px, and angles for conic. Never throws: what cannot be read gives a reason in words.
 *
 * @example readGradient('linear-gradient(105deg in oklab, #002f39, #e2552b 82%)')
 */
export function readGradient(text: string): ReadGradient {
  const trimmed = withoutComments(text).trim().replace(/;$/, '').trim();
  if (trimmed.length > 20_000) return { ok: false, reason: 'This is too long to be a gradient.' };
  try {
    const oldest = /^-webkit-gradient\((.*)\)$/is.exec(trimmed);
    if (oldest) return { ok: true, gradient: readOldest(splitOutside(oldest[1]!, ',')) };
    const match = FUNCTION.exec(trimmed);
    if (!match) return { ok: false, reason: 'This is no linear, radial or conic gradient in CSS.' };
    const kind = match[3]!.toLowerCase();
    const head: Head = { repeating: match[2] !== undefined, parts: splitOutside(match[4]!, ',') };
    if (!head.parts[0]) return { ok: false, reason: 'A gradient needs at least one colour.' };
    if (match[1] && kind !== 'conic') return { ok: true, gradient: readPrefixed(kind, head) };
    const read = { linear: readLinear, radial: readRadial, conic: readConic }[kind]!;
    return { ok: true, gradient: read(head) };
  } catch (error) {
    if (error instanceof Unreadable) return { ok: false, reason: error.message };
    throw error;
  }
}

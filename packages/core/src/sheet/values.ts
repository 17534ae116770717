import { parseColor } from '../color/parse.ts';
import { asPainted } from './as-painted.ts';

/** What the value of a custom property comes to, as far as colours go. */
export type SheetValue =
  | { readonly to: 'color'; readonly color: string }
  | { readonly to: 'property'; readonly property: string; readonly opacity: number }
  | { readonly to: 'gradient'; readonly text: string };

const VAR = /^var\(\s*(--[\w\u0080-\uffff-]+)\s*(?:,[\s\S]*)?\)$/;
const FADED =
  /^color-mix\(\s*in\s+[\w-]+\s*,\s*([\s\S]+?)\s+([\d.]+)%\s*,\s*transparent(?:\s+[\d.]+%)?\s*\)$/i;
/** `rgba(var(--blue-rgb), 0.5)`, where a property of numbers stands beside one of the colour. */
const CHANNELS = /^rgba?\(\s*var\(\s*(--[\w\u0080-\uffff-]+?)-rgb\s*\)\s*(?:[,/]\s*([\d.]+)(%?)\s*)?\)$/i;
/** How gradients begin. */
export const GRADIENT = /^(?:-\w+-)?(?:repeating-)?(?:linear|radial|conic)-gradient\(/i;
const LONGEST = 20_000;

/** A number or word of hex digits, which is no colour in CSS, whatever it is in an e-mail. */
export const isBareHex = (value: string): boolean => /^[\da-f]+$/i.test(value.trim());

const known = new Map<string, SheetValue | null>();
const MOST_KNOWN = 5000;

/** Reads a value; null when it is neither a colour nor leads to one. */
export function readValue(text: string): SheetValue | null {
  const before = known.get(text);
  if (before !== undefined) return before;
  const value = read(text);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(text, value);
  return value;
}

function read(text: string): SheetValue | null {
  if (text.length > LONGEST) return null;
  const value = text.replace(/\s*!important$/i, '');
  const direct = VAR.exec(value);
  if (direct) return { to: 'property', property: direct[1]!, opacity: 1 };
  if (GRADIENT.test(value)) return { to: 'gradient', text: value };
  const channels = CHANNELS.exec(value);
  if (channels) {
    const opacity = channels[2] === undefined ? 1 : Number(channels[2]) / (channels[3] ? 100 : 1);
    return Number.isFinite(opacity)
      ? { to: 'property', property: channels[1]!, opacity: Math.min(1, opacity) }
      : null;
  }
  const faded = FADED.exec(value);
  if (faded) {
    const inner = VAR.exec(faded[1]!);
    const share = Number(faded[2]) / 100;
    if (inner && share >= 0 && share <= 1) return { to: 'property', property: inner[1]!, opacity: share };
  }
  if (/\b(?:var|env|attr)\(/i.test(value)) return null;
  const parsed = isBareHex(value) ? null : parseColor(value);
  return parsed?.ok ? { to: 'color', color: asPainted(parsed.color) } : null;
}

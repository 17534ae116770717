import { parseColor } from '../color/parse.ts';
import { splitOutside } from '../color/split.ts';
import { isUnfixed } from '../color/unfixed.ts';

/** What of a device a theme goes by. */
export interface Device {
  readonly scheme: 'light' | 'dark';
  readonly contrast: 'more' | 'no-preference';
}

/** An at-rule around others. */
export interface AtRule {
  /** In lower case: `media`, `supports`, `layer`. */
  readonly name: string;
  readonly prelude: string;
}

/** px of the page that widths are asked of. */
const [WIDTH, HEIGHT] = [1280, 800];
const PX: Readonly<Record<string, number>> = { px: 1, em: 16, rem: 16 };

const lengthOf = (text: string): number | null => {
  const match = /^([\d.]+)(px|r?em)?$/.exec(text);
  return match ? Number(match[1]) * (PX[match[2] ?? 'px'] ?? 1) : null;
};

const FIXED: Readonly<Record<string, readonly string[]>> = {
  'prefers-reduced-motion': ['no-preference'],
  'prefers-reduced-transparency': ['no-preference'],
  'prefers-reduced-data': ['no-preference'],
  'forced-colors': ['none'],
  'inverted-colors': ['none'],
  'color-gamut': ['srgb'],
  'dynamic-range': ['standard'],
  hover: ['hover'],
  'any-hover': ['hover'],
  pointer: ['fine'],
  'any-pointer': ['fine'],
  orientation: ['landscape'],
  scripting: ['enabled'],
  update: ['fast'],
};

/** Whether a feature in brackets holds on a page as designers see it: 1280 px wide, sRGB, with a mouse. */
function isFeatureMet(text: string, { scheme, contrast }: Device): boolean {
  const [name = '', value] = text.split(':').map((part) => part.trim());
  if (name === 'prefers-color-scheme') return value === undefined || value === scheme;
  if (name === 'prefers-contrast') return value === undefined ? contrast === 'more' : value === contrast;
  const fixed = FIXED[name];
  if (fixed)
    return value === undefined ? !['none', 'no-preference'].includes(fixed[0]!) : fixed.includes(value);
  const bound = /^(min|max)-(?:device-)?(width|height)$/.exec(name);
  if (bound && value !== undefined) {
    const limit = lengthOf(value);
    const own = bound[2] === 'width' ? WIDTH : HEIGHT;
    return limit !== null && (bound[1] === 'min' ? own >= limit : own <= limit);
  }
  const range = /^(?:([\d.]+\w*)\s*([<>]=?)\s*)?(width|height)(?:\s*([<>]=?)\s*([\d.]+\w*))?$/.exec(text);
  if (range) {
    const own = range[3] === 'width' ? WIDTH : HEIGHT;
    const holds = (a: number, sign: string, b: number) =>
      sign.startsWith('<') ? a < b || (sign === '<=' && a === b) : a > b || (sign === '>=' && a === b);
    const [low, high] = [range[1], range[5]].map((one) => (one === undefined ? null : lengthOf(one)));
    return (
      (range[1] === undefined || (low !== null && low !== undefined && holds(low, range[2]!, own))) &&
      (range[5] === undefined || (high !== null && high !== undefined && holds(own, range[4]!, high)))
    );
  }
  return false;
}

/** A condition of words and brackets: `not (a) and (b)`, `(a) or (b)`; `met` says what of the brackets holds. */
function isMet(text: string, met: (inner: string) => boolean, depth = 0): boolean {
  const trimmed = text.trim();
  if (depth > 12) return false;
  const words = splitOutside(trimmed, ' ').flatMap((word) => word || []);
  // The last "or", then "and", outside brackets.
  for (const joint of ['or', 'and'] as const) {
    const at = words.findIndex((word) => word.toLowerCase() === joint);
    if (at > 0) {
      const left = isMet(words.slice(0, at).join(' '), met, depth + 1);
      const right = isMet(words.slice(at + 1).join(' '), met, depth + 1);
      return joint === 'or' ? left || right : left && right;
    }
  }
  if (words[0]?.toLowerCase() === 'not') return !isMet(words.slice(1).join(' '), met, depth + 1);
  if (words.length === 1 && trimmed.startsWith('(') && trimmed.endsWith(')')) {
    const inner = trimmed.slice(1, -1).trim();
    return /^\(|^not\s|\)\s*(?:and|or)\s/i.test(inner) ? isMet(inner, met, depth + 1) : met(inner);
  }
  return met(trimmed);
}

const TYPES: Readonly<Record<string, boolean>> = { all: true, screen: true, print: false, speech: false };

function isMediaMet(prelude: string, device: Device): boolean {
  return splitOutside(prelude.toLowerCase(), ',').some((query) => {
    const plain = query.replace(/^\s*only\s+/, '').trim();
    const met = (text: string) => isMet(text, (inner) => TYPES[inner] ?? isFeatureMet(inner, device));
    // Before a type it denies all that follows.
    const denied = /^not\s+([a-z].*)$/s.exec(plain)?.[1];
    return denied === undefined ? met(plain) : !met(denied);
  });
}

/** Properties and functions that stand for a browser of today. */
function isSupported(text: string): boolean {
  const declaration = /^([\w-]+)\s*:\s*([\s\S]+)$/.exec(text.trim());
  if (!declaration) return !/^font-tech|^font-format/i.test(text.trim());
  const [, property, value] = declaration;
  if (/^-(?:ms|moz)-/i.test(property!)) return false;
  const isColor = /(?:^|-)color$/i.test(property!) && !/var\(/.test(value!);
  return isColor ? isKnownColor(value!.trim()) : true;
}

const KEPT = /^(?:inherit|initial|unset|revert|transparent)$/i;
const isKnownColor = (value: string) =>
  KEPT.test(value) || isUnfixed(value) || parseColor(value.replace(/currentcolor/gi, 'red')).ok;

const known = new Map<string, boolean>();

/** Whether what stands in an at-rule is there for a device; at-rules that set nothing on their own are not. */
export function isThere({ name, prelude }: AtRule, device: Device): boolean {
  if (name === 'layer') return true;
  if (name !== 'media' && name !== 'supports') return false;
  const key = `${name} ${device.scheme} ${device.contrast} ${prelude}`;
  let holds = known.get(key);
  if (holds === undefined) {
    holds = name === 'media' ? isMediaMet(prelude, device) : isMet(prelude, isSupported);
    if (known.size > 5000) known.clear();
    known.set(key, holds);
  }
  return holds;
}

const ASKED = /prefers-(color-scheme|contrast)\s*:\s*(light|dark|more)/gi;

/** What at-rules ask of who looks at a page: a scheme, more contrast. */
export function askedBy(around: readonly AtRule[]): Partial<Device> {
  const asked: { scheme?: Device['scheme']; contrast?: Device['contrast'] } = {};
  for (const { name, prelude } of around)
    if (name === 'media' && !/\bnot\b|,/.test(prelude))
      for (const [, what, value] of prelude.toLowerCase().matchAll(ASKED))
        if (what === 'contrast') {
          if (value === 'more') asked.contrast = 'more';
        } else if (value === 'light' || value === 'dark') asked.scheme = value;
  return asked;
}

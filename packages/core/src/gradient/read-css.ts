import { toRgb8 } from '../color/gamut.ts';
import type { HueWay } from '../color/mix.ts';
import { parseColor } from '../color/parse.ts';
import { splitOutside } from '../color/split.ts';
import type { Rgba } from '../contrast/ratio.ts';
import type { MixingSpace } from './interpolate.ts';
import type { ColorStop, CssGradient, Direction, Hint, Place, RadialSize } from './model.ts';

export type ReadGradient =
  | { readonly ok: true; readonly gradient: CssGradient }
  | { readonly ok: false; readonly reason: string };

/** Says what is wrong with a text; caught by {@link readGradient}. */
class Unreadable extends Error {
  override name = 'Unreadable';
}

const ANGLE = /^([-+]?[\d.]+(?:e[-+]?\d+)?)(deg|grad|rad|turn)$/i;
const LENGTH = /^([-+]?[\d.]+(?:e[-+]?\d+)?)(%|px)?$/i;
const TURN: Record<string, number> = { deg: 1, grad: 0.9, rad: 180 / Math.PI, turn: 360 };

function readAngle(text: string): number | null {
  if (text === '0') return 0;
  const match = ANGLE.exec(text);
  return match ? Number(match[1]) * TURN[match[2]!.toLowerCase()]! : null;
}

function readPlace(text: string, conic: boolean): Place | null {
  if (conic) {
    const angle = readAngle(text);
    if (angle !== null) return { value: (angle / 360) * 100, unit: '%' };
  }
  const match = LENGTH.exec(text);
  if (!match || !Number.isFinite(Number(match[1]))) {
    if (/^[-+]?[\d.]+[a-z]+$/i.test(text))
      throw new Unreadable(`Places are read in %, px${conic ? ' or angles' : ''}; "${text}" is neither.`);
    return null;
  }
  const value = Number(match[1]);
  if (!match[2] && value !== 0) return null;
  return { value, unit: match[2]?.toLowerCase() === 'px' ? 'px' : '%' };
}

function readColorText(text: string): Rgba {
  const result = parseColor(text);
  if (!result.ok) throw new Unreadable(`"${text}" is no colour. ${result.reason}`);
  const [r, g, b] = toRgb8(result.color);
  return { r, g, b, alpha: result.color.alpha ?? 0 };
}

function readStops(parts: readonly string[], conic: boolean): (ColorStop | Hint)[] {
  const stops = parts.map((part): ColorStop | Hint => {
    if (!part) throw new Unreadable('There is nothing between two commas.');
    const words = splitOutside(part, ' ');
    const hint = words.length === 1 ? readPlace(words[0]!, conic) : null;
    if (hint) return { kind: 'hint', place: hint };
    const places: Place[] = [];
    const rest: string[] = [];
    for (const word of words) {
      const place = readPlace(word, conic);
      if (place) places.push(place);
      else rest.push(word);
    }
    if (places.length > 2) throw new Unreadable(`"${part}" has more than two places.`);
    return {
      kind: 'stop',
      color: readColorText(rest.join(' ')),
      places: places as [] | [Place] | [Place, Place],
    };
  });
  stops.forEach((item, i) => {
    if (item.kind === 'hint' && (stops[i - 1]?.kind !== 'stop' || stops[i + 1]?.kind !== 'stop'))
      throw new Unreadable('A hint stands between two colours.');
  });
  if (!stops.length) throw new Unreadable('A gradient needs at least one colour.');
  return stops;
}

const SPACES = new Set(['srgb', 'srgb-linear', 'oklab', 'lab', 'oklch', 'lch', 'hsl', 'hwb']);
const WAYS = new Set(['shorter', 'longer', 'increasing', 'decreasing']);

/** Takes `in oklch longer hue` out of a list of words. */
function takeSpace(words: string[]): { space: MixingSpace | null; hueWay: HueWay } {
  const at = words.indexOf('in');
  if (at === -1) return { space: null, hueWay: 'shorter' };
  const space = words[at + 1] ?? '';
  if (!SPACES.has(space)) throw new Unreadable(`Gradients are not mixed in "${space}" here.`);
  const way = words[at + 2] ?? '';
  const hasWay = WAYS.has(way);
  if (hasWay && words[at + 3] !== 'hue') throw new Unreadable(`After "${way}" comes "hue".`);
  words.splice(at, hasWay ? 4 : 2);
  return { space: space as MixingSpace, hueWay: hasWay ? (way as HueWay) : 'shorter' };
}

const CENTER: readonly [Place, Place] = [
  { value: 50, unit: '%' },
  { value: 50, unit: '%' },
];
const KEYWORD: Record<string, number> = { left: 0, top: 0, center: 50, right: 100, bottom: 100 };

/** `left top`, `30% bottom`, `center`, `10px` … as two places. */
function readPosition(words: readonly string[]): readonly [Place, Place] {
  if (!words.length) return CENTER;
  if (words.length > 2) throw new Unreadable(`"at ${words.join(' ')}" is not understood; use two values.`);
  const place = (word: string): Place => {
    const known = KEYWORD[word];
    const read = known === undefined ? readPlace(word, false) : { value: known, unit: '%' as const };
    if (!read) throw new Unreadable(`"${word}" is no position.`);
    return read;
  };
  const [first, second] = words as [string, string?];
  if (second === undefined)
    return first === 'top' || first === 'bottom' ? [CENTER[0], place(first)] : [place(first), CENTER[1]];
  const swapped = /^(top|bottom)$/.test(first) || /^(left|right)$/.test(second);
  return swapped ? [place(second), place(first)] : [place(first), place(second)];
}

function readSides(words: readonly string[]): Direction {
  const x = words.find((w) => w === 'left' || w === 'right') ?? null;
  const y = words.find((w) => w === 'top' || w === 'bottom') ?? null;
  const known = [x, y].filter((w) => w !== null).length;
  if (!known || known !== words.length) throw new Unreadable(`"to ${words.join(' ')}" is no side or corner.`);
  return { by: 'corner', x: x as 'left' | 'right' | null, y: y as 'top' | 'bottom' | null };
}

interface Head {
  readonly repeating: boolean;
  readonly parts: readonly string[];
}

/** Without `in …` the space is sRGB, for colours in the old notations; the writer always says it. */
const LEGACY_SPACE: MixingSpace = 'srgb';

function readLinear({ repeating, parts }: Head): CssGradient {
  const words = splitOutside(parts[0]!.toLowerCase(), ' ');
  const isHead = words[0] === 'to' || words[0] === 'in' || readAngle(words[0]!) !== null;
  const { space, hueWay } = isHead ? takeSpace(words) : { space: null, hueWay: 'shorter' as const };
  let direction: Direction = { by: 'angle', degrees: 180 };
  if (isHead && words.length) {
    const angle = words.length === 1 ? readAngle(words[0]!) : null;
    if (angle !== null) direction = { by: 'angle', degrees: angle };
    else if (words[0] === 'to') direction = readSides(words.slice(1));
    else throw new Unreadable(`"${parts[0]}" is no direction.`);
  }
  const stops = readStops(isHead ? parts.slice(1) : parts, false);
  return { kind: 'linear', repeating, direction, space: space ?? LEGACY_SPACE, hueWay, stops };
}

const SIZES = /^(closest|farthest)-(side|corner)$/;

function readRadial({ repeating, parts }: Head): CssGradient {
  const words = splitOutside(parts[0]!.toLowerCase(), ' ');
  const isHead =
    words.some((w) => /^(circle|ellipse|at|in)$/.test(w) || SIZES.test(w)) ||
    readPlace(words[0]!, false) !== null;
  const { space, hueWay } = isHead ? takeSpace(words) : { space: null, hueWay: 'shorter' as const };
  let shape: 'circle' | 'ellipse' | null = null;
  let size: RadialSize = 'farthest-corner';
  let center = CENTER;
  if (isHead) {
    const at = words.indexOf('at');
    if (at !== -1) center = readPosition(words.splice(at).slice(1));
    const lengths: Place[] = [];
    for (const word of words) {
      if (word === 'circle' || word === 'ellipse') shape = word;
      else if (SIZES.test(word)) size = word as RadialSize;
      else {
        const place = readPlace(word, false);
        if (!place) throw new Unreadable(`"${word}" is no size of a radial gradient.`);
        lengths.push(place);
      }
    }
    if (lengths.length > 2) throw new Unreadable('A radial gradient has one or two sizes.');
    if (lengths.length) size = lengths as unknown as RadialSize;
    if (!shape && lengths.length === 1) shape = 'circle';
  }
  const stops = readStops(isHead ? parts.slice(1) : parts, false);
  const base = { repeating, space: space ?? LEGACY_SPACE, hueWay, stops } as const;
  return { kind: 'radial', shape: shape ?? 'ellipse', size, center, ...base };
}

function readConic({ repeating, parts }: Head): CssGradient {
  const words = splitOutside(parts[0]!.toLowerCase(), ' ');
  const isHead = /^(from|at|in)$/.test(words[0]!);
  const { space, hueWay } = isHead ? takeSpace(words) : { space: null, hueWay: 'shorter' as const };
  let from = 0;
  let center = CENTER;
  if (isHead) {
    const at = words.indexOf('at');
    if (at !== -1) center = readPosition(words.splice(at).slice(1));
    if (words[0] === 'from') {
      const angle = readAngle(words[1] ?? '');
      if (angle === null) throw new Unreadable('After "from" comes an angle.');
      from = angle;
      words.splice(0, 2);
    }
    if (words.length) throw new Unreadable(`"${words.join(' ')}" is not understood.`);
  }
  const stops = readStops(isHead ? parts.slice(1) : parts, true);
  return { kind: 'conic', repeating, from, center, space: space ?? LEGACY_SPACE, hueWay, stops };
}

/** The prefixed form that named the side where it starts, and turned angles the other way from the right. */
function readPrefixed(kind: string, head: Head): CssGradient {
  const first = head.parts[0]!.toLowerCase();
  if (kind === 'linear') {
    const angle = readAngle(first);
    if (angle !== null) return readLinear({ ...head, parts: [`${90 - angle}deg`, ...head.parts.slice(1)] });
    if (/^(left|right|top|bottom)(\s+(left|right|top|bottom))?$/.test(first)) {
      const opposite: Record<string, string> = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' };
      const to = first.split(/\s+/).map((side) => opposite[side]);
      return readLinear({ ...head, parts: [`to ${to.join(' ')}`, ...head.parts.slice(1)] });
    }
    return readLinear(head);
  }
  // Radial: position first, then shape and size, where cover and contain stood for corner and side.
  const parts = [...head.parts];
  let position = '';
  if (/^(left|right|top|bottom|center|[\d.]+(%|px))(\s|$)/.test(first) && !/circle|ellipse/.test(first))
    position = ` at ${parts.shift()}`;
  let shape = '';
  if (parts[0] && /\b(circle|ellipse|cover|contain|closest|farthest)/i.test(parts[0]))
    shape = parts
      .shift()!
      .toLowerCase()
      .replace('cover', 'farthest-corner')
      .replace('contain', 'closest-side');
  return readRadial({ ...head, parts: [`${shape || 'ellipse'}${position}`, ...parts] });
}

/** `-webkit-gradient(linear, left top, right bottom, from(#f00), color-stop(0.5, #0f0), to(#00f))`. */
function readOldest(parts: readonly string[]): CssGradient {
  const [kind, start = '', end = ''] = parts.map((part) => part.toLowerCase());
  if (kind !== 'linear') throw new Unreadable('Of the oldest notation only linear gradients are read.');
  const stops = parts.slice(3).map((part): ColorStop => {
    const match = /^(from|to|color-stop)\((.*)\)$/is.exec(part);
    if (!match) throw new Unreadable(`"${part}" is no stop.`);
    const inside = splitOutside(match[2]!, ',');
    const place = match[1] === 'from' ? 0 : match[1] === 'to' ? 100 : readRatio(inside[0]!);
    return {
      kind: 'stop',
      color: readColorText(inside[inside.length - 1]!),
      places: [{ value: place, unit: '%' }],
    };
  });
  stops.sort((a, b) => a.places[0]!.value - b.places[0]!.value);
  const [a, b] = [readPosition(splitOutside(start, ' ')), readPosition(splitOutside(end, ' '))];
  const side = (from: Place, to: Place, low: string, high: string) =>
    from.value === to.value ? null : to.value > from.value ? high : low;
  const x = side(a[0], b[0], 'left', 'right');
  const y = side(a[1], b[1], 'top', 'bottom');
  if (!x && !y) throw new Unreadable('The gradient starts where it ends.');
  const direction = { by: 'corner', x, y } as Direction;
  return { kind: 'linear', repeating: false, direction, space: LEGACY_SPACE, hueWay: 'shorter', stops };
}

function readRatio(text: string): number {
  const value = Number.parseFloat(text) * (text.trim().endsWith('%') ? 1 : 100);
  if (!Number.isFinite(value)) throw new Unreadable(`"${text}" is no place.`);
  return value;
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
  const trimmed = text.trim().replace(/;$/, '').trim();
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

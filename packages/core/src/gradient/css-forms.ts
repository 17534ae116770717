import { splitOutside } from '../color/split.ts';
import {
  CENTER,
  readAngle,
  readPlace,
  readPosition,
  readSides,
  readStops,
  takeSpace,
  Unreadable,
} from './css-parts.ts';
import type { MixingSpace } from './interpolate.ts';
import type { CssGradient, Direction, RadialSize, StopPlace } from './model.ts';

/** A gradient function taken apart at its commas. */
export interface Head {
  readonly repeating: boolean;
  readonly parts: readonly string[];
}

/** Without `in …` the space is sRGB. The writer always says it. */
export const LEGACY_SPACE: MixingSpace = 'srgb';
const NEW_NOTATION = /(^|[\s,(])(ok)?(lab|lch)\(|(^|[\s,(])(color|color-mix|light-dark)\(/i;

/** The space where none is named: OKLab, unless all colours are in the old notations (CSS Color 4 §12.1). */
const usualSpace = (parts: readonly string[]): MixingSpace =>
  parts.some((part) => NEW_NOTATION.test(part)) ? 'oklab' : LEGACY_SPACE;

/** The parts of `linear-gradient()`. Throws {@link Unreadable}, as all readers here do. */
export function readLinear({ repeating, parts }: Head): CssGradient {
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
  return { kind: 'linear', repeating, direction, space: space ?? usualSpace(parts), hueWay, stops };
}

const SIZES = /^(closest|farthest)-(side|corner)$/;

/** The parts of `radial-gradient()`. */
export function readRadial({ repeating, parts }: Head): CssGradient {
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
    const lengths: StopPlace[] = [];
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
  const base = { repeating, space: space ?? usualSpace(parts), hueWay, stops } as const;
  return { kind: 'radial', shape: shape ?? 'ellipse', size, center, ...base };
}

/** The parts of `conic-gradient()`. */
export function readConic({ repeating, parts }: Head): CssGradient {
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
  return { kind: 'conic', repeating, from, center, space: space ?? usualSpace(parts), hueWay, stops };
}

import { ANGLES, evaluateCalc } from '../color/calc.ts';
import { convert, numbers } from '../color/convert.ts';
import { inGamut, toRgb8 } from '../color/gamut.ts';
import type { HueWay } from '../color/mix.ts';
import { parseColor } from '../color/parse.ts';
import { splitOutside } from '../color/split.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { clamp01 } from '../numbers/clamp.ts';
import { MIXING_SPACES, type MixingSpace } from './interpolate.ts';
import type { ColorStop, CssGradient, Direction, Hint, StopPlace } from './model.ts';

/** Says what is wrong with a text; caught where a whole gradient is read. */
export class Unreadable extends Error {
  override name = 'Unreadable';
}

const ANGLE = /^([-+]?[\d.]+(?:e[-+]?\d+)?)(deg|grad|rad|turn)$/i;
const LENGTH = /^([-+]?[\d.]+(?:e[-+]?\d+)?)(%|px|in|cm|mm|q|pt|pc)?$/i;
/** CSS px in each absolute length (CSS Values 4 §6.2). */
const PX: Record<string, number> = {
  px: 1,
  in: 96,
  cm: 96 / 2.54,
  mm: 9.6 / 2.54,
  q: 2.4 / 2.54,
  pt: 4 / 3,
  pc: 16,
};

const CALC = /^calc\(/i;
const NOTHING: ReadonlyMap<string, number> = new Map();

/** An angle in degrees, from any unit of CSS or a calc() of them; null for anything else. */
export function readAngle(text: string): number | null {
  if (text === '0') return 0;
  if (CALC.test(text)) return evaluateCalc(text.toLowerCase(), NOTHING, ANGLES) ?? null;
  const match = ANGLE.exec(text);
  const angle = match ? Number(match[1]) * ANGLES[match[2]!.toLowerCase()]! : Number.NaN;
  return Number.isFinite(angle) ? angle : null;
}

/** A place in % or px (absolute lengths become px; angles too become %, when conic); null for anything else. */
export function readPlace(text: string, conic: boolean): StopPlace | null {
  if (conic) {
    const angle = readAngle(text);
    if (angle !== null) return { value: (angle / 360) * 100, unit: '%' };
  }
  if (CALC.test(text)) {
    const calc = text.toLowerCase();
    const percent = evaluateCalc(calc, NOTHING, { '%': 1 });
    if (percent !== undefined) return { value: percent, unit: '%' };
    const px = evaluateCalc(calc, NOTHING, PX);
    if (px !== undefined) return { value: px, unit: 'px' };
    throw new Unreadable(
      `"${text}" cannot be worked out: a calc() of a place is read where it is all of percentages or all of lengths.`,
    );
  }
  const match = LENGTH.exec(text);
  if (!match || !Number.isFinite(Number(match[1]))) {
    if (/^[-+]?[\d.]+[a-z]+$/i.test(text))
      throw new Unreadable(
        `Places are read in %, absolute lengths such as px${conic ? ', or angles' : ''}; "${text}" depends on the page.`,
      );
    return null;
  }
  const value = Number(match[1]);
  if (!match[2] && value !== 0) return null;
  const unit = match[2]?.toLowerCase();
  return unit && unit !== '%' ? { value: value * PX[unit]!, unit: 'px' } : { value, unit: '%' };
}

/** How far each colour that was beyond sRGB is from what a browser paints of it alone, in 255ths of a channel. */
const movedBy = new WeakMap<Rgba, number>();

/** A colour as it is painted, 8-bit. */
export function readColorText(text: string): Rgba {
  const result = parseColor(text);
  if (!result.ok) throw new Unreadable(`"${text}" is no colour. ${result.reason}`);
  const [r, g, b] = toRgb8(result.color);
  const color = { r, g, b, alpha: result.color.alpha ?? 0 };
  if (!inGamut(result.color)) {
    const clipped = numbers(convert(result.color, 'srgb')).map((v) => clamp01(v) * 255);
    movedBy.set(color, Math.max(...[r, g, b].map((v, i) => Math.abs(v - clipped[i]!))));
  }
  return color;
}

/** Of the colours of a gradient that was just read, how many lay beyond sRGB, and how far they were moved, in 255ths. */
export function movedIntoSrgb({ stops }: CssGradient): { readonly count: number; readonly most: number } {
  const moves = stops.flatMap((item) => (item.kind === 'stop' ? (movedBy.get(item.color) ?? []) : []));
  return { count: moves.length, most: Math.round(Math.max(0, ...moves)) };
}

/** Stops and hints, from the texts between the commas. */
export function readStops(parts: readonly string[], conic: boolean): (ColorStop | Hint)[] {
  const stops = parts.map((part): ColorStop | Hint => {
    if (!part) throw new Unreadable('There is nothing between two commas.');
    const words = splitOutside(part, ' ');
    const hint = words.length === 1 ? readPlace(words[0]!, conic) : null;
    if (hint) return { kind: 'hint', place: hint };
    const places: StopPlace[] = [];
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
      places: places as [] | [StopPlace] | [StopPlace, StopPlace],
    };
  });
  stops.forEach((item, i) => {
    if (item.kind === 'hint' && (stops[i - 1]?.kind !== 'stop' || stops[i + 1]?.kind !== 'stop'))
      throw new Unreadable('A hint stands between two colours.');
  });
  if (!stops.length) throw new Unreadable('A gradient needs at least one colour.');
  return stops;
}

const SPACES: ReadonlySet<string> = new Set(MIXING_SPACES);
const WAYS = new Set(['shorter', 'longer', 'increasing', 'decreasing']);

/** Takes `in oklch longer hue` out of a list of words. */
export function takeSpace(words: string[]): { space: MixingSpace | null; hueWay: HueWay } {
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

export const CENTER: readonly [StopPlace, StopPlace] = [
  { value: 50, unit: '%' },
  { value: 50, unit: '%' },
];
const KEYWORD: Record<string, number> = { left: 0, top: 0, center: 50, right: 100, bottom: 100 };

/** `left top`, `30% bottom`, `center`, `10px` … as two places. */
export function readPosition(words: readonly string[]): readonly [StopPlace, StopPlace] {
  if (!words.length) return CENTER;
  if (words.length > 2) throw new Unreadable(`"at ${words.join(' ')}" is not understood; use two values.`);
  const place = (word: string): StopPlace => {
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

/** `right`, `top left` … as a direction. */
export function readSides(words: readonly string[]): Direction {
  const x = words.find((w) => w === 'left' || w === 'right') ?? null;
  const y = words.find((w) => w === 'top' || w === 'bottom') ?? null;
  const known = [x, y].filter((w) => w !== null).length;
  if (!known || known !== words.length) throw new Unreadable(`"to ${words.join(' ')}" is no side or corner.`);
  return { by: 'corner', x: x as 'left' | 'right' | null, y: y as 'top' | 'bottom' | null };
}

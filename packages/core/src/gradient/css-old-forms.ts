import { splitOutside } from '../color/split.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { type Head, LEGACY_SPACE, readLinear, readRadial } from './css-forms.ts';
import { readAngle, readColorText, readPosition, Unreadable } from './css-parts.ts';
import type { ColorStop, CssGradient, Direction, StopPlace } from './model.ts';

/** The prefixed form that named the side where it starts, and turned angles the other way from the right. */
export function readPrefixed(kind: string, head: Head): CssGradient {
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

function readOldestStops(parts: readonly string[]): { color: Rgba; place: number }[] {
  const stops = parts.map((part) => {
    const match = /^(from|to|color-stop)\((.*)\)$/is.exec(part);
    if (!match) throw new Unreadable(`"${part}" is no stop.`);
    const inside = splitOutside(match[2]!, ',');
    const kind = match[1]!.toLowerCase();
    const place = kind === 'from' ? 0 : kind === 'to' ? 100 : readRatio(inside[0]!);
    return { color: readColorText(inside[inside.length - 1]!), place };
  });
  if (!stops.length) throw new Unreadable('A gradient needs at least one colour.');
  return stops.sort((a, b) => a.place - b.place);
}

/**
 * `-webkit-gradient(linear, left top, right bottom, from(#f00), color-stop(0.5, #0f0), to(#00f))`, and
 * `-webkit-gradient(radial, center center, 0, center center, 60, from(#f00), to(#00f))` as far as both circles
 * have one centre, since CSS has no other.
 */
export function readOldest(parts: readonly string[]): CssGradient {
  const [kind, start = '', ...rest] = parts.map((part) => part.toLowerCase());
  const base = { repeating: false, space: LEGACY_SPACE, hueWay: 'shorter' } as const;
  // Numbers without a unit are px in this notation.
  const point = (text: string) =>
    readPosition(splitOutside(text, ' ').map((word) => (/^[\d.]+$/.test(word) ? `${word}px` : word)));
  const stopAt = ({ color, place }: { color: Rgba; place: number }): ColorStop => ({
    kind: 'stop',
    color,
    places: [{ value: place, unit: '%' }],
  });
  if (kind === 'radial') {
    const [inner, end, outer] = [Number(rest[0]), rest[1] ?? '', Number(rest[2])];
    if (!(inner >= 0 && outer > inner)) throw new Unreadable('The second radius has to be the larger one.');
    const center = point(end);
    if (JSON.stringify(point(start)) !== JSON.stringify(center))
      throw new Unreadable('Circles with two centres are not read; CSS gradients have one.');
    const stops = readOldestStops(parts.slice(5)).map(({ color, place }) =>
      stopAt({ color, place: ((inner + ((outer - inner) * place) / 100) / outer) * 100 }),
    );
    return { kind, shape: 'circle', size: [{ value: outer, unit: 'px' }], center, ...base, stops };
  }
  if (kind !== 'linear') throw new Unreadable('A gradient of this notation is linear or radial.');
  const stops = readOldestStops(parts.slice(3)).map(stopAt);
  const [a, b] = [point(start), point(rest[0] ?? '')];
  const side = (from: StopPlace, to: StopPlace, low: string, high: string) =>
    from.value === to.value ? null : to.value > from.value ? high : low;
  const x = side(a[0], b[0], 'left', 'right');
  const y = side(a[1], b[1], 'top', 'bottom');
  if (!x && !y) throw new Unreadable('The gradient starts where it ends.');
  return { kind, direction: { by: 'corner', x, y } as Direction, ...base, stops };
}

function readRatio(text: string): number {
  const value = Number.parseFloat(text) * (text.trim().endsWith('%') ? 1 : 100);
  if (!Number.isFinite(value)) throw new Unreadable(`"${text}" is no place.`);
  return value;
}

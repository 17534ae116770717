import type { Rgba } from '../contrast/ratio.ts';
import { alongLine, type Box, gradientLine, type Point } from './line.ts';
import {
  averageColor,
  type ColorStop,
  type CssGradient,
  colorAtPlace,
  type Direction,
  type Hint,
  type PlacedGradient,
  placeStops,
  type RadialGradient,
  type StopPlace,
} from './model.ts';

/** The extent (px) of an ending shape that has none. */
const NO_EXTENT = 1e-6;

const pxOf = (place: StopPlace, size: number) =>
  place.unit === 'px' ? place.value : (place.value / 100) * size;

/** The angle in degrees of a direction across a box; corners as CSS Images 4 §3.1.1 has them. */
export function angleOf(direction: Direction, { width, height }: Box): number {
  if (direction.by === 'angle') return direction.degrees;
  const { x, y } = direction;
  if (!x) return y === 'top' ? 0 : 180;
  if (!y) return x === 'right' ? 90 : 270;
  // The line is square to the one between the two corners beside, so that those get the middle colour.
  const steep = (Math.atan2(height, width) * 180) / Math.PI;
  if (y === 'top') return x === 'right' ? steep : 360 - steep;
  return x === 'right' ? 180 - steep : 180 + steep;
}

/** Where the centre of a radial or conic gradient lies in a box, px. */
export const centerIn = (center: readonly [StopPlace, StopPlace], { width, height }: Box): Point => ({
  x: pxOf(center[0], width),
  y: pxOf(center[1], height),
});

/** Half axes of a radial gradient's ending shape in px, as its size says; 0 and up. */
export function radiiIn(
  gradient: Pick<RadialGradient, 'size' | 'shape' | 'center'>,
  box: Box,
): [number, number] {
  return radii(gradient, box, centerIn(gradient.center, box));
}

function radii(
  gradient: Pick<RadialGradient, 'size' | 'shape'>,
  { width, height }: Box,
  center: Point,
): [number, number] {
  const { size, shape } = gradient;
  if (typeof size !== 'string') {
    const rx = pxOf(size[0], width);
    return [rx, size.length === 2 ? pxOf(size[1], height) : rx];
  }
  const xs = [Math.abs(center.x), Math.abs(width - center.x)];
  const ys = [Math.abs(center.y), Math.abs(height - center.y)];
  const pick = size.startsWith('closest') ? Math.min : Math.max;
  if (size.endsWith('side')) {
    if (shape === 'circle') {
      const r = pick(...xs, ...ys);
      return [r, r];
    }
    return [pick(...xs), pick(...ys)];
  }
  const corner = [pick(...xs), pick(...ys)] as const;
  if (shape === 'circle') {
    const r = Math.hypot(...corner);
    return [r, r];
  }
  // The ellipse through the corner with the proportions of the one that touches the sides.
  return [corner[0] * Math.SQRT2, corner[1] * Math.SQRT2];
}

export interface GradientPainter {
  /** The colour at a point of the box, px from its top left corner. */
  readonly colorAt: (point: Point) => Rgba;
  /** The place of a point along the gradient, in percent. */
  readonly placeAt: (point: Point) => number;
  readonly placed: PlacedGradient;
  /** The one colour that endless repeats too fine to be seen are painted in; null for all others. */
  readonly flat: Rgba | null;
}

/** How long the line of a gradient is in a box, px: what its places in px are parts of. Of a cone, 360. */
export const lineLength = (gradient: CssGradient, box: Box): number => layout(gradient, box).length;

/** A gradient laid out in a box (px): the colour at any point of it. */
export function paintIn(gradient: CssGradient, box: Box): GradientPainter {
  const { placeAt, length } = layout(gradient, box);
  const placed = placeStops(gradient, length);
  // Endless repeats too fine to be seen are painted as their average (CSS Images 4 §3.5).
  const flat = gradient.repeating && length <= NO_EXTENT ? averageColor(placed) : null;
  return { placed, placeAt, flat, colorAt: (point) => flat ?? colorAtPlace(placed, placeAt(point)) };
}

function layout(gradient: CssGradient, box: Box): { placeAt: (point: Point) => number; length: number } {
  if (gradient.kind === 'linear') {
    const line = gradientLine(angleOf(gradient.direction, box), box.width, box.height);
    return { placeAt: (point) => alongLine(line, point), length: line.length };
  }
  const center = { x: pxOf(gradient.center[0], box.width), y: pxOf(gradient.center[1], box.height) };
  if (gradient.kind === 'conic')
    return {
      length: 360,
      placeAt: ({ x, y }) => {
        const degrees = (Math.atan2(x - center.x, center.y - y) * 180) / Math.PI - gradient.from;
        return ((((degrees % 360) + 360) % 360) / 360) * 100;
      },
    };
  const [rx, ry] = radii(gradient, box, center);
  // A shape without extent is treated as one of the smallest, as the specification asks.
  const [ax, ay] = [Math.max(rx, NO_EXTENT), Math.max(ry, NO_EXTENT)];
  return {
    length: Math.min(ax, ay) > NO_EXTENT ? ax : NO_EXTENT,
    placeAt: ({ x, y }) => Math.hypot((x - center.x) / ax, (y - center.y) / ay) * 100,
  };
}

/** In the digits that CSS is written with. */
const percent = (value: number): StopPlace => ({ value: Math.round(value * 1e6) / 1e6, unit: '%' });
const turned = (place: StopPlace): StopPlace => percent(100 - place.value);

function reversedItem<S extends ColorStop<unknown>>(item: S | Hint): S | Hint {
  if (item.kind === 'hint') return { kind: 'hint', place: turned(item.place) };
  const [a, b] = item.places;
  const places = b ? ([turned(b), turned(a!)] as const) : a ? ([turned(a)] as const) : ([] as const);
  return { ...item, places };
}

/** Stops and hints the other way round. Places in px are refused with a RangeError: their end is not known. */
export function reversedStops<S extends ColorStop<unknown>>(stops: readonly (S | Hint)[]): (S | Hint)[] {
  const places = stops.flatMap((item) => (item.kind === 'hint' ? [item.place] : [...item.places]));
  if (places.some((place) => place.unit === 'px'))
    throw new RangeError('A gradient with places in px cannot be turned round without its length.');
  return [...stops].reverse().map(reversedItem);
}

/** The stops at even distances from 0 to 100 %; hints go. */
export function evenStops<S extends ColorStop<unknown>>(items: readonly (S | Hint)[]): S[] {
  const stops = items.filter((item): item is S => item.kind === 'stop');
  const last = Math.max(1, stops.length - 1);
  return stops.map((stop, i) => ({ ...stop, places: [percent((i / last) * 100)] }));
}

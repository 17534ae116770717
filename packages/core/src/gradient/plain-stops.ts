import { bakeGradient, inBits, unitOf } from './fit.ts';
import {
  averageColor,
  type ColorStop,
  type CssGradient,
  colorAtPlace,
  placeStops,
  type RadialGradient,
  type StopPlace,
} from './model.ts';

/** Stops that the repeats of an ellipse may come to when they are written out. */
const MOST_WRITTEN_OUT = 256;

const ZERO: StopPlace = { value: 0, unit: '%' };
const WHOLE: StopPlace = { value: 100, unit: '%' };

/**
 * The half axes of a radial gradient in parts of the box's width and height, and its centre in the same; null where they
 * are other parts in every box. Of a circle by a keyword only whether it has none is the same in all.
 */
function inParts({ shape, size, center }: RadialGradient) {
  if (center.some(({ unit }) => unit === 'px')) return null;
  const [x, y] = [center[0].value / 100, center[1].value / 100];
  if (typeof size !== 'string') {
    if (size.some(({ unit }) => unit === 'px')) return null;
    const [rx, ry = size[0]] = size;
    return { x, y, rx: rx.value / 100, ry: ry.value / 100 };
  }
  const pick = size.startsWith('closest') ? Math.min : Math.max;
  const [rx, ry] = [pick(Math.abs(x), Math.abs(1 - x)), pick(Math.abs(y), Math.abs(1 - y))];
  const grown = size.endsWith('corner') && shape === 'ellipse' ? Math.SQRT2 : 1;
  return { x, y, rx: rx * grown, ry: ry * grown };
}

/** Whether a radial gradient has no extent in any box, so that one colour is all that it paints. */
export function hasNoExtent(gradient: RadialGradient): boolean {
  const parts = inParts(gradient);
  if (!parts) return Array.isArray(gradient.size) && gradient.size.some(({ value }) => value === 0);
  // A circle to its closest corner has none only where both are nothing.
  const both = gradient.shape === 'circle' && gradient.size === 'closest-corner';
  return both ? parts.rx === 0 && parts.ry === 0 : parts.rx === 0 || parts.ry === 0;
}

/** How far the farthest corner lies from an ellipse's centre, in percent of its line; null where that depends on the box. */
function farthestOf(gradient: RadialGradient): number | null {
  const parts = gradient.shape === 'ellipse' ? inParts(gradient) : null;
  if (!parts) return null;
  const { x, y, rx, ry } = parts;
  const corners = [0, 1].flatMap((u) => [0, 1].map((v) => Math.hypot((u - x) / rx, (v - y) / ry)));
  return Math.max(...corners) * 100;
}

/** Whether WebKit ends the repeats of a gradient before the box does: it does so on ellipses. */
export const endsEarly = (gradient: CssGradient<unknown>): boolean =>
  gradient.kind === 'radial' && gradient.repeating && gradient.shape === 'ellipse';

/** A repeating ellipse of plain stops with its repeats written out as far as any box goes; itself where that cannot be. */
function writtenOut<T extends CssGradient>(gradient: T): T {
  if (gradient.kind !== 'radial' || !endsEarly(gradient)) return gradient;
  const farthest = farthestOf(gradient);
  const { first, last } = placeStops(gradient);
  const span = last - first;
  if (farthest === null || !(span > 0) || unitOf(gradient) !== '%') return gradient;
  const { colors } = placeStops({ ...gradient, repeating: false });
  const from = -Math.ceil(first / span);
  const to = Math.ceil((farthest - first) / span);
  if ((to - from) * colors.length > MOST_WRITTEN_OUT) return gradient;
  const stops: ColorStop[] = [];
  for (let k = from; k < to; k++)
    for (const { place, color } of colors)
      stops.push({ kind: 'stop', color, places: [{ value: place + k * span, unit: '%' }] });
  return { ...gradient, repeating: false, stops };
}

/**
 * A gradient in plain stops, which every engine paints alike: mixed straight in sRGB, without middles, never more than
 * `tolerance` of 255 from what CSS Images 4 asks for; the repeats of ellipses written out where that is as much in every box,
 * and one colour where it has no extent in any. Null where px and percent stand together.
 */
export function plainStops(gradient: CssGradient, tolerance = 1): CssGradient | null {
  if (!unitOf(gradient)) return null;
  if (gradient.kind === 'radial' && hasNoExtent(gradient)) {
    const placed = placeStops({ ...gradient, repeating: false });
    // Endless repeats too fine to be seen are their average (CSS Images 4 §3.5).
    const color = gradient.repeating
      ? inBits(averageColor(placed))
      : colorAtPlace(placed, Number.POSITIVE_INFINITY);
    return {
      kind: 'linear',
      direction: { by: 'angle', degrees: 180 },
      repeating: false,
      space: 'srgb',
      hueWay: 'shorter',
      stops: [ZERO, WHOLE].map((place): ColorStop => ({ kind: 'stop', color, places: [place] })),
    };
  }
  return writtenOut(bakeGradient(gradient, tolerance));
}

import { convert, numbers } from '../color/convert.ts';
import { color } from '../color/spaces.ts';
import type { Rgba } from '../contrast/ratio.ts';

/** Spaces a gradient can be interpolated in; all of them rectangular. */
export type GradientSpace = 'srgb' | 'srgb-linear' | 'oklab' | 'lab';

/** A stop with its colour worked out. Position in percent of the gradient line, 0–100. */
export interface SampledStop {
  readonly position: number;
  readonly color: Rgba;
}

const mix = (a: number, b: number, t: number) => a + (b - a) * t;

/**
 * The colour of a gradient at a place, as CSS Images 4 §3.1 has it: interpolated in the gradient's space with
 * premultiplied alpha, flat before the first and after the last stop, a hard edge where two stops share a
 * place. `at` in percent; stops in order of position, at least one.
 */
export function sampleGradient(stops: readonly SampledStop[], space: GradientSpace, at: number): Rgba {
  const first = stops[0];
  if (!first) throw new RangeError('A gradient needs at least one stop.');
  if (at < first.position) return first.color;
  const next = stops.findIndex((stop) => stop.position > at);
  if (next === -1) return stops[stops.length - 1]!.color;
  const from = stops[next - 1]!;
  const to = stops[next]!;
  const t = (at - from.position) / (to.position - from.position);
  return mixColors(from.color, to.color, t, space);
}

/** Mixes two colours, t 0–1 of the way from a to b, with premultiplied alpha in a rectangular space. */
export function mixColors(a: Rgba, b: Rgba, t: number, space: GradientSpace): Rgba {
  if (t <= 0) return a;
  if (t >= 1) return b;
  const from = numbers(convert(color('srgb', [a.r / 255, a.g / 255, a.b / 255]), space));
  const to = numbers(convert(color('srgb', [b.r / 255, b.g / 255, b.b / 255]), space));
  const alpha = mix(a.alpha, b.alpha, t);
  if (alpha === 0) return { ...b, alpha: 0 };
  const coords = from.map((v, i) => mix(v * a.alpha, to[i]! * b.alpha, t) / alpha) as [
    number,
    number,
    number,
  ];
  // Browsers clip what lies between two colours outside sRGB; they do not map it.
  const [r, g, bl] = numbers(convert(color(space, coords), 'srgb')).map((v) =>
    Math.min(1, Math.max(0, v)),
  ) as [number, number, number];
  return { r: r * 255, g: g * 255, b: bl * 255, alpha };
}

import { convert, numbers } from '../color/convert.ts';
import { mixIn } from '../color/mix.ts';
import { color } from '../color/spaces.ts';
import type { Rgba } from '../contrast/ratio.ts';
import type { PlacedGradient } from './model.ts';

const colorOf = (c: Rgba) => color('srgb', [c.r / 255, c.g / 255, c.b / 255], c.alpha);

/**
 * A placed gradient with each hint's curve replaced by the ten straight pieces that Chromium draws instead of it: most of
 * them in the wider half. The colours between are those of the curve itself, not yet clipped to sRGB. What is measured
 * as it is painted is measured so; everywhere else the curve is the one that CSS Images 4 §3.4.3 asks for.
 */
export function hintsAsStops(placed: PlacedGradient): PlacedGradient {
  return {
    ...placed,
    stretches: placed.stretches.flatMap((stretch) => {
      if (stretch.exponent === 1 || stretch.jump) return [stretch];
      const { from, to, a, b } = stretch;
      const curveAt = (place: number): Rgba => {
        const t = ((place - from) / (to - from)) ** stretch.exponent;
        const mixed = mixIn(colorOf(a), colorOf(b), t, placed.space, placed.hueWay);
        const [r, g, blue] = numbers(convert(mixed, 'srgb'));
        return { r: r * 255, g: g * 255, b: blue * 255, alpha: mixed.alpha ?? 0 };
      };
      const left = (to - from) * 0.5 ** (1 / stretch.exponent);
      const hint = from + left;
      const right = to - hint;
      const seven = [0, 1, 2, 3, 4, 5, 6];
      const between =
        left > right
          ? [...seven.map((i) => from + (left * (7 + i)) / 13), hint + right / 3, hint + (right * 2) / 3]
          : [from + left / 3, from + (left * 2) / 3, ...seven.map((i) => hint + (right * i) / 13)];
      const points = [from, ...between, to].map((place, i, all) => ({
        place,
        color: i === 0 ? a : i === all.length - 1 ? b : curveAt(place),
      }));
      return points.slice(1).map((point, i) => ({
        from: points[i]!.place,
        to: point.place,
        a: points[i]!.color,
        b: point.color,
        exponent: 1,
        jump: null,
      }));
    }),
  };
}

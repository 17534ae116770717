import { convert, numbers } from '@mint-lamp/core/color/convert';
import { color } from '@mint-lamp/core/color/spaces';
import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import { type CssGradient, placeStops } from '@mint-lamp/core/gradient/model';

/** Where Chromium paints otherwise than CSS Color 4 and CSS Images 4 say; see docs/decisions.md. */
function paintedOtherwise(gradient: CssGradient): boolean {
  const { space, hueWay, stops } = gradient;
  if (!/lch|hsl|hwb/.test(space)) return false;
  // Any way but the shorter one: a whole turn before the first stop, and one in every piece of a hint's curve.
  const hinted = stops.some((item) => item.kind === 'hint');
  if (hueWay !== 'shorter' && (hinted || placeStops(gradient).first > 0)) return true;
  // Nearly grey colours keep or lose their hue at other limits.
  const chroma = (c: Rgba) => numbers(convert(color('srgb', [c.r / 255, c.g / 255, c.b / 255]), 'oklch'))[1];
  return space.endsWith('lch') && stops.some((item) => item.kind === 'stop' && chroma(item.color) < 0.021);
}

/** Whether a repeating gradient repeats within so few pixels that any neighbour pixel may hold any colour. */
function tooFine(gradient: CssGradient): boolean {
  const { first, last } = placeStops(gradient);
  // A radial one that touches the side it is to end at has no extent: the average of a hint's pieces is not ours.
  const touches =
    gradient.kind === 'radial' &&
    gradient.center.some(({ value }) => value === 0 || value === 100) &&
    gradient.stops.some((item) => item.kind === 'hint');
  return gradient.repeating && (touches || (last > first && last - first < 10));
}

/** Whether a gradient is none that Chromium paints as the core computes it, for reasons that are known. */
export const hasOwnRules = (gradient: CssGradient): boolean =>
  paintedOtherwise(gradient) || tooFine(gradient);

import { fitGradient } from './fit.ts';
import { type ColorStop, type CssGradient, colorAtPlace, placeStops } from './model.ts';

const ROW = 512;
/** ΔE OK within which the same is painted. */
export const SAME_WITHIN = 0.004;

/**
 * A gradient with at most so many stops (16 and more), painting the same within {@link SAME_WITHIN} as far as that many
 * can; itself when it has no more. Hints are worked into the stops.
 */
export function fewerStops(gradient: CssGradient, most: number): CssGradient {
  if (gradient.stops.filter(({ kind }) => kind === 'stop').length <= most) return gradient;
  const placed = placeStops({ ...gradient, repeating: false });
  const { first, last } = placed;
  const row = Array.from({ length: ROW }, (_, i) =>
    colorAtPlace(placed, first + ((last - first) * i) / (ROW - 1)),
  );
  const stops = fitGradient(row, gradient.space, SAME_WITHIN)
    .slice(0, most)
    .map(({ place, color }): ColorStop => {
      const value = Math.round((first + ((last - first) * place) / 100) * 1e4) / 1e4;
      return { kind: 'stop', color, places: [{ value, unit: '%' }] };
    });
  return { ...gradient, stops };
}

import { fromRgb8 } from '../../color/parse.ts';
import { canonical } from '../../color/write.ts';
import { type Gradient, MOST_STOPS, type Stop, stopAt } from '../../document/gradients/gradient.ts';
import type { Link } from '../../document/links/link.ts';
import { slices } from '../../gradient/model.ts';
import { paintedGradient, type ResolvedGradient } from '../../system/gradients/resolved-gradient.ts';

/** Colours that a gradient is cut into, at least and at most. */
export const FEWEST_CUTS = 2;
export const MOST_CUTS = 24;

/** So many colours evenly along a gradient, its ends included, as canonical CSS; none where it has no colour. */
export function cutColors(resolved: ResolvedGradient, n: number): string[] {
  const painted = paintedGradient(resolved);
  if (!painted) return [];
  return slices(painted, n).map(({ r, g, b, alpha }) =>
    canonical(fromRgb8(Math.round(r), Math.round(g), Math.round(b), alpha)),
  );
}

/**
 * The stops that a gradient has when it is cut into so many colours; `hard`, each is a stretch of its own with an edge
 * beside the next. A colour that a stop has already keeps that stop's link. `newId` makes ids.
 */
export function cutStops(
  resolved: ResolvedGradient,
  n: number,
  hard: boolean,
  newId: () => string,
): Gradient['stops'] {
  const colors = cutColors(resolved, n);
  const linkOf = (color: string, percent: number): Link => {
    const same = resolved.stops.find(
      ({ places: [first] }) => first.unit === '%' && Math.abs(first.value - percent) < 0.01,
    );
    return same ? same.color : { to: 'color', color };
  };
  return colors.map((color, i): Stop => {
    const at = Math.round((i / (colors.length - 1)) * 1e4) / 100;
    const stop = stopAt(newId(), at, linkOf(color, at));
    if (!hard) return stop;
    const edge = (k: number) => ({ value: Math.round((k / colors.length) * 1e4) / 100, unit: '%' }) as const;
    return { ...stop, places: [edge(i), edge(i + 1)] };
  });
}

/** Stops of some links, evenly from 0 to 100 %; at most as many as a gradient holds, evenly chosen. */
export function stopsThrough(links: readonly Link[], newId: () => string): Gradient['stops'] {
  const n = Math.min(links.length, MOST_STOPS);
  return Array.from({ length: n }, (_, i) => {
    const link = links[n < 2 ? 0 : Math.round((i / (n - 1)) * (links.length - 1))]!;
    return stopAt(newId(), n < 2 ? 0 : Math.round((i / (n - 1)) * 1e4) / 100, link);
  });
}

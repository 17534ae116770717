import { rgb8ToOklch } from '@mint-lamp/core/color/gamut';
import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { Stop } from '@mint-lamp/core/document/gradients/gradient';
import type { MixingSpace } from '@mint-lamp/core/gradient/interpolate';
import { type CssGradient, colorAtPlace, percentOf, placeStops } from '@mint-lamp/core/gradient/model';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import { paintedGradient, type ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';

/** The line of a gradient laid straight, once, from 0 to 100 %; null when no stop has a colour. */
export function straightened(resolved: ResolvedGradient, length: number): CssGradient | null {
  const painted = paintedGradient(resolved);
  if (!painted) return null;
  const { space, hueWay } = painted;
  const inPercent = (place: { value: number; unit: '%' | 'px' }) =>
    ({ value: percentOf(place, length), unit: '%' }) as const;
  const stops = painted.stops.map((item) =>
    item.kind === 'hint'
      ? { ...item, place: inPercent(item.place) }
      : { ...item, places: item.places.map(inPercent) as unknown as Stop['places'] },
  );
  return {
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    space,
    hueWay,
    stops,
  };
}

/** The same line as CSS; mixed in another space where one is given. */
export function straightCss(straight: CssGradient | null, space?: MixingSpace): string | undefined {
  if (!straight || straight.stops.length < 2) return undefined;
  return writeGradient(space ? { ...straight, space, hueWay: 'shorter' } : straight);
}

export interface Sample {
  readonly at: number;
  readonly lightness: number;
  readonly chroma: number;
  readonly hue: number;
  readonly alpha: number;
}

const STEPS = 100;

/** Lightness (0–1), chroma, hue (degrees) in OKLCH and alpha along a straight line; both sides of hard edges. */
export function samplesAlong(straight: CssGradient): Sample[] {
  const placed = placeStops(straight);
  const sampleOf = (at: number, { r, g, b, alpha }: Rgba): Sample => {
    const [lightness, chroma, hue] = rgb8ToOklch(r, g, b);
    return { at, lightness, chroma, hue, alpha };
  };
  const out = Array.from({ length: STEPS + 1 }, (_, i) => {
    const at = (i / STEPS) * 100;
    return sampleOf(at, colorAtPlace(placed, at));
  });
  for (const { place, color } of placed.colors)
    if (place >= 0 && place <= 100) out.push(sampleOf(place, color));
  // Sorting keeps those of one place in their order, so that an edge stands upright.
  return out.sort((a, b) => a.at - b.at);
}

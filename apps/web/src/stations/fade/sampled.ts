import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import { type SampledStop, sampleGradient } from '@mint-lamp/core/gradient/sample';
import type { ResolvedGradient } from '@mint-lamp/core/system/resolve-gradients';

/** The stops of a gradient that have a colour, ready for sampling. */
export function sampledStops({ gradient, colors }: ResolvedGradient): SampledStop[] {
  return gradient.stops.flatMap((stop, i) => {
    const color = colors[i];
    return color ? [{ position: stop.position, color }] : [];
  });
}

/** The colour of a gradient at a place in percent; null when no stop has a colour. */
export function colorAt(resolved: ResolvedGradient, percent: number): Rgba | null {
  const stops = sampledStops(resolved);
  return stops.length ? sampleGradient(stops, resolved.gradient.space, percent) : null;
}

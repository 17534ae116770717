import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import { colorAtPlace, placeStops } from '@mint-lamp/core/gradient/model';
import { paintedGradient, type ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';

/** The colour of a gradient at places in percent; null when no stop has a colour. */
export function sampler(resolved: ResolvedGradient): ((percent: number) => Rgba) | null {
  const painted = paintedGradient(resolved);
  if (!painted) return null;
  const placed = placeStops(painted);
  return (percent) => colorAtPlace(placed, percent);
}

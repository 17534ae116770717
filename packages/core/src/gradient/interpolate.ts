import { convert } from '../color/convert.ts';
import { type HueWay, mixIn } from '../color/mix.ts';
import { type Color, color, type SpaceId } from '../color/spaces.ts';
import type { Rgba } from '../contrast/ratio.ts';

/** Every space that CSS Images 4 lets a gradient be mixed in and that we support. */
export const MIXING_SPACES = [
  'srgb',
  'srgb-linear',
  'oklab',
  'lab',
  'oklch',
  'lch',
  'hsl',
  'hwb',
] as const satisfies readonly SpaceId[];
export type MixingSpace = (typeof MIXING_SPACES)[number];

const colorOf = (c: Rgba): Color => color('srgb', [c.r / 255, c.g / 255, c.b / 255], c.alpha);

/**
 * Mixes two painted colours (channels 0–255), t 0–1 of the way, as {@link mixIn} does, and brings the result
 * back to sRGB, clipped as browsers clip.
 */
export function mix(a: Rgba, b: Rgba, t: number, space: MixingSpace, way: HueWay = 'shorter'): Rgba {
  const mixed = mixIn(colorOf(a), colorOf(b), t, space, way);
  const [r, g, bl] = convert(mixed, 'srgb').coords.map((v) => Math.min(1, Math.max(0, v ?? 0)) * 255);
  return { r: r!, g: g!, b: bl!, alpha: mixed.alpha ?? 0 };
}

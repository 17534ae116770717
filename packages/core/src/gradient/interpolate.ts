import { srgbOf } from '../color/convert.ts';
import { type HueWay, mixerIn } from '../color/mix.ts';
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

const held = (v: number) => Math.min(1, Math.max(0, v)) * 255;

/**
 * What mixes two painted colours (channels 0–255), t 0–1 of the way, as {@link mixerIn} does, and brings the result
 * back to sRGB, clipped as browsers clip.
 */
export function mixer(a: Rgba, b: Rgba, space: MixingSpace, way: HueWay = 'shorter'): (t: number) => Rgba {
  const mixed = mixerIn(colorOf(a), colorOf(b), space, way);
  return (t) => {
    const at = mixed(t);
    const [r, g, b] = srgbOf(at);
    return { r: held(r), g: held(g), b: held(b), alpha: at.alpha ?? 0 };
  };
}

/** Mixes two painted colours, t 0–1 of the way; see {@link mixer}. */
export const mix = (a: Rgba, b: Rgba, t: number, space: MixingSpace, way: HueWay = 'shorter'): Rgba =>
  mixer(a, b, space, way)(t);

import { srgbFrom } from '../color/convert.ts';
import type { Triple } from '../color/kernel.ts';
import { type HueWay, mixedAt, mixingIn } from '../color/mix.ts';
import { type Color, color, type SpaceId } from '../color/spaces.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { clamp } from '../numbers/clamp.ts';

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

/** A value held in 0 to a limit; what is no number is 0. */
const within = (v: number, most: number) => (Number.isNaN(v) ? 0 : clamp(v, 0, most));

/**
 * What mixes two painted colours (channels 0–255), t 0–1 of the way, as {@link mixingIn} has it, and brings the result
 * back to sRGB, clipped as browsers clip.
 */
export function mixer(a: Rgba, b: Rgba, space: MixingSpace, way: HueWay = 'shorter'): (t: number) => Rgba {
  if (space === 'srgb') return (t) => mixStraight(a, b, t);
  const mixing = mixingIn(colorOf(a), colorOf(b), space, way);
  const toSrgb = srgbFrom(space);
  const at: Triple = [0, 0, 0];
  return (t) => {
    const alpha = within(mixedAt(mixing, t, at), 1);
    toSrgb(at);
    const held = (v: number) => within(v, 1) * 255;
    return { r: held(at[0]), g: held(at[1]), b: held(at[2]), alpha };
  };
}

/** Mixes in sRGB itself: there is nothing to convert, and nothing that is missing. */
function mixStraight(a: Rgba, b: Rgba, t: number): Rgba {
  const alpha = within(a.alpha + (b.alpha - a.alpha) * t, 1);
  const [own, other] = alpha === 0 ? [1 - t, t] : [(a.alpha * (1 - t)) / alpha, (b.alpha * t) / alpha];
  const between = (x: number, y: number) => within(x * own + y * other, 255);
  return { r: between(a.r, b.r), g: between(a.g, b.g), b: between(a.b, b.b), alpha };
}

/** Mixes two painted colours, t 0–1 of the way; see {@link mixer}. */
export const mix = (a: Rgba, b: Rgba, t: number, space: MixingSpace, way: HueWay = 'shorter'): Rgba =>
  mixer(a, b, space, way)(t);

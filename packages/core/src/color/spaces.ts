import type { SpaceDefinition, SpaceId } from './spaces/definition.ts';
import { hsl, hsv, hwb } from './spaces/hsl.ts';
import { lab, lch } from './spaces/lab.ts';
import { oklab, oklch } from './spaces/oklab.ts';
import { a98Rgb, displayP3, prophotoRgb, rec2020, srgb, srgbLinear } from './spaces/rgb.ts';
import { xyzD50, xyzD65 } from './spaces/xyz.ts';

export type { SpaceId };

/** A channel value; null is the CSS keyword `none` (missing or powerless). */
export type Channel = number | null;

/**
 * A colour in one space. Coordinates are in the space's CSS reference numbers: sRGB-like channels 0–1,
 * hue in degrees, HSL/HWB/HSV percentages 0–100, Lab L 0–100, OKLab L 0–1. Alpha is 0–1.
 */
export interface Color {
  readonly space: SpaceId;
  readonly coords: readonly [Channel, Channel, Channel];
  readonly alpha: Channel;
}

/** The colour spaces the product speaks, by their CSS identifier (`hsv` has none and uses ours). */
export const SPACES: Readonly<Record<SpaceId, SpaceDefinition>> = {
  srgb,
  'srgb-linear': srgbLinear,
  hsl,
  hwb,
  hsv,
  lab,
  lch,
  oklab,
  oklch,
  'display-p3': displayP3,
  'a98-rgb': a98Rgb,
  'prophoto-rgb': prophotoRgb,
  rec2020,
  'xyz-d65': xyzD65,
  'xyz-d50': xyzD50,
};

/** No channel of any colour that means something comes near this; beyond it, cubes and powers would overflow. */
const FARTHEST = 1e6;

const channelWithin = (v: Channel, low: number, high: number): Channel =>
  v === null ? null : v > high ? high : v < low ? low : Number.isNaN(v) ? 0 : v;

/**
 * Makes a colour; alpha 1 unless given. Whatever the numbers, the colour is one that can be computed with: NaN
 * becomes 0, channels beyond ±1,000,000 stop there, and alpha is held in 0–1.
 */
export function color(
  space: SpaceId,
  [x, y, z]: readonly [Channel, Channel, Channel],
  alpha: Channel = 1,
): Color {
  const coord = (v: Channel) => channelWithin(v, -FARTHEST, FARTHEST);
  return { space, coords: [coord(x), coord(y), coord(z)], alpha: channelWithin(alpha, 0, 1) };
}

/** The colour spaces the product speaks, with their channels in the units CSS Color 4 uses. */

export type SpaceId =
  | 'srgb'
  | 'srgb-linear'
  | 'hsl'
  | 'hwb'
  | 'hsv'
  | 'lab'
  | 'lch'
  | 'oklab'
  | 'oklch'
  | 'display-p3'
  | 'a98-rgb'
  | 'prophoto-rgb'
  | 'rec2020'
  | 'xyz-d65'
  | 'xyz-d50';

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

export interface ChannelDefinition {
  readonly id: string;
  readonly name: string;
  readonly min: number;
  readonly max: number;
  /** Decimals that keep a round trip within 1/512 of an 8-bit sRGB step. */
  readonly decimals: number;
  readonly unit: '' | '%' | '°';
}

export interface SpaceDefinition {
  readonly id: SpaceId;
  readonly name: string;
  readonly channels: readonly [ChannelDefinition, ChannelDefinition, ChannelDefinition];
  /** Name of the mode in the colour library. */
  readonly mode: string;
  /** Names of the channels in the colour library, in our order. */
  readonly keys: readonly [string, string, string];
  /** Our value is the library's times this. */
  readonly scale: readonly [number, number, number];
}

const channel = (
  id: string,
  name: string,
  min: number,
  max: number,
  decimals: number,
  unit: '' | '%' | '°' = '',
): ChannelDefinition => ({ id, name, min, max, decimals, unit });

const HUE = channel('h', 'Hue', 0, 360, 3, '°');
const percent = (id: string, name: string) => channel(id, name, 0, 100, 3, '%');
const rgbChannels = [
  channel('r', 'Red', 0, 1, 5),
  channel('g', 'Green', 0, 1, 5),
  channel('b', 'Blue', 0, 1, 5),
] as const;
const xyzChannels = [
  channel('x', 'X', 0, 1, 6),
  channel('y', 'Y', 0, 1, 6),
  channel('z', 'Z', 0, 1, 6),
] as const;
const UNIT = [1, 1, 1] as const;

function rgbLike(id: SpaceId, name: string, mode: string): SpaceDefinition {
  return { id, name, channels: rgbChannels, mode, keys: ['r', 'g', 'b'], scale: UNIT };
}

function xyzLike(id: SpaceId, name: string, mode: string): SpaceDefinition {
  return { id, name, channels: xyzChannels, mode, keys: ['x', 'y', 'z'], scale: UNIT };
}

/** Every space by its CSS identifier (`hsv` has none and uses ours). */
export const SPACES: Readonly<Record<SpaceId, SpaceDefinition>> = {
  srgb: rgbLike('srgb', 'RGB', 'rgb'),
  'srgb-linear': rgbLike('srgb-linear', 'Linear RGB', 'lrgb'),
  hsl: {
    id: 'hsl',
    name: 'HSL',
    channels: [HUE, percent('s', 'Saturation'), percent('l', 'Lightness')],
    mode: 'hsl',
    keys: ['h', 's', 'l'],
    scale: [1, 100, 100],
  },
  hwb: {
    id: 'hwb',
    name: 'HWB',
    channels: [HUE, percent('w', 'Whiteness'), percent('b', 'Blackness')],
    mode: 'hwb',
    keys: ['h', 'w', 'b'],
    scale: [1, 100, 100],
  },
  hsv: {
    id: 'hsv',
    name: 'HSV',
    channels: [HUE, percent('s', 'Saturation'), percent('v', 'Value')],
    mode: 'hsv',
    keys: ['h', 's', 'v'],
    scale: [1, 100, 100],
  },
  lab: {
    id: 'lab',
    name: 'Lab',
    channels: [
      channel('l', 'Lightness', 0, 100, 3),
      channel('a', 'a, green to red', -125, 125, 3),
      channel('b', 'b, blue to yellow', -125, 125, 3),
    ],
    mode: 'lab',
    keys: ['l', 'a', 'b'],
    scale: UNIT,
  },
  lch: {
    id: 'lch',
    name: 'LCH',
    channels: [channel('l', 'Lightness', 0, 100, 3), channel('c', 'Chroma', 0, 150, 3), HUE],
    mode: 'lch',
    keys: ['l', 'c', 'h'],
    scale: UNIT,
  },
  oklab: {
    id: 'oklab',
    name: 'OKLab',
    channels: [
      channel('l', 'Lightness', 0, 1, 5),
      channel('a', 'a, green to red', -0.4, 0.4, 5),
      channel('b', 'b, blue to yellow', -0.4, 0.4, 5),
    ],
    mode: 'oklab',
    keys: ['l', 'a', 'b'],
    scale: UNIT,
  },
  oklch: {
    id: 'oklch',
    name: 'OKLCH',
    channels: [channel('l', 'Lightness', 0, 1, 5), channel('c', 'Chroma', 0, 0.4, 5), HUE],
    mode: 'oklch',
    keys: ['l', 'c', 'h'],
    scale: UNIT,
  },
  'display-p3': rgbLike('display-p3', 'Display P3', 'p3'),
  'a98-rgb': rgbLike('a98-rgb', 'A98 RGB', 'a98'),
  'prophoto-rgb': rgbLike('prophoto-rgb', 'ProPhoto RGB', 'prophoto'),
  rec2020: rgbLike('rec2020', 'Rec. 2020', 'rec2020'),
  'xyz-d65': xyzLike('xyz-d65', 'XYZ D65', 'xyz65'),
  'xyz-d50': xyzLike('xyz-d50', 'XYZ D50', 'xyz50'),
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

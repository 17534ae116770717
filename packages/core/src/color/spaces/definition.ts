import type { Triple } from '../kernel.ts';

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

export interface ChannelDefinition {
  readonly id: string;
  readonly name: string;
  readonly min: number;
  readonly max: number;
  /** Decimals that keep a round trip within 1/512 of an 8-bit sRGB step. */
  readonly decimals: number;
  readonly unit: '' | '%' | '°';
}

/** How CSS writes colours of a space: by a function of its own, inside `color()`, or not at all. */
export type CssForm =
  | { readonly as: 'function'; readonly name: string; readonly alias?: string }
  | { readonly as: 'color'; readonly aliases?: readonly string[] }
  | { readonly as: 'none' };

/** Where the hue stands among the channels, and when it says nothing (CSS Color 4 §4.4). */
interface HueDefinition {
  readonly at: 0 | 2;
  readonly isPowerless: (coords: Readonly<Triple>) => boolean;
  /** A conversion gives such a hue as missing by itself, and not by {@link isPowerless}. */
  readonly missingByItself: boolean;
}

/** A space that is converted by our own way through XYZ D65, and not by the colour library. */
export interface OwnConversion {
  /** Coordinates in the space's own units. */
  readonly toXyz: (coords: Readonly<Triple>) => Triple;
  readonly fromXyz: (xyz: Readonly<Triple>) => Triple;
}

/** Everything that is particular to a colour space. */
export interface SpaceDefinition {
  readonly id: SpaceId;
  readonly name: string;
  readonly channels: readonly [ChannelDefinition, ChannelDefinition, ChannelDefinition];
  readonly css: CssForm;
  readonly hue: HueDefinition | null;
  /** The space in the colour library: its mode, the names of the channels in our order, and our value over its. */
  readonly library: {
    readonly mode: string;
    readonly keys: readonly [string, string, string];
    readonly scale: readonly [number, number, number];
  };
  readonly own: OwnConversion | null;
}

export const channel = (
  id: string,
  name: string,
  min: number,
  max: number,
  decimals: number,
  unit: ChannelDefinition['unit'] = '',
): ChannelDefinition => ({ id, name, min, max, decimals, unit });

export const HUE = channel('h', 'Hue', 0, 360, 3, '°');
export const percent = (id: string, name: string) => channel(id, name, 0, 100, 3, '%');
export const UNIT = [1, 1, 1] as const;

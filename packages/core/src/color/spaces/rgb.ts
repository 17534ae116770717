import type { Triple } from '../kernel.ts';
import { fromD50, type Matrix, power, times, toD50 } from './d50.ts';
import {
  type CssForm,
  channel,
  type OwnConversion,
  type SpaceDefinition,
  type SpaceId,
  UNIT,
} from './definition.ts';

/** The spaces of red, green and blue. */

const channels = [
  channel('r', 'Red', 0, 1, 5),
  channel('g', 'Green', 0, 1, 5),
  channel('b', 'Blue', 0, 1, 5),
] as const;

const rgbLike = (
  id: SpaceId,
  name: string,
  mode: string,
  own: OwnConversion | null = null,
  css: CssForm = { as: 'color' },
): SpaceDefinition => ({
  id,
  name,
  channels,
  css,
  hue: null,
  library: { mode, keys: ['r', 'g', 'b'], scale: UNIT },
  own,
});

export const srgb = rgbLike('srgb', 'RGB', 'rgb', null, { as: 'function', name: 'rgb', alias: 'rgba' });
export const srgbLinear = rgbLike('srgb-linear', 'Linear RGB', 'lrgb');
export const displayP3 = rgbLike('display-p3', 'Display P3', 'p3');
export const a98Rgb = rgbLike('a98-rgb', 'A98 RGB', 'a98');

const PROPHOTO_TO_XYZ: Matrix = [
  [0.7977666449006423, 0.13518129740053308, 0.0313477341283922],
  [0.2880748288194013, 0.711835234241873, 0.00008993693872564],
  [0, 0, 0.8251046025104602],
];
const XYZ_TO_PROPHOTO: Matrix = [
  [1.3457868816471583, -0.25557208737979464, -0.05110186497554526],
  [-0.5446307051249019, 1.5082477428451468, 0.02052744743642139],
  [0, 0, 1.2119675456389452],
];
const prophotoToLinear = (v: number) => (Math.abs(v) <= 16 / 512 ? v / 16 : power(v, 1.8));
const prophotoFromLinear = (v: number) => (Math.abs(v) >= 1 / 512 ? power(v, 1 / 1.8) : 16 * v);

export const prophotoRgb = rgbLike('prophoto-rgb', 'ProPhoto RGB', 'prophoto', {
  toXyz: (rgb) => fromD50(times(PROPHOTO_TO_XYZ, rgb.map(prophotoToLinear) as Triple)),
  fromXyz: (xyz) => times(XYZ_TO_PROPHOTO, toD50(xyz)).map(prophotoFromLinear) as Triple,
});

const REC2020_TO_XYZ: Matrix = [
  [63426534 / 99577255, 20160776 / 139408157, 47086771 / 278816314],
  [26158966 / 99577255, 472592308 / 697040785, 8267143 / 139408157],
  [0, 19567812 / 697040785, 295819943 / 278816314],
];
const XYZ_TO_REC2020: Matrix = [
  [30757411 / 17917100, -6372589 / 17917100, -4539589 / 17917100],
  [-19765991 / 29648200, 47925759 / 29648200, 467509 / 29648200],
  [792561 / 44930125, -1921689 / 44930125, 42328811 / 44930125],
];

// The colour library has Rec. 2020's older transfer function.
export const rec2020 = rgbLike('rec2020', 'Rec. 2020', 'rec2020', {
  toXyz: (rgb) => times(REC2020_TO_XYZ, rgb.map((v) => power(v, 2.4)) as Triple),
  fromXyz: (xyz) => times(XYZ_TO_REC2020, xyz).map((v) => power(v, 1 / 2.4)) as Triple,
});

import type { Triple } from './kernel.ts';
import type { SpaceId } from './spaces.ts';

/**
 * The spaces that stand on the D50 white, and Rec. 2020, from and to XYZ D65, with the constants of CSS Color 4
 * ("Sample code for color conversions") in full: the colour library rounds them to seven digits, which shows in
 * dark Lab colours, and has Rec. 2020's older transfer function.
 */

type Matrix = readonly [Triple, Triple, Triple];
const times = (m: Matrix, [x, y, z]: Readonly<Triple>): Triple => [
  m[0][0] * x + m[0][1] * y + m[0][2] * z,
  m[1][0] * x + m[1][1] * y + m[1][2] * z,
  m[2][0] * x + m[2][1] * y + m[2][2] * z,
];

const D65_TO_D50: Matrix = [
  [1.0479297925449969, 0.022946870601609652, -0.05019226628920524],
  [0.02962780877005599, 0.9904344267538799, -0.017073799063418826],
  [-0.009243040646204504, 0.015055191490298152, 0.7518742814281371],
];
const D50_TO_D65: Matrix = [
  [0.955473421488075, -0.02309845494876471, 0.06325924320057072],
  [-0.0283697093338637, 1.0099953980813041, 0.021041441191917323],
  [0.012314014864481998, -0.020507649298898964, 1.330365926242124],
];
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
const WHITE_D50: Triple = [0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585];
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

const power = (v: number, exponent: number) => Math.sign(v) * Math.abs(v) ** exponent;
const prophotoToLinear = (v: number) => (Math.abs(v) <= 16 / 512 ? v / 16 : power(v, 1.8));
const prophotoFromLinear = (v: number) => (Math.abs(v) >= 1 / 512 ? power(v, 1 / 1.8) : 16 * v);

function labFromD50(xyz: Triple): Triple {
  const [x, y, z] = xyz.map((v, i) => {
    const ratio = v / WHITE_D50[i]!;
    return ratio > EPSILON ? Math.cbrt(ratio) : (KAPPA * ratio + 16) / 116;
  }) as Triple;
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

function d50FromLab([l, a, b]: Readonly<Triple>): Triple {
  const y = (l + 16) / 116;
  const x = a / 500 + y;
  const z = y - b / 200;
  const back = (f: number) => (f ** 3 > EPSILON ? f ** 3 : (116 * f - 16) / KAPPA);
  return [
    back(x) * WHITE_D50[0],
    (l > KAPPA * EPSILON ? y ** 3 : l / KAPPA) * WHITE_D50[1],
    back(z) * WHITE_D50[2],
  ];
}

function toPolar([l, a, b]: Readonly<Triple>): Triple {
  const hue = (Math.atan2(b, a) * 180) / Math.PI;
  return [l, Math.hypot(a, b), hue < 0 ? hue + 360 : hue];
}

function fromPolar([l, c, h]: Readonly<Triple>): Triple {
  const radians = (h * Math.PI) / 180;
  return [l, c * Math.cos(radians), c * Math.sin(radians)];
}

interface Adapted {
  /** Coordinates in the space's own units. */
  readonly toXyz: (coords: Readonly<Triple>) => Triple;
  readonly fromXyz: (xyz: Readonly<Triple>) => Triple;
}

const toD50 = (xyz: Readonly<Triple>) => times(D65_TO_D50, xyz);
const fromD50 = (xyz: Readonly<Triple>) => times(D50_TO_D65, xyz);

export const ADAPTED: Partial<Record<SpaceId, Adapted>> = {
  'xyz-d50': { toXyz: fromD50, fromXyz: toD50 },
  lab: { toXyz: (lab) => fromD50(d50FromLab(lab)), fromXyz: (xyz) => labFromD50(toD50(xyz)) },
  lch: {
    toXyz: (lch) => fromD50(d50FromLab(fromPolar(lch))),
    fromXyz: (xyz) => toPolar(labFromD50(toD50(xyz))),
  },
  'prophoto-rgb': {
    toXyz: (rgb) => fromD50(times(PROPHOTO_TO_XYZ, rgb.map(prophotoToLinear) as Triple)),
    fromXyz: (xyz) => times(XYZ_TO_PROPHOTO, toD50(xyz)).map(prophotoFromLinear) as Triple,
  },
  rec2020: {
    toXyz: (rgb) => times(REC2020_TO_XYZ, rgb.map((v) => power(v, 2.4)) as Triple),
    fromXyz: (xyz) => times(XYZ_TO_REC2020, xyz).map((v) => power(v, 1 / 2.4)) as Triple,
  },
};

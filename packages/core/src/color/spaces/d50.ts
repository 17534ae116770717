import type { Triple } from '../kernel.ts';

/**
 * XYZ on the D50 white from and to XYZ on D65, with the constants of CSS Color 4 ("Sample code for color
 * conversions") in full: the colour library rounds them to seven digits, which shows in dark Lab colours.
 */

export type Matrix = readonly [Triple, Triple, Triple];

export const times = (m: Matrix, [x, y, z]: Readonly<Triple>): Triple => [
  m[0][0] * x + m[0][1] * y + m[0][2] * z,
  m[1][0] * x + m[1][1] * y + m[1][2] * z,
  m[2][0] * x + m[2][1] * y + m[2][2] * z,
];

/** A power that keeps the sign of its base. */
export const power = (v: number, exponent: number) => Math.sign(v) * Math.abs(v) ** exponent;

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

export const toD50 = (xyz: Readonly<Triple>): Triple => times(D65_TO_D50, xyz);
export const fromD50 = (xyz: Readonly<Triple>): Triple => times(D50_TO_D65, xyz);

import { oklchToRgb8, rgb8ToOklch } from '../color/gamut.ts';
import type { Triple } from '../color/kernel.ts';
import { NO_SHIFT, type RelationRow } from '../document/relatives/relatives.ts';
import { membersOf } from '../harmony/relations.ts';
import { clamp01 } from '../numbers/clamp.ts';
import { paint } from './painted.ts';

export interface Member {
  readonly r: number;
  readonly g: number;
  readonly b: number;
  /** OKLCH as it is meant; sRGB may not reach its chroma. */
  readonly oklch: Readonly<Triple>;
}

/** The source as OKLCH, its hue kept also where it is dark or grey. */
export const sourceOklch = (source: string): Triple => {
  const { r, g, b } = paint(source);
  return rgb8ToOklch(r, g, b);
};

/** The members of a row, the source first, in the version that is shown. */
export function relativesOf(source: string, row: RelationRow): Member[] {
  const { r, g, b } = paint(source);
  const oklch = sourceOklch(source);
  const [, ...others] = membersOf(oklch, row.relation, row);
  const shifted = others.map(([l, c, h], i): Member => {
    const { turn, lightness, chroma } = (row.showsOwn && row.own[i]) || NO_SHIFT;
    const moved: Triple = [clamp01(l + lightness), Math.max(0, c + chroma), (((h + turn) % 360) + 360) % 360];
    const [mr, mg, mb] = oklchToRgb8(...moved);
    return { r: mr, g: mg, b: mb, oklch: moved };
  });
  return [{ r, g, b, oklch }, ...shifted];
}

import { fromRgb8 } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';
import { between } from './relations.ts';

/** A colour mixed towards white (tint), mid-grey (tone) or black (shade). */
export interface Mixed {
  readonly kind: 'tint' | 'tone' | 'shade';
  /** How much of the other it has, 0–1. */
  readonly part: number;
  readonly color: Color;
}

const PARTS = [0.25, 0.5, 0.75] as const;
const OTHERS: readonly (readonly [Mixed['kind'], Color])[] = [
  ['tint', fromRgb8(255, 255, 255)],
  // L* 50, the grey that colours are judged on.
  ['tone', fromRgb8(119, 119, 119)],
  ['shade', fromRgb8(0, 0, 0)],
];

/** Three tints, three tones and three shades of a colour, each with a quarter, a half and three quarters of the other, mixed in OKLab. */
export const tintsOf = (c: Color): Mixed[] =>
  OTHERS.flatMap(([kind, other]) => PARTS.map((part) => ({ kind, part, color: between(c, other, part) })));

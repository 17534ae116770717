import type { Grounds, SeenColors } from '../../contrast/over-colors.ts';
import type { Rgba } from '../../contrast/ratio.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import type { Area } from '../../gradient/area.ts';

/** What a pair comes to in one theme. */
export interface Measurement {
  readonly pair: Pair;
  readonly theme: string;
  /** The colours as painted, composited; null when either link is broken. */
  readonly text: Rgba | null;
  readonly ground: Rgba | null;
  /** Ratio 1–21, at the worst place where the ground is not one colour; 0 when a link is broken. */
  readonly ratio: number;
  /** 3, 4.5 or 7; 1 for a pair that is exempt. */
  readonly required: number;
  readonly passes: boolean;
  /** What the text stands on where that is not one role's colour; null else. */
  readonly over: OverArea | null;
  /** Whether the pixels of the picture under it are not there yet, so that nothing is known. */
  readonly awaited: boolean;
}

/** A text over what is not one colour, or in more than one. */
export interface OverArea {
  /** As it is painted under the text, with its veil. */
  readonly grounds: Grounds;
  /** The same without the veil; null where there is no gradient or picture under it. */
  readonly bare: UnderText | null;
  /** The share of the area on which the text falls short, 0–1. */
  readonly failing: number;
  /** Middle of the worst pixel: px of the gradient's box, or of the picture. */
  readonly worst: { readonly x: number; readonly y: number };
  /** Where on the line of the gradient that paints its ground, or else itself, it is worst, in percent; null where none does. */
  readonly along: number | null;
  /** What it was measured from, the roles' own colours aside: the same objects for as long as they are the same. */
  readonly sources: {
    readonly under: object | null;
    readonly ground: object | null;
    readonly text: object | null;
  };
}

/** The colours of a backdrop under a text. */
export interface UnderText {
  readonly seen: SeenColors;
  /** What the text covers of the gradient's box, or of the picture, px. */
  readonly area: Area;
  /** What they come of: the same object for as long as they are the same. */
  readonly source: object;
}

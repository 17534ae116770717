import type { Area } from '../../gradient/area.ts';

/** What lies on the ground of a pair under its text, other than one colour. */
export type Backdrop =
  /** A gradient painted in a box of so many CSS px, and the part of the box that the text covers. */
  | {
      readonly kind: 'gradient';
      readonly gradient: string;
      readonly width: number;
      readonly height: number;
      readonly text: Area;
    }
  /** The part of a picture that the text covers, in px of the picture. */
  | { readonly kind: 'picture'; readonly picture: string; readonly text: Area };

/** px of a side of a gradient's box, at most. */
export const LONGEST_BOX = 4096;

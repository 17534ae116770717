import type { Target } from '../../contrast/targets.ts';
import type { PaletteStrategy } from '../../picture/strategies.ts';

/** A reference image of the project. Its bytes are kept aside, once for the same content, under their hash. */
export interface Picture {
  readonly id: string;
  readonly name: string;
  /** SHA-256 of the file as it is kept, in hex. */
  readonly content: string;
  /** px, as it is shown. */
  readonly width: number;
  readonly height: number;
  readonly markers: readonly Marker[];
  /** The colours of its palettes that the designer took from other places. */
  readonly moved: readonly MovedColor[];
  readonly textOver: TextOver | null;
}

/** Sides in px that a sampled square can have. */
export const SIDES = [1, 3, 5, 11, 31, 51, 101] as const;
export type AreaSide = (typeof SIDES)[number];

/** A place in a picture, in whole px from its top left corner, and the square around it that is averaged. */
export interface PixelPlace {
  readonly x: number;
  readonly y: number;
  readonly side: AreaSide;
}

/** A place that is being sampled. Its number is its place in the list of markers. */
export interface Marker extends PixelPlace {
  readonly id: string;
}

/** A colour of a palette, by its place in the row: it is taken from a place of the designer's own. */
export interface MovedColor extends PixelPlace {
  readonly leaning: PaletteStrategy;
  /** Colours of the palette, 2–16. */
  readonly size: number;
  /** Which of them, from 0. */
  readonly index: number;
}

/** A text tried on a picture: its colour, the region that it would lie over in px, and what it must reach. */
export interface TextOver {
  readonly color: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly target: Target;
}

export const MOST_PICTURES = 100;
export const MOST_MARKERS = 200;
export const MOST_MOVED = 200;
/** px of the longer side of a picture, at most: what JPEG can hold. */
export const LONGEST_SIDE = 65_535;

export const isSameColor = (
  a: Omit<MovedColor, keyof PixelPlace>,
  b: Omit<MovedColor, keyof PixelPlace>,
): boolean => a.leaning === b.leaning && a.size === b.size && a.index === b.index;

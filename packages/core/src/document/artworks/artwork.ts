import type { Link } from '../links/link.ts';

/** One's own drawing or page, whose colours are linked to the project's. */
export interface Artwork {
  readonly id: string;
  readonly name: string;
  readonly kind: 'drawing' | 'page';
  /** SVG or HTML in its own colours, cleaned. */
  readonly content: string;
  /**
   * What its colours are painted with instead, by what they are called in it: a drawing's colour as CSS writes it, a page's
   * custom property, or a colour with what it paints there. Others stay as they are.
   */
  readonly links: Readonly<Record<string, Link>>;
}

export const MOST_ARTWORKS = 24;
/** Colours of one that are linked. */
export const MOST_ART_COLORS = 256;

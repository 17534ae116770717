import type { Link } from '../links/link.ts';

/** One's own drawing, whose colours are linked to the project's. */
export interface Artwork {
  readonly id: string;
  readonly name: string;
  /** The drawing in its own colours, cleaned. */
  readonly svg: string;
  /** What its colours are painted with instead, by the colour as CSS writes it; others stay as they are. */
  readonly links: Readonly<Record<string, Link>>;
}

export const MOST_ARTWORKS = 24;
/** Colours of one that are linked. */
export const MOST_ART_COLORS = 128;

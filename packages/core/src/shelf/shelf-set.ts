import type { Growth } from '../family/grow.ts';

/** What a set brings along, by its kind. */
export type SetContent =
  | { readonly kind: 'palette'; readonly colors: readonly PaletteEntry[] }
  | {
      readonly kind: 'family';
      readonly base: string;
      readonly growth: Growth;
      readonly handSet: Readonly<Record<string, string>>;
    }
  /** A gradient of plain colours, as CSS. */
  | { readonly kind: 'gradient'; readonly css: string }
  /** A whole system, as the CSS that Mint Lamp exports. */
  | { readonly kind: 'system'; readonly css: string };

export interface PaletteEntry {
  readonly name: string;
  readonly color: string;
}

/** A set as it is given to the shelf. */
export interface NewSet {
  readonly name: string;
  /** Words that it is found by, with spaces between them. */
  readonly words: string;
  readonly content: SetContent;
  /** Colours to show it by and to find it by, opaque. */
  readonly colors: readonly string[];
}

export const MOST_SET_COLORS = 64;
export const MOST_PALETTE = 200;
export const MOST_WORDS = 200;
/** Characters of CSS. */
export const MOST_SET_CSS = 300_000;

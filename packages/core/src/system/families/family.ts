import type { Growth } from '../../family/grow.ts';

/** A base colour and the recipe by which its shades grow from it. */
export interface Family {
  readonly id: string;
  readonly name: string;
  readonly base: string;
  readonly growth: Growth;
  /** Colours of shades changed by hand, by label. */
  readonly handSet: Readonly<Record<string, string>>;
}

export const MOST_FAMILIES = 128;
/** Shades of one family, as growing allows. */
export const LEAST_SHADES = 3;
export const MOST_SHADES = 24;
/** Hand-set colours may outlive their labels, so there can be more of them than shades. */
export const MOST_HAND_SET = 100;

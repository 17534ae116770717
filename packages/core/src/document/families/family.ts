import { MOST_LABEL } from '../limits.ts';
import type { Following } from '../links/following.ts';
import type { FamilyGrowth } from '../links/growth-ground.ts';

/** A base colour and the recipe by which its shades grow from it. */
export interface Family {
  readonly id: string;
  readonly name: string;
  /** Its own colour. While it follows other families, what of it is not theirs, or what it was before. */
  readonly base: string;
  /** How its base follows the bases of others; null when it is its own. */
  readonly follows: Following | null;
  readonly growth: FamilyGrowth;
  /** Colours of shades changed by hand, by label. */
  readonly handSet: Readonly<Record<string, string>>;
}

export const MOST_FAMILIES = 128;
/** Hand-set colours may outlive their labels, so there can be more of them than shades. */
export const MOST_HAND_SET = 100;

/** Whether a text can be the label of a shade: one short line, and none of the names that every object has. */
export const isLabel = (text: string): boolean =>
  text.trim() === text &&
  text.length > 0 &&
  text.length <= MOST_LABEL &&
  !/[\p{Cc}\p{Cs}]/u.test(text) &&
  !(text in Object.prototype);

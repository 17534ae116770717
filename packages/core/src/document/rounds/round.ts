/** How a round of proposals goes by earlier ones. */
export const WAYS = ['fresh', 'like', 'away', 'mix'] as const;
export type Way = (typeof WAYS)[number];

/** The recipe of a round of proposals: the same recipe makes the same proposals, whatever became of the project. */
export interface Round {
  readonly id: string;
  readonly seed: number;
  /** Colours in each proposal, kept ones included. */
  readonly count: number;
  /** How far proposals may stray from what is there, 0–1. */
  readonly stray: number;
  /** Opaque colours that stay as they are. */
  readonly kept: readonly string[];
  /** Families whose bases are free, with the base that each had. */
  readonly free: readonly FreeFamily[];
  readonly way: Way;
  /** The proposals that it goes by, as their colours: none, one, or two for a mix. */
  readonly of: readonly (readonly string[])[];
}

export interface FreeFamily {
  readonly family: string;
  readonly base: string;
}

export const MOST_ROUNDS = 60;
/** Colours that are kept, and families that are free, at most. */
export const MOST_KEPT = 64;
export const MOST_FREE = 128;
/** Colours in a proposal, at most. */
export const MOST_PROPOSED = 200;
export const MOST_SEED = 2_147_483_647;

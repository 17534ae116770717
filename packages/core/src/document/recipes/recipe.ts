import type { FamilyGrowth } from '../links/growth-ground.ts';

/** A growth that the project keeps under a name, to apply it to families. */
export interface KeptRecipe {
  readonly id: string;
  readonly name: string;
  readonly growth: FamilyGrowth;
}

export const MOST_RECIPES = 64;

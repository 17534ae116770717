import type { Stored } from '../stored.ts';
import { family } from './families.ts';

/**
 * A document of version 3 as one of version 4, which can have pictures, relatives, rounds of proposals, recipes and
 * notes, and families that follow others.
 */
export const document = (old: Stored): Stored => ({
  ...old,
  version: 4,
  families: (old.families as Stored[]).map(family),
  pictures: [],
  relatives: { source: null, rows: [] },
  rounds: [],
  recipes: [],
  notes: [],
});

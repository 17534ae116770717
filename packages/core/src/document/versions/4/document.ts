import type { Form } from '../form.ts';
import { family } from './families.ts';

/**
 * A document of version 3 as one of version 4, which can have pictures, relatives, rounds of proposals, recipes and
 * notes, and families that follow others.
 */
export const document = (old: Form): Form => ({
  ...old,
  version: 4,
  families: (old.families as Form[]).map(family),
  pictures: [],
  relatives: { source: null, rows: [] },
  rounds: [],
  recipes: [],
  notes: [],
});

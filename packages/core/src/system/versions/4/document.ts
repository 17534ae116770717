import type { Form } from '../form.ts';

/** A document of version 3 as one of version 4, which can have pictures, relatives and rounds of proposals. Commands are as they were. */
export const document = (old: Form): Form => ({
  ...old,
  version: 4,
  pictures: [],
  relatives: { source: null, rows: [] },
  rounds: [],
});

import type { Stored } from '../stored.ts';

/**
 * A document of version 4 as one of version 5: a project has words for its samples, and keeps which suggested pairs were
 * declined. What pairs can have since then may be left out.
 */
export const document = (old: Stored): Stored => ({
  ...old,
  version: 5,
  words: { text: null, action: null },
  declined: [],
});

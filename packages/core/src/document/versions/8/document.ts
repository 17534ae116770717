import type { Stored } from '../stored.ts';

/** A document of version 7 as one of version 8, in which it is kept what is chosen at Deliver: the usual. */
export const document = (old: Stored): Stored => ({
  ...old,
  version: 8,
  delivery: {
    leftOut: { family: [], role: [], theme: [], gradient: [] },
    choices: {},
    pack: ['css', 'tokens', 'page'],
    copied: 'hex',
  },
});

import type { Stored } from '../stored.ts';

/**
 * A document of version 5 as one of version 6, in which gradients can paint roles, lie in groups and be favourites. All of
 * that may be left out.
 */
export const document = (old: Stored): Stored => ({ ...old, version: 6 });

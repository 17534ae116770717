import type { Stored } from '../stored.ts';

/** A document of version 8 as one of version 9, in which roles may know what they were in a style sheet. */
export const document = (old: Stored): Stored => ({ ...old, version: 9 });

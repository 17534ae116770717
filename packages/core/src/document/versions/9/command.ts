import type { Stored } from '../stored.ts';

/** A command of version 8 as one of version 9: none has changed, one has come. */
export const command = (old: Stored): Stored => old;

import type { Stored } from '../stored.ts';

/** A command of version 6 as one of version 7: none has changed, some have come. */
export const command = (old: Stored): Stored => old;

import type { Stored } from '../stored.ts';

/** A command of version 7 as one of version 8: none has changed, some have come. */
export const command = (old: Stored): Stored => old;

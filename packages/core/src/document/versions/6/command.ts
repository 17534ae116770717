import type { Stored } from '../stored.ts';

/** A command of version 5 as one of version 6: none has changed, some have come. */
export const command = (old: Stored): Stored => old;

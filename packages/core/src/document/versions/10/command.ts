import type { Stored } from '../stored.ts';

/** A command of version 9 as one of version 10: none has changed; notes may say whose they are. */
export const command = (old: Stored): Stored => old;

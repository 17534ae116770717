import type { Stored } from '../stored.ts';

/** A colour of the tray with the group and the time that it has since version 3. */
export const swatch = (old: Stored): Stored => ({ ...old, group: '', added: 0 });

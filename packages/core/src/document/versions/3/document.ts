import type { Stored } from '../stored.ts';
import { swatch } from './swatches.ts';

/** A document of version 2 as one of version 3: colours of the tray lie in groups, and know when they came. */
export const document = (old: Stored): Stored => ({
  ...old,
  version: 3,
  tray: (old.tray as Stored[]).map(swatch),
});

import type { Stored } from '../stored.ts';
import { swatch } from './swatches.ts';

/** A command of version 2 as one of version 3. */
export function command(old: Stored): Stored {
  if (old.type === 'addSwatch') return { ...old, swatch: swatch(old.swatch as Stored) };
  if (old.type === 'batch') return { ...old, commands: (old.commands as Stored[]).map(command) };
  return old;
}

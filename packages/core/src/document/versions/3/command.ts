import type { Form } from '../form.ts';
import { swatch } from './swatches.ts';

/** A command of version 2 as one of version 3. */
export function command(old: Form): Form {
  if (old.type === 'addSwatch') return { ...old, swatch: swatch(old.swatch as Form) };
  if (old.type === 'batch') return { ...old, commands: (old.commands as Form[]).map(command) };
  return old;
}

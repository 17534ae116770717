import type { Form } from '../form.ts';
import { family, growth } from './families.ts';

/** A command of version 3 as one of version 4. */
export function command(old: Form): Form {
  if (old.type === 'addFamily') return { ...old, family: family(old.family as Form) };
  if (old.type === 'setGrowth') return { ...old, growth: growth(old.growth as Form) };
  if (old.type === 'batch') return { ...old, commands: (old.commands as Form[]).map(command) };
  return old;
}

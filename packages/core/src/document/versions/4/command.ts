import type { Stored } from '../stored.ts';
import { family, growth } from './families.ts';

/** A command of version 3 as one of version 4. */
export function command(old: Stored): Stored {
  if (old.type === 'addFamily') return { ...old, family: family(old.family as Stored) };
  if (old.type === 'setGrowth') return { ...old, growth: growth(old.growth as Stored) };
  if (old.type === 'batch') return { ...old, commands: (old.commands as Stored[]).map(command) };
  return old;
}

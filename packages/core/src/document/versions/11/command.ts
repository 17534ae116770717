import type { Stored } from '../stored.ts';
import { note } from './notes.ts';

/** A command of version 10 as one of version 11. */
export function command(old: Stored): Stored {
  if (old.type === 'addNote') return { ...old, note: note(old.note as Stored) };
  if (old.type === 'batch') return { ...old, commands: (old.commands as Stored[]).map(command) };
  return old;
}

import type { Stored } from '../stored.ts';
import { note } from './notes.ts';

/** A document of version 10 as one of version 11, in which notes are answered. */
export const document = (old: Stored): Stored => ({
  ...old,
  version: 11,
  notes: (old.notes as Stored[]).map(note),
});

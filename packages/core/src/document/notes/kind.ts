import { kindOf } from '../kind.ts';
import type { Note } from './note.ts';
import { type NoteCommand, type NoteLists, noteSteps, noteWords } from './note-commands.ts';
import { noteSchemas } from './note-schema.ts';

export const notes = kindOf<{ readonly notes: readonly Note[] }, NoteCommand, NoteLists>()({
  empty: { notes: [] },
  steps: noteSteps,
  words: noteWords,
  schemas: noteSchemas,
  compared: {
    notes: {
      as: 'whole',
      title: 'Notes',
      add: (note, index) => ({ type: 'addNote', note, index }),
      remove: (note) => ({ type: 'removeNote', note }),
    },
  },
});

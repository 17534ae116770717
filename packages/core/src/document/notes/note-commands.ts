import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, replaced, without } from '../commands/lists.ts';
import { type NotedNames, notedName } from '../naming/note-name.ts';
import { MOST_NOTES, type Note } from './note.ts';

/** What of a note can be changed. */
export type NoteChange = Partial<Pick<Note, 'text' | 'settled'> & { readonly forClient: boolean }>;

/** What these commands look at. */
export interface NoteLists extends NotedNames {
  readonly notes: readonly Note[];
}

export type NoteCommand =
  | { readonly type: 'addNote'; readonly note: Note; readonly index?: number }
  | { readonly type: 'removeNote'; readonly note: string }
  | { readonly type: 'setNote'; readonly note: string; readonly change: NoteChange };

export const noteSteps: StepsOf<NoteCommand, NoteLists> = {
  addNote(doc, { note, index }) {
    return [
      { notes: inserted(doc.notes, note, index, MOST_NOTES, 'note') },
      { type: 'removeNote', note: note.id },
    ];
  },

  removeNote(doc, { note }) {
    const index = indexOf(doc.notes, note, 'note');
    return [{ notes: without(doc.notes, index) }, { type: 'addNote', note: doc.notes[index]!, index }];
  },

  setNote(doc, { note, change }) {
    const index = indexOf(doc.notes, note, 'note');
    const old = doc.notes[index]!;
    const { forClient, ...plain } = change;
    const { forClient: was = false, ...rest } = old;
    const meant = forClient ?? was;
    const back: NoteChange = {
      ...(forClient === undefined ? {} : { forClient: was }),
      ...(change.text === undefined ? {} : { text: old.text }),
      ...(change.settled === undefined ? {} : { settled: old.settled }),
    };
    return [
      { notes: replaced(doc.notes, index, { ...rest, ...plain, ...(meant ? { forClient: true } : {}) }) },
      { type: 'setNote', note, change: back },
    ];
  },
};

export const noteWords: WordsOf<NoteCommand, NoteLists> = {
  addNote: (doc, { note }) => `write a note on ${notedName(doc, note.on) ?? 'something that is gone'}`,
  removeNote: () => 'remove a note',
  setNote: (_, { change }) =>
    change.settled === undefined
      ? change.forClient === undefined
        ? 'change a note'
        : `${change.forClient ? 'mean' : 'no longer mean'} a note for the client`
      : change.settled
        ? 'settle a note'
        : 'open a note again',
};

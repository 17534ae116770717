import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, replaced, without } from '../commands/lists.ts';
import { Refusal } from '../commands/refusal.ts';
import { type NotedNames, notedName } from '../naming/note-name.ts';
import { MOST_ANSWERS, MOST_NOTES, type Note, type Said } from './note.ts';

/** Words said otherwise; whom they name goes with them, and is left out for nobody. */
interface OtherWords extends Pick<Said, 'mentions'> {
  readonly text: string;
}

/** What of a note can be changed. */
export type NoteChange = Partial<OtherWords & Pick<Note, 'settled'> & { readonly forClient: boolean }>;

/** What these commands look at. */
export interface NoteLists extends NotedNames {
  readonly notes: readonly Note[];
}

export type NoteCommand =
  | { readonly type: 'addNote'; readonly note: Note; readonly index?: number }
  | { readonly type: 'removeNote'; readonly note: string }
  | { readonly type: 'setNote'; readonly note: string; readonly change: NoteChange }
  | { readonly type: 'answerNote'; readonly note: string; readonly answer: Said; readonly index?: number }
  | { readonly type: 'removeAnswer'; readonly note: string; readonly answer: string }
  | ({ readonly type: 'setAnswer'; readonly note: string; readonly answer: string } & OtherWords);

const wordsOf = ({ text, mentions }: OtherWords): OtherWords => ({
  text,
  ...(mentions === undefined ? {} : { mentions }),
});

/** What was said, in other words. */
function saying<S extends Said>({ mentions: _, ...said }: S, words: OtherWords) {
  return { ...said, ...wordsOf(words) };
}

/** The notes with the answers of one of them otherwise. */
function answered(notes: readonly Note[], index: number, answers: readonly Said[]): Note[] {
  return replaced(notes, index, { ...notes[index]!, answers });
}

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
    const { text, mentions, settled = old.settled, forClient = old.forClient === true } = change;
    const said = text === undefined ? old : saying(old, wordsOf({ text, ...(mentions && { mentions }) }));
    const { forClient: _, ...rest } = said;
    const back: NoteChange = {
      ...(text === undefined ? {} : wordsOf(old)),
      ...(change.settled === undefined ? {} : { settled: old.settled }),
      ...(change.forClient === undefined ? {} : { forClient: old.forClient === true }),
    };
    return [
      { notes: replaced(doc.notes, index, { ...rest, settled, ...(forClient ? { forClient } : {}) }) },
      { type: 'setNote', note, change: back },
    ];
  },

  answerNote(doc, { note, answer, index }) {
    const at = indexOf(doc.notes, note, 'note');
    const before = doc.notes[at]!.answers;
    if (before.length >= MOST_ANSWERS)
      throw new Refusal(`A note holds at most ${MOST_ANSWERS} answers. Write a new one.`);
    const answers = inserted(before, answer, index, MOST_ANSWERS, 'answer');
    return [{ notes: answered(doc.notes, at, answers) }, { type: 'removeAnswer', note, answer: answer.id }];
  },

  removeAnswer(doc, { note, answer }) {
    const at = indexOf(doc.notes, note, 'note');
    const { answers } = doc.notes[at]!;
    const index = indexOf(answers, answer, 'answer');
    return [
      { notes: answered(doc.notes, at, without(answers, index)) },
      { type: 'answerNote', note, answer: answers[index]!, index },
    ];
  },

  setAnswer(doc, { note, answer, ...words }) {
    const at = indexOf(doc.notes, note, 'note');
    const { answers } = doc.notes[at]!;
    const index = indexOf(answers, answer, 'answer');
    const old = answers[index]!;
    return [
      { notes: answered(doc.notes, at, replaced(answers, index, saying(old, words))) },
      { type: 'setAnswer', note, answer, ...wordsOf(old) },
    ];
  },
};

/** What a note is on, in words, by the note's id. */
function onWhat(doc: NoteLists, id: string): string {
  const note = doc.notes.find((one) => one.id === id);
  return (note && notedName(doc, note.on)) ?? 'something that was removed';
}

export const noteWords: WordsOf<NoteCommand, NoteLists> = {
  addNote: (doc, { note }) => `write a note on ${notedName(doc, note.on) ?? 'something that was removed'}`,
  removeNote: () => 'remove a note',
  setNote: (_, { change }) =>
    change.settled === undefined
      ? change.forClient === undefined
        ? 'change a note'
        : `${change.forClient ? 'mean' : 'no longer mean'} a note for the client`
      : change.settled
        ? 'resolve a note'
        : 'reopen a note',
  answerNote: (doc, { note }) => `answer a note on ${onWhat(doc, note)}`,
  removeAnswer: () => 'remove an answer',
  setAnswer: () => 'change an answer',
};

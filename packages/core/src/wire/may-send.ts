import type { Command, SimpleCommand } from '../document/commands/command.ts';
import type { Note, Said } from '../document/notes/note.ts';
import { type Access, mayDo } from './access.ts';

/** Somebody who sends commands, and what they may do with the project. */
export interface Sender {
  /** Null for nobody who is signed in: what the server itself sends for whoever has a share. */
  readonly id: string | null;
  readonly access: Access;
}

/** The commands that a command is, those of a batch one by one. */
const partsOf = (command: Command): readonly SimpleCommand[] =>
  command.type === 'batch' ? command.commands : [command];

/** A note or an answer, as a command says it. */
export interface SaidBefore extends Pick<Said, 'id' | 'author' | 'text'> {
  readonly kind: 'note' | 'answer';
}

/** What a command says in all: notes with the answers that they come with, and answers. */
const saidBy = (part: SimpleCommand): SaidBefore[] => {
  const one = (kind: SaidBefore['kind'], { id, author, text }: Said): SaidBefore => ({
    kind,
    id,
    text,
    ...(author === undefined ? {} : { author }),
  });
  if (part.type === 'answerNote') return [one('answer', part.answer)];
  if (part.type !== 'addNote') return [];
  return [one('note', part.note), ...part.note.answers.map((answer) => one('answer', answer))];
};

/**
 * What a command says under the name of somebody else, as taking back a removal does. What nobody signed is anybody's who
 * edits; whoever does not edit brings such an answer back with their note, and no other.
 */
export const wordsOfOthers = ({ id, access }: Sender, command: Command): SaidBefore[] =>
  partsOf(command)
    .flatMap(saidBy)
    .filter(({ author }) => (author === undefined ? !mayDo(access, 'edit') : author !== id));

/** Why a single command may not be made; `notes` are those that are there before it. */
function whyNotOne({ id, access }: Sender, notes: readonly Note[], command: SimpleCommand): string | null {
  const edits = mayDo(access, 'edit');
  const noteOf = (note: string) => notes.find((one) => one.id === note);
  const answerOf = (note: string, answer: string) => noteOf(note)?.answers.find((one) => one.id === answer);
  // Whoever wrote it, and of what nobody signed whoever edits.
  const isOwn = (said: Said | undefined) => (said?.author === undefined ? edits : said.author === id);
  switch (command.type) {
    case 'addNote':
      return edits || command.note.author === id ? null : 'You write notes under your own name only.';
    case 'setNote': {
      const own = isOwn(noteOf(command.note));
      if (command.change.text !== undefined && !own) return 'Only who wrote a note changes its words.';
      if (command.change.forClient !== undefined && !own && !edits)
        return 'Only who wrote a note, or an editor, means it for the client.';
      return null;
    }
    case 'removeNote':
      return edits || noteOf(command.note)?.author === id ? null : 'You remove your own notes only.';
    case 'answerNote':
      return edits || command.answer.author === id ? null : 'You answer under your own name only.';
    case 'setAnswer':
      return isOwn(answerOf(command.note, command.answer))
        ? null
        : 'Only who wrote an answer changes its words.';
    case 'removeAnswer':
      return edits || answerOf(command.note, command.answer)?.author === id
        ? null
        : 'You remove your own answers only.';
    default:
      return edits ? null : 'You may write notes in this project, and not change it.';
  }
}

/** The notes after a command, as far as that tells whose they are. */
function notesAfter(notes: readonly Note[], command: SimpleCommand): readonly Note[] {
  if (command.type === 'addNote') return [...notes, command.note];
  if (command.type !== 'answerNote') return notes;
  return notes.map((note) =>
    note.id === command.note ? { ...note, answers: [...note.answers, command.answer] } : note,
  );
}

/**
 * Why somebody may not make a command, in words; null where they may. Whether words of somebody else were really theirs
 * is to be asked of the log (`wordsOfOthers`).
 */
export function whyNotFrom(sender: Sender, notes: readonly Note[], command: Command): string | null {
  let before = notes;
  for (const part of partsOf(command)) {
    const why = whyNotOne(sender, before, part);
    if (why) return why;
    before = notesAfter(before, part);
  }
  return null;
}

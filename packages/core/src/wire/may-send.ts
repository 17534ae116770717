import type { Command, SimpleCommand } from '../document/commands/command.ts';
import type { Note } from '../document/notes/note.ts';
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

/** Notes that a command adds under the name of somebody else, as taking back their removal does. */
export const notesOfOthers = ({ id }: Pick<Sender, 'id'>, command: Command): Note[] =>
  partsOf(command).flatMap((part) =>
    part.type === 'addNote' && part.note.author !== undefined && part.note.author !== id ? [part.note] : [],
  );

/** Why a single command may not be made; `notes` are those that are there before it. */
function whyNotOne({ id, access }: Sender, notes: readonly Note[], command: SimpleCommand): string | null {
  const edits = mayDo(access, 'edit');
  const authorOf = (note: string) => notes.find((one) => one.id === note)?.author;
  switch (command.type) {
    case 'addNote':
      return edits || command.note.author === id ? null : 'You write notes under your own name only.';
    case 'setNote': {
      const author = authorOf(command.note);
      // Whoever wrote it, and of one that nobody signed whoever edits.
      const own = author === undefined ? edits : author === id;
      if (command.change.text !== undefined && !own) return 'Only who wrote a note changes its words.';
      if (command.change.forClient !== undefined && !own && !edits)
        return 'Only who wrote a note, or an editor, means it for the client.';
      return null;
    }
    case 'removeNote':
      return edits || authorOf(command.note) === id ? null : 'You remove your own notes only.';
    default:
      return edits ? null : 'You may write notes in this project, and not change it.';
  }
}

/**
 * Why somebody may not make a command, in words; null where they may. Whether a note of somebody else was really theirs
 * is to be asked of the log (`notesOfOthers`).
 */
export function whyNotFrom(sender: Sender, notes: readonly Note[], command: Command): string | null {
  let before = notes;
  for (const part of partsOf(command)) {
    const why = whyNotOne(sender, before, part);
    if (why) return why;
    if (part.type === 'addNote') before = [...before, part.note];
  }
  return null;
}

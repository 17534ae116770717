import { type NotedNames, notedName } from '@mint-lamp/core/document/naming/note-name';
import type { Note, Said } from '@mint-lamp/core/document/notes/note';
import { type NotedKind, notedKind } from './notable-things.ts';

/** Which notes are wanted. */
export interface NoteFilters {
  readonly state: 'open' | 'settled' | 'all';
  /** What they are on; empty for anything. */
  readonly on: NotedKind | '';
  /** Whoever wrote or answered them, as `authorKey` has it; empty for anybody. */
  readonly by: string;
  /** Whom they are for; empty for anybody. */
  readonly to: 'client' | 'team' | 'me' | '';
  readonly find: string;
}

/** One text for whoever said something: by their id, or what they call themselves. */
export const authorKey = ({ author, by }: Said): string =>
  author === undefined ? `by ${by.trim()}` : `id ${author}`;

const namesMe = ({ mentions }: Said, me: string | null) => me !== null && mentions?.includes(me) === true;

/** The notes that are wanted, open ones first, and of those the one in which something was said last. */
export function filteredNotes(
  notes: readonly Note[],
  names: NotedNames,
  { state, on, by, to, find }: NoteFilters,
  me: string | null,
): Note[] {
  const words = find.trim().toLowerCase();
  const fits = (note: Note) => {
    const all: readonly Said[] = [note, ...note.answers];
    if (state !== 'all' && note.settled !== (state === 'settled')) return false;
    if (on && notedKind(note.on) !== on) return false;
    if (by && !all.some((said) => authorKey(said) === by)) return false;
    if (to === 'client' && !note.forClient) return false;
    if (to === 'team' && note.forClient) return false;
    if (to === 'me' && !all.some((said) => namesMe(said, me))) return false;
    return (
      !words ||
      all.some(({ text }) => text.toLowerCase().includes(words)) ||
      (notedName(names, note.on) ?? '').toLowerCase().includes(words)
    );
  };
  const lastSaid = ({ at, answers }: Note) => Math.max(at, ...answers.map((answer) => answer.at));
  return notes
    .filter(fits)
    .sort((a, b) => Number(a.settled) - Number(b.settled) || lastSaid(b) - lastSaid(a));
}

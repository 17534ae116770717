import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Note, Said } from '@mint-lamp/core/document/notes/note';
import { useMemo, useState } from 'react';

/** What is said between the client and those who made a share. */
export interface Conversation {
  readonly notes: readonly Note[];
  add(note: Note): void;
  addAnswer(note: string, answer: Said): void;
}

const without = <T extends { readonly id: string }>(list: readonly T[], known: readonly T[]) =>
  list.filter(({ id }) => !known.some((one) => one.id === id));

/** The notes of a share; what was just sent is seen before the page has looked again. */
export function useConversation({ notes }: ProjectDocument): Conversation {
  const [sent, setSent] = useState<readonly Note[]>([]);
  const [answers, setAnswers] = useState<readonly { readonly note: string; readonly answer: Said }[]>([]);
  const all = useMemo(
    () =>
      [...notes, ...without(sent, notes)].map((note) => {
        const own = answers.filter((one) => one.note === note.id).map(({ answer }) => answer);
        return { ...note, answers: [...note.answers, ...without(own, note.answers)] };
      }),
    [notes, sent, answers],
  );
  return {
    notes: all,
    add: (note) => setSent((before) => [...before, note]),
    addAnswer: (note, answer) => setAnswers((before) => [...before, { note, answer }]),
  };
}

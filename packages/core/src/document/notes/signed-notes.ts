import type { Note, Said } from './note.ts';

/** What a server knows as who somebody is; null where it does not know them any more. */
export type NameOf = (author: string) => string | null;

/** Something said, with its author in words and nobody by an id. */
function signed<S extends Said>({ author, mentions: _, ...said }: S, nameOf: NameOf) {
  return author === undefined ? said : { ...said, by: nameOf(author) ?? said.by };
}

const namesNobody = ({ author, mentions }: Said) => author === undefined && mentions === undefined;

/**
 * A document whose notes and answers say in words who wrote them, for files that leave the server: an id says nothing
 * there, and is somebody else's nowhere. Whom they name stands in their words. The same document where there is no id.
 */
export function withSignedNotes<D extends { readonly notes: readonly Note[] }>(
  document: D,
  nameOf: NameOf,
): D {
  if (document.notes.every((note) => namesNobody(note) && note.answers.every(namesNobody))) return document;
  return {
    ...document,
    notes: document.notes.map((note) => ({
      ...signed(note, nameOf),
      answers: note.answers.map((answer) => signed(answer, nameOf)),
    })),
  };
}

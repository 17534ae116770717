import type { Note } from './note.ts';

/** What a server knows as who somebody is; null where it does not know them any more. */
export type NameOf = (author: string) => string | null;

/**
 * A document whose notes say in words who wrote them, for files that leave the server: an id says nothing there, and is
 * somebody else's nowhere. The same document where nobody was signed in.
 */
export function withSignedNotes<D extends { readonly notes: readonly Note[] }>(
  document: D,
  nameOf: NameOf,
): D {
  if (!document.notes.some(({ author }) => author !== undefined)) return document;
  return {
    ...document,
    notes: document.notes.map(({ author, ...note }) =>
      author === undefined ? note : { ...note, by: nameOf(author) ?? note.by },
    ),
  };
}

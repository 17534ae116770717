import type { NameOf } from '@mint-lamp/core/document/notes/signed-notes';
import { useCallback } from 'react';
import { personOfPage } from '../person/person.ts';
import { useOnProjectQuery } from './project-people-api.ts';

/** The names of who has written in a project, by their ids; null for those who are gone. */
export function useNameOf(projectId: string): NameOf {
  // Of the one person of a demo's computer nothing is to be told apart.
  const { data } = useOnProjectQuery(projectId, { skip: personOfPage() === null });
  return useCallback((author) => data?.people.find(({ id }) => id === author)?.name ?? null, [data]);
}

/** The same as they are told to whoever is here; null where nobody is to be told apart. */
export function useNames(projectId: string): (author: string | null | undefined) => string | null {
  const nameOf = useNameOf(projectId);
  return useCallback(
    (author) => {
      if (author === null || author === undefined || personOfPage() === null) return null;
      return author === personOfPage() ? 'You' : (nameOf(author) ?? 'Somebody who has left');
    },
    [nameOf],
  );
}

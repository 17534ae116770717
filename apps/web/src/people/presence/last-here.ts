import { keptFor } from '../../person/person.ts';
import { lasting } from '../../storing/storage.ts';

/** The revision of a project that whoever has this page saw last, in this browser. */

const keyOf = (project: string) => `${keptFor('seen')}${project}`;

export function lastSeen(project: string): number | null {
  const kept = lasting.read(keyOf(project));
  const revision = kept === null ? Number.NaN : Number(kept);
  return Number.isInteger(revision) && revision >= 0 ? revision : null;
}

export const rememberSeen = (project: string, revision: number): void => {
  lasting.write(keyOf(project), String(revision));
};

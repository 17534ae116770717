import { keptFor } from '../person/person.ts';
import { keptKeys, letGo, readKept, rename } from './kept-entries.ts';

/** Where commands that are to be sent are kept; see `unsent.ts`. */
export const PREFIX = keptFor('unsent');
/** Where what could not be read or sent is kept, so that nothing is lost for good. */
const ASIDE = keptFor('set-aside');

/** An edit that could not be read, or that the server did not take. */
export interface SetAsideEdit {
  readonly key: string;
  readonly projectId: string;
  /** What it was, as far as that can be told. */
  readonly name: string;
  /** All of it, as it is kept. */
  readonly text: string;
}

/** `returned`: the id of the edit that is to be tried again. */
type Listener = (projectId: string, returned: string | null) => void;

const listeners = new Set<Listener>();
const changed = (projectId: string, returned: string | null = null) => {
  for (const tell of listeners) tell(projectId, returned);
};
const projectOf = (key: string) => key.slice(ASIDE.length).split('/')[0]!;

/** Calls back when something was set aside, taken up again or let go. Returns the way to stop. */
export function watchSetAside(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Moves a kept command out of the way of the others. One that cannot be moved stays, and nothing of it is lost. */
export function setAside(key: string): void {
  if (rename(key, ASIDE + key.slice(PREFIX.length))) changed(key.slice(PREFIX.length).split('/')[0]!);
}

export const countSetAside = (projectId: string): number =>
  keptKeys().filter((key) => key.startsWith(`${ASIDE}${projectId}/`)).length;

/** Everything that was set aside, the oldest first. */
export async function listSetAside(): Promise<SetAsideEdit[]> {
  const found = keptKeys().filter((key) => key.startsWith(ASIDE));
  if (!found.length) return [];
  const { nameOfKept } = await import('./kept-commands.ts');
  return found.sort().map((key) => {
    const text = readKept(key) ?? '';
    return { key, projectId: projectOf(key), name: nameOfKept(text), text };
  });
}

/** Puts an edit back among those that are to be sent; whoever has its project open sends it. */
export function tryAgain({ key, projectId }: SetAsideEdit): void {
  if (rename(key, PREFIX + key.slice(ASIDE.length))) changed(projectId, key.slice(key.lastIndexOf('/') + 1));
}

export function letGoOfSetAside({ key, projectId }: SetAsideEdit): void {
  letGo(key);
  changed(projectId);
}

import type { Command } from '@mint-lamp/core/document/commands/command';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { SentCommand } from '@mint-lamp/core/wire/projects';
import { countOfPage, keep, keptKeys, letGo, readKept as readKeptText } from './kept-entries.ts';
import { PREFIX, setAside } from './set-aside.ts';

/** A command on its way to the server. */
export type UnsentCommand = SentCommand;

/** A command as it is kept. Before schema version 2 it was kept bare. */
interface Kept {
  readonly form: number;
  readonly command: Command;
}

/**
 * Commands that the server has not confirmed, one entry each in the browser's storage, so that they outlive
 * the tab. Entries are sorted by their key: time, then a running number. Tabs share them: a tab that opens a
 * project takes on what a closed one left, and since the server knows each command by its id, two tabs
 * sending the same one is harmless.
 */
let counter = 0;
const keys = new Map<string, string>();

/** Keeps a command. False when the browser's storage does not take it: it is kept as long as this page then. */
export function rememberUnsent(projectId: string, { id, command }: UnsentCommand): boolean {
  counter += 1;
  const order = `${Date.now().toString(36).padStart(9, '0')}-${counter.toString(36).padStart(5, '0')}`;
  const key = `${PREFIX}${projectId}/${order}/${id}`;
  const kept: Kept = { form: DOCUMENT_VERSION, command };
  keys.set(id, key);
  return keep(key, JSON.stringify(kept));
}

export function forgetUnsent(projectId: string, id: string): void {
  const known = keys.get(id);
  keys.delete(id);
  if (known) letGo(known);
  else for (const key of unsentKeys(projectId)) if (key.endsWith(`/${id}`)) letGo(key);
}

/** How many commands of a project are kept by this page alone, and are lost when it is closed. */
export const keptByPageAlone = (projectId: string): number => countOfPage(`${PREFIX}${projectId}/`);

/** Moves an unsent command out of the way of the others, so that it is not lost for good. */
export function setAsideUnsent(projectId: string, id: string): void {
  for (const key of unsentKeys(projectId)) if (key.endsWith(`/${id}`)) setAside(key);
  keys.delete(id);
}

function unsentKeys(projectId: string): string[] {
  const prefix = `${PREFIX}${projectId}/`;
  return keptKeys()
    .filter((key) => key.startsWith(prefix))
    .sort();
}

/** Commands that lie longer than this belong to no tab that could send them: it is closed, asleep or cut off. */
const LIES_AFTER_MS = 3000;

const idOf = (key: string) => key.slice(key.lastIndexOf('/') + 1);
/** When a command was kept, ms since 1970; NaN for a key that says nothing of it. */
const keptAt = (key: string) => Number.parseInt(key.slice(PREFIX.length).split('/')[1]!.slice(0, 9), 36);

/** What waits for a project, without looking into it. */
export interface WaitingForProject {
  readonly projectId: string;
  readonly edits: number;
  /** When the last of them was made, ms since 1970; NaN when that is not known. */
  readonly latest: number;
}

/** The projects that something waits for. */
export function waitingProjects(): WaitingForProject[] {
  const found = new Map<string, WaitingForProject>();
  for (const key of keptKeys().filter((one) => one.startsWith(PREFIX))) {
    const projectId = key.slice(PREFIX.length).split('/')[0]!;
    const { edits, latest } = found.get(projectId) ?? { edits: 0, latest: 0 };
    found.set(projectId, { projectId, edits: edits + 1, latest: Math.max(latest, keptAt(key)) });
  }
  return [...found.values()];
}

/** Lets everything go that waits for a project, for good. */
export function letGoOfUnsent(projectId: string): void {
  for (const key of unsentKeys(projectId)) letGo(key);
}

/**
 * Calls back when commands of other tabs, for a project or for any, have lain long enough to be taken on. Returns
 * the way to stop.
 */
export function watchLeftBehind(found: () => void, projectId = ''): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const look = ({ key, newValue }: StorageEvent) => {
    if (!key?.startsWith(PREFIX + projectId) || newValue === null) return;
    clearTimeout(timer);
    timer = setTimeout(found, LIES_AFTER_MS + 100);
  };
  addEventListener('storage', look);
  return () => {
    clearTimeout(timer);
    removeEventListener('storage', look);
  };
}

export interface Unsent {
  readonly commands: readonly UnsentCommand[];
  /** What was found and could not be read, in words; it has been set aside. */
  readonly setAside: readonly string[];
}

/** What waits for a project, migrated to today's schema and checked; what cannot be is set aside and named. */
export async function readUnsent(projectId: string): Promise<Unsent> {
  return readEntries(unsentKeys(projectId));
}

/** What other tabs have left lying for a project, apart from commands that are known here. */
export async function readLeftBehind(projectId: string, known: (id: string) => boolean): Promise<Unsent> {
  const before = Date.now() - LIES_AFTER_MS;
  // A key that says nothing of its time has lain for long.
  return readEntries(unsentKeys(projectId).filter((key) => !known(idOf(key)) && !(keptAt(key) > before)));
}

async function readEntries(found: readonly string[]): Promise<Unsent> {
  const commands: UnsentCommand[] = [];
  const names: string[] = [];
  if (!found.length) return { commands, setAside: names };
  const { readKept } = await import('./kept-commands.ts');
  for (const key of found) {
    const text = readKeptText(key);
    if (text === null) continue;
    const id = idOf(key);
    const result = readKept(text);
    if (result.ok) {
      keys.set(id, key);
      commands.push({ id, command: result.command });
    } else {
      setAside(key);
      names.push(result.name);
    }
  }
  return { commands, setAside: names };
}

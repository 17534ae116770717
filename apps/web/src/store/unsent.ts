import type { Command } from '@mint-lamp/core/system/commands/command';
import { DOCUMENT_VERSION } from '@mint-lamp/core/system/document';
import type { SentCommand } from '@mint-lamp/core/wire/projects';
import { lasting } from './storage.ts';

/** A command on its way to the server. */
export type UnsentCommand = SentCommand;

/** A command as it is kept. Before version 2 of the form it was kept bare. */
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
const PREFIX = 'mint-lamp/unsent/';
/** What could not be read is moved here, so that nothing is lost for good. */
const ASIDE = 'mint-lamp/set-aside/';

let counter = 0;
const keys = new Map<string, string>();

export function rememberUnsent(projectId: string, { id, command }: UnsentCommand): boolean {
  counter += 1;
  const order = `${Date.now().toString(36).padStart(9, '0')}-${counter.toString(36).padStart(5, '0')}`;
  const key = `${PREFIX}${projectId}/${order}/${id}`;
  const kept: Kept = { form: DOCUMENT_VERSION, command };
  if (!lasting.write(key, JSON.stringify(kept))) return false;
  keys.set(id, key);
  return true;
}

export function forgetUnsent(projectId: string, id: string): void {
  const known = keys.get(id);
  keys.delete(id);
  if (known) lasting.remove(known);
  else for (const key of unsentKeys(projectId)) if (key.endsWith(`/${id}`)) lasting.remove(key);
}

function unsentKeys(projectId: string): string[] {
  const prefix = `${PREFIX}${projectId}/`;
  return lasting
    .keys()
    .filter((key) => key.startsWith(prefix))
    .sort();
}

/** Ids of the projects that something waits for. */
export function projectsWaiting(): string[] {
  const ids = lasting
    .keys()
    .filter((key) => key.startsWith(PREFIX))
    .map((key) => key.slice(PREFIX.length).split('/')[0]!);
  return [...new Set(ids)];
}

export interface Unsent {
  readonly commands: readonly UnsentCommand[];
  /** What was found and could not be read, in words; it has been set aside. */
  readonly setAside: readonly string[];
}

/** What waits for a project, brought up to today's form and checked; what cannot be is set aside and named. */
export async function readUnsent(projectId: string): Promise<Unsent> {
  const found = unsentKeys(projectId);
  const commands: UnsentCommand[] = [];
  const setAside: string[] = [];
  if (!found.length) return { commands, setAside };
  const { readKept } = await import('./kept-commands.ts');
  for (const key of found) {
    const text = lasting.read(key);
    if (text === null) continue;
    const id = key.slice(key.lastIndexOf('/') + 1);
    const result = readKept(text);
    if (result.ok) {
      keys.set(id, key);
      commands.push({ id, command: result.command });
    } else {
      lasting.write(ASIDE + key.slice(PREFIX.length), text);
      lasting.remove(key);
      setAside.push(result.name);
    }
  }
  return { commands, setAside };
}

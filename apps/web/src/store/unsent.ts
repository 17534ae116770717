import type { Command } from '@mint-lamp/core/system/commands/command';

/** A command on its way to the server. */
export interface UnsentCommand {
  readonly id: string;
  readonly command: Command;
}

/**
 * Commands that the server has not confirmed, one entry each in the browser's storage, so that they outlive
 * the tab. Entries are sorted by their key: time, then a running number. Tabs share them: a tab that opens a
 * project takes on what a closed one left, and since the server knows each command by its id, two tabs
 * sending the same one is harmless.
 */
const PREFIX = 'mint-lamp/unsent/';

let counter = 0;
const keys = new Map<string, string>();

export function rememberUnsent(projectId: string, { id, command }: UnsentCommand): boolean {
  counter += 1;
  const order = `${Date.now().toString(36).padStart(9, '0')}-${counter.toString(36).padStart(5, '0')}`;
  const key = `${PREFIX}${projectId}/${order}/${id}`;
  try {
    localStorage.setItem(key, JSON.stringify(command));
    keys.set(id, key);
    return true;
  } catch {
    return false;
  }
}

export function forgetUnsent(projectId: string, id: string): void {
  const known = keys.get(id);
  keys.delete(id);
  if (known) localStorage.removeItem(known);
  else for (const key of unsentKeys(projectId)) if (key.endsWith(`/${id}`)) localStorage.removeItem(key);
}

function unsentKeys(projectId: string): string[] {
  const prefix = `${PREFIX}${projectId}/`;
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(prefix))
    .sort();
}

/** Ids of the projects that something waits for. */
export function projectsWaiting(): string[] {
  const ids = Object.keys(localStorage)
    .filter((key) => key.startsWith(PREFIX))
    .map((key) => key.slice(PREFIX.length).split('/')[0]!);
  return [...new Set(ids)];
}

export function readUnsent(projectId: string): UnsentCommand[] {
  return unsentKeys(projectId).flatMap((key) => {
    const text = localStorage.getItem(key);
    if (!text) return [];
    const id = key.slice(key.lastIndexOf('/') + 1);
    keys.set(id, key);
    return [{ id, command: JSON.parse(text) as Command }];
  });
}

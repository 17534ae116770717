import type { Command } from '@mint-lamp/core/system/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/system/document';

export interface ProjectPreview {
  readonly families: readonly { readonly name: string; readonly shades: readonly string[] }[];
  readonly themes: readonly { readonly name: string; readonly colors: readonly string[] }[];
}

export interface ListedProject {
  readonly id: string;
  readonly name: string;
  readonly updatedAt: string;
  readonly preview: ProjectPreview;
}

export interface LoadedProject {
  readonly id: string;
  readonly revision: number;
  readonly document: ProjectDocument;
}

export interface LoggedCommand {
  readonly id: string;
  readonly revision: number;
  readonly command: Command;
}

export interface CommitResult {
  readonly revision: number;
  readonly outcomes: readonly { readonly id: string; readonly status: string; readonly reason?: string }[];
  readonly entries: readonly LoggedCommand[];
}

/** An answer of the server that is not a success; `status` 0 means that there was no answer at all. */
export class ServerError extends Error {
  override name = 'ServerError';
  readonly status: number;
  readonly code: string;
  readonly path: string;
  constructor(status: number, code: string, message: string, path: string) {
    super(message);
    this.status = status;
    this.code = code;
    this.path = path;
  }
  /** Waiting and trying again may help. */
  get away(): boolean {
    return this.status === 0 || this.status >= 500;
  }
}

async function ask<T>(method: string, address: string, body?: unknown): Promise<T> {
  const init: RequestInit = { method };
  if (body !== undefined) {
    init.body = JSON.stringify(body);
    init.headers = { 'content-type': 'application/json' };
  }
  let response: Response;
  try {
    response = await fetch(`/api${address}`, init);
  } catch {
    throw new ServerError(0, 'UNREACHABLE', 'The server does not answer.', '');
  }
  if (response.status === 204) return undefined as T;
  const answer = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  const error = answer?.error ?? {};
  throw new ServerError(
    response.status,
    error.code ?? 'UNKNOWN',
    error.message ?? 'The server answered with an error.',
    error.path ?? '',
  );
}

export const listProjects = () => ask<{ projects: ListedProject[] }>('GET', '/projects');
export const createProject = (name: string) => ask<LoadedProject>('POST', '/projects', { name });
export const removeProject = (id: string) => ask<void>('DELETE', `/projects/${id}`);
export const loadProject = (id: string) => ask<LoadedProject>('GET', `/projects/${id}`);
export const loadEntries = (id: string, after: number) =>
  ask<{ entries: LoggedCommand[] }>('GET', `/projects/${id}/entries?after=${after}`);
export const sendCommands = (
  id: string,
  revision: number,
  commands: readonly { id: string; command: Command }[],
) => ask<CommitResult>('POST', `/projects/${id}/commands`, { revision, commands });

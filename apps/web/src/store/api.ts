import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { NewSet } from '@mint-lamp/core/shelf/shelf-set';
import type { Checkpoint, CheckpointList, LoadedCheckpoint } from '@mint-lamp/core/wire/checkpoints';
import type { ErrorAnswer, ErrorCode } from '@mint-lamp/core/wire/errors';
import { FORM_HEADER, FORM_WITHOUT_HEADER } from '@mint-lamp/core/wire/form';
import type { KeptAnswer, LibraryAnswer } from '@mint-lamp/core/wire/pictures';
import type {
  CommitAnswer,
  ListedProject,
  LoadedProject,
  ProjectNews,
  RemovedAnswer,
  SentCommand,
} from '@mint-lamp/core/wire/projects';
import type { ShelfPage, ShelfSet } from '@mint-lamp/core/wire/shelf';

/** An answer of the server that is not a success; `status` 0 means that there was no answer at all. */
export class ServerError extends Error {
  override name = 'ServerError';
  readonly status: number;
  readonly code: ErrorCode | 'UNREACHABLE' | 'UNKNOWN';
  readonly path: string;
  constructor(status: number, code: ServerError['code'], message: string, path: string) {
    super(message);
    this.status = status;
    this.code = code;
    this.path = path;
  }
  /** Waiting and trying again may help. */
  get away(): boolean {
    return !this.outdated && (this.status === 0 || this.status >= 500);
  }
  /** This page is older than the server; loading it anew helps. */
  get outdated(): boolean {
    return this.code === 'PAGE_OUTDATED';
  }
}

/** How long an answer is waited for, ms; then the server counts as away. */
const PATIENCE_MS = 30_000;
/** The same where the server has to fetch something itself first. */
const LONG_PATIENCE_MS = 120_000;

async function ask<T>(method: string, address: string, body?: unknown, patience = PATIENCE_MS): Promise<T> {
  const headers: Record<string, string> = { [FORM_HEADER]: String(DOCUMENT_VERSION) };
  const init: RequestInit = { method, headers, signal: AbortSignal.timeout(patience) };
  if (body !== undefined) {
    init.body = JSON.stringify(body);
    headers['content-type'] = 'application/json';
  }
  let response: Response;
  try {
    response = await fetch(`/api${address}`, init);
  } catch {
    throw unreachable();
  }
  if (response.status === 204) return undefined as T;
  const answer = await response.json().catch(() => null);
  // It was broken off on its way.
  if (response.ok && answer === null) throw unreachable();
  if (response.ok) {
    // A server that is being replaced by this page's own may still be the one before.
    if (Number(response.headers.get(FORM_HEADER) ?? FORM_WITHOUT_HEADER) < DOCUMENT_VERSION)
      throw new ServerError(503, 'SERVER_OUTDATED', 'The server is older than this page.', '');
    return answer as T;
  }
  throw faultOf(response.status, answer as ErrorAnswer | null);
}

const unreachable = () => new ServerError(0, 'UNREACHABLE', 'The server does not answer.', '');

/** What an answer that is not a success says. */
function faultOf(status: number, answer: ErrorAnswer | null): ServerError {
  const { code, message, path } = answer?.error ?? {};
  return new ServerError(
    status,
    code ?? 'UNKNOWN',
    message ?? 'The server answered with an error.',
    path ?? '',
  );
}

/** Sends a file, which only this way of asking tells the progress of; 0–1. */
export function keepPicture(
  id: string,
  file: Blob,
  onProgress: (share: number) => void,
): Promise<KeptAnswer> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', `/api/projects/${id}/pictures`);
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.responseType = 'json';
    // A large file may take long; one that does not move any more is given up.
    let still: ReturnType<typeof setTimeout> | undefined;
    const moved = () => {
      clearTimeout(still);
      still = setTimeout(() => request.abort(), LONG_PATIENCE_MS);
    };
    request.upload.onprogress = ({ loaded, total }) => {
      moved();
      onProgress(total ? loaded / total : 0);
    };
    request.onloadend = () => clearTimeout(still);
    request.onload = () =>
      request.status === 201 ? resolve(request.response) : reject(faultOf(request.status, request.response));
    request.onerror = () => reject(unreachable());
    request.onabort = () => reject(unreachable());
    moved();
    request.send(file);
  });
}

export const fetchPicture = (id: string, address: string) =>
  ask<KeptAnswer>('POST', `/projects/${id}/pictures/fetched`, { address }, LONG_PATIENCE_MS);
export const listLibrary = () => ask<LibraryAnswer>('GET', '/library');
/** Where the browser finds the file of a picture; a small one with `small`. */
export const pictureAddress = (id: string, content: string, small = false) =>
  `/api/projects/${id}/pictures/${content}${small ? '/small' : ''}`;

export function listShelf(
  { words, near, order, only }: { words: string; near: string | null; order: string; only: string },
  after: string | null,
): Promise<ShelfPage> {
  const query = new URLSearchParams({
    words,
    order,
    only,
    ...(near ? { near } : {}),
    ...(after ? { after } : {}),
  });
  return ask<ShelfPage>('GET', `/shelf?${query}`);
}
export const publishSet = (set: NewSet) => ask<ShelfSet>('POST', '/shelf', set);
export const takeBackSet = (id: string) => ask<void>('DELETE', `/shelf/${id}`);
export const favourSet = (id: string, on: boolean) => ask<void>('PUT', `/shelf/${id}/favour`, { on });
export const countAdopted = (id: string) => ask<void>('POST', `/shelf/${id}/adopted`);

export const listProjects = () => ask<{ projects: ListedProject[] }>('GET', '/projects');
export const createProject = (name: string) => ask<LoadedProject>('POST', '/projects', { name });
export const removeProject = (id: string) => ask<void>('DELETE', `/projects/${id}`);
export const listRemoved = () => ask<RemovedAnswer>('GET', '/projects/removed');
export const bringBack = (id: string) => ask<void>('POST', `/projects/removed/${id}/back`);
export const letGoForGood = (id: string) => ask<void>('DELETE', `/projects/removed/${id}`);
export const loadProject = (id: string) => ask<LoadedProject>('GET', `/projects/${id}`);
export const loadNews = (id: string, after: number) =>
  ask<ProjectNews>('GET', `/projects/${id}/news?after=${after}`);
export const sendCommands = (id: string, revision: number, commands: readonly SentCommand[]) =>
  ask<CommitAnswer>('POST', `/projects/${id}/commands`, { revision, commands });

export const listCheckpoints = (id: string) => ask<CheckpointList>('GET', `/projects/${id}/checkpoints`);
export const saveCheckpoint = (id: string, name: string, revision: number) =>
  ask<Checkpoint>('POST', `/projects/${id}/checkpoints`, { name, revision });
export const loadCheckpoint = (id: string, checkpoint: string) =>
  ask<LoadedCheckpoint>('GET', `/projects/${id}/checkpoints/${checkpoint}`);
export const renameCheckpoint = (id: string, checkpoint: string, name: string) =>
  ask<Checkpoint>('PUT', `/projects/${id}/checkpoints/${checkpoint}`, { name });
export const removeCheckpoint = (id: string, checkpoint: string) =>
  ask<void>('DELETE', `/projects/${id}/checkpoints/${checkpoint}`);

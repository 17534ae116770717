import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { PERSON_HEADER } from '@mint-lamp/core/wire/access';
import type { ErrorAnswer, ErrorCode } from '@mint-lamp/core/wire/errors';
import { SCHEMA_VERSION_HEADER, VERSION_WITHOUT_HEADER } from '@mint-lamp/core/wire/schema-version';
import { personOfPage } from '../person/person.ts';

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

/** What a request says of whose page it is of. */
export function ofThisPerson(): Readonly<Record<string, string>> {
  const person = personOfPage();
  return person === null ? {} : { [PERSON_HEADER]: person };
}

/** Why the server does not take this page for who it is of. */
export type TurnedAway = 'nobody' | 'somebody else';
const listeners = new Set<(why: TurnedAway) => void>();

/** Calls back when the server says that nobody is signed in, or somebody else; returns the way to stop. */
export function onTurnedAway(listener: (why: TurnedAway) => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

export function turnedAway({ code }: ServerError): void {
  const why = code === 'NOT_SIGNED_IN' ? 'nobody' : code === 'OTHER_PERSON' ? 'somebody else' : null;
  if (why) for (const listener of listeners) listener(why);
}

/** How long an answer is waited for, ms; then the server counts as away. */
const PATIENCE_MS = 30_000;
/** The same where the server has to fetch something itself first. */
export const LONG_PATIENCE_MS = 120_000;

/** Asks the server, and resolves to its answer. Throws a ServerError for everything else. */
export async function ask<T>(
  method: string,
  address: string,
  body?: unknown,
  patience = PATIENCE_MS,
): Promise<T> {
  const headers: Record<string, string> = {
    [SCHEMA_VERSION_HEADER]: String(DOCUMENT_VERSION),
    ...ofThisPerson(),
  };
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
    if (Number(response.headers.get(SCHEMA_VERSION_HEADER) ?? VERSION_WITHOUT_HEADER) < DOCUMENT_VERSION)
      throw new ServerError(503, 'SERVER_OUTDATED', 'The server is older than this page.', '');
    return answer as T;
  }
  const fault = faultOf(response.status, answer as ErrorAnswer | null);
  turnedAway(fault);
  throw fault;
}

export const unreachable = () => new ServerError(0, 'UNREACHABLE', 'The server does not answer.', '');

/** What an answer that is not a success says. */
export function faultOf(status: number, answer: ErrorAnswer | null): ServerError {
  const { code, message, path } = answer?.error ?? {};
  return new ServerError(
    status,
    code ?? 'UNKNOWN',
    message ?? 'The server answered with an error.',
    path ?? '',
  );
}

import { readFile } from 'node:fs/promises';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { SCHEMA_VERSION_HEADER } from '@mint-lamp/core/wire/schema-version';
import { Fault } from './fault.ts';

/** A project as it was found, and what there is to know of it. */
export interface Source {
  readonly document: ProjectDocument;
  /** Revision on the server; null for a file. */
  readonly revision: number | null;
}

const ADDRESS = /^(https?:\/\/[^/]+)\/(?:api\/projects|p)\/([\da-f-]{36})/i;
const PATIENCE_MS = 30_000;

/** A place without the checkpoint that stands behind it: `skerry.mintlamp#As handed over`. */
export function splitPlace(place: string): { readonly at: string; readonly checkpoint: string | null } {
  const mark = place.lastIndexOf('#');
  return mark < 0
    ? { at: place, checkpoint: null }
    : { at: place.slice(0, mark), checkpoint: place.slice(mark + 1) };
}

/** The address of a project's API; null for a file. */
export function apiOf(place: string): string | null {
  const found = ADDRESS.exec(place);
  return found ? `${found[1]}/api/projects/${found[2]!.toLowerCase()}` : null;
}

/** Asks a server; throws a Fault where there is no good answer. */
export async function asked<T>(address: string): Promise<T> {
  let answer: Response;
  try {
    answer = await fetch(address, {
      headers: { [SCHEMA_VERSION_HEADER]: String(DOCUMENT_VERSION) },
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
  } catch {
    throw new Fault(`${address} does not answer.`);
  }
  const body = (await answer.json().catch(() => null)) as { error?: { message?: string } } | null;
  if (!answer.ok) throw new Fault(`${address}: ${body?.error?.message ?? `status ${answer.status}`}`);
  return body as T;
}

async function fromServer(api: string, checkpoint: string | null): Promise<Source> {
  if (checkpoint === null) return asked<Source>(api);
  const { checkpoints } = await asked<{ checkpoints: { id: string; name: string }[] }>(`${api}/checkpoints`);
  const found = checkpoints.find(({ name }) => name === checkpoint);
  if (!found) throw noCheckpoint(checkpoint, checkpoints);
  return asked<Source>(`${api}/checkpoints/${found.id}`);
}

const noCheckpoint = (name: string, known: readonly { readonly name: string }[]) =>
  new Fault(
    `There is no checkpoint "${name}". ${known.length ? `Known are: ${known.map((one) => one.name).join(', ')}.` : 'The project has none.'}`,
  );

async function fromFile(path: string, checkpoint: string | null): Promise<Source> {
  let bytes: Uint8Array;
  try {
    bytes = new Uint8Array(await readFile(path));
  } catch (error) {
    throw new Fault(`${path} cannot be read: ${(error as Error).message}`);
  }
  const { readDocumentText, readProjectFile } = await import('@mint-lamp/core/exchange/project-file');
  // A zip begins with these letters.
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b;
  const read = isZip ? readProjectFile(bytes) : readDocumentText(new TextDecoder().decode(bytes));
  if (!read.ok) throw new Fault(`${path}: ${read.reason}`);
  const { document, checkpoints } = read.project;
  if (checkpoint === null) return { document, revision: null };
  const found = checkpoints.find(({ name }) => name === checkpoint);
  if (!found) throw noCheckpoint(checkpoint, checkpoints);
  return { document: found.document, revision: null };
}

/** Reads a project from a file, or from the address of one on a server; a checkpoint of it behind a `#`. */
export function readSource(place: string): Promise<Source> {
  const { at, checkpoint } = splitPlace(place);
  const api = apiOf(at);
  return api ? fromServer(api, checkpoint) : fromFile(at, checkpoint);
}

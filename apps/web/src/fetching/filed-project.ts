import type { Command } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Checkpoint, CheckpointList, LoadedCheckpoint } from '@mint-lamp/core/wire/checkpoints';
import type { LoadedProject } from '@mint-lamp/core/wire/projects';
import { ask } from './ask.ts';
import { loadProject, sendCommands } from './document-requests.ts';
import { keepPicture, pictureAddress } from './send-picture.ts';

/** What goes to and from the server when a project is written to a file, or read from one. */

/** The checkpoints of a project with what it was then, oldest first. */
export async function loadCheckpoints(
  id: string,
): Promise<{ name: string; at: string; document: ProjectDocument }[]> {
  const { checkpoints } = await ask<CheckpointList>('GET', `/projects/${id}/checkpoints`);
  const out = [];
  for (const checkpoint of [...checkpoints].reverse()) {
    const { name, at, document } = await ask<LoadedCheckpoint>(
      'GET',
      `/projects/${id}/checkpoints/${checkpoint.id}`,
    );
    out.push({ name, at, document });
  }
  return out;
}

/** The bytes of a picture; null where it is not kept any more. */
export async function loadPicture(id: string, content: string): Promise<Uint8Array | null> {
  const answer = await fetch(pictureAddress(id, content));
  if (answer.status === 404) return null;
  if (!answer.ok) throw new Error('A picture of the project could not be fetched.');
  return new Uint8Array(await answer.arrayBuffer());
}

export async function createProject(name: string): Promise<LoadedProject> {
  const { id } = await ask<{ id: string }>('POST', '/projects', { name });
  return loadProject(id);
}

export const removeProject = (id: string) => ask<undefined>('DELETE', `/projects/${id}`);

/** Gives a picture to a project; it has to be kept under the name that documents have for it. */
export async function givePicture(id: string, content: string, bytes: Uint8Array): Promise<void> {
  const kept = await keepPicture(id, new Blob([bytes as BlobPart]), () => {});
  if (kept.content !== content)
    throw new Error('A picture in the file is not the one that the project names; the file was changed.');
}

/** Makes an edit of a project that nobody has open, and returns the revision that it has come to. */
export async function makeEdit(id: string, revision: number, command: Command): Promise<number> {
  const answer = await sendCommands(id, revision, [{ id: crypto.randomUUID(), command }]);
  const [outcome] = answer.outcomes;
  if (outcome?.status === 'refused') throw new Error(outcome.reason);
  return answer.revision;
}

/** Names a revision as it was named elsewhere, and when. */
export const nameRevision = (id: string, revision: number, name: string, at: string) =>
  ask<Checkpoint>('POST', `/projects/${id}/checkpoints`, { name, revision, at });

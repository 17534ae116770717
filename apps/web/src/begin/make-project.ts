import type { SimpleCommand } from '@mint-lamp/core/document/commands/command';
import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import type { LoadedProject } from '@mint-lamp/core/wire/projects';
import { loadProject } from '../fetching/document-requests.ts';
import { makeEdit, removeProject } from '../fetching/filed-project.ts';
import { keepPicture } from '../fetching/send-picture.ts';
import { runJob } from '../jobs/run-job.ts';
import { nameOfFile } from '../store/arriving.ts';
import { newId } from '../store/editing.ts';
import { inPieces } from '../store/parts.ts';
import { gatherTextKey } from '../storing/gather-text.ts';
import { ofTab } from '../storing/storage.ts';
import type { ToBeginWith } from './to-begin-with.ts';

async function withPicture(id: string, file: File): Promise<SimpleCommand> {
  const { content, width, height } = await keepPicture(id, file, () => {});
  const name = nameOfFile(file.name);
  const picture: Picture = {
    id: newId(),
    name,
    content,
    width,
    height,
    markers: [],
    moved: [],
    textOver: null,
  };
  return { type: 'addPicture', picture };
}

/**
 * Fills a project that was just made, and has nothing in it, with what it begins with; its picture comes along, its text
 * lies at Gather. What cannot be finished is let go of. Rejects with a sentence.
 */
export async function fillProject({ id }: Pick<LoadedProject, 'id'>, begin: ToBeginWith): Promise<void> {
  try {
    const { document, revision: first } = await loadProject(id);
    const { commands } = await runJob('beginSystem', { document, given: begin.given });
    const all = begin.picture ? [await withPicture(id, begin.picture), ...commands] : commands;
    let revision = first;
    for (const piece of inPieces({ type: 'batch', label: 'begin', commands: all }))
      revision = await makeEdit(id, revision, piece);
    if (begin.text) ofTab.write(gatherTextKey(id), begin.text);
  } catch (error) {
    await removeProject(id).catch(() => {});
    throw error;
  }
}

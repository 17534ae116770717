import type { SimpleCommand } from '@mint-lamp/core/document/commands/command';
import {
  createProject,
  givePicture,
  makeEdit,
  nameRevision,
  removeProject,
} from '../fetching/filed-project.ts';
import { runJob } from '../jobs/run-job.ts';
import { inPieces } from '../store/parts.ts';

/** Commands in one request, at most, so that none takes the server long. */
const AT_A_TIME = 1000;

function* pieces(commands: readonly SimpleCommand[]) {
  for (let at = 0; at < commands.length; at += AT_A_TIME)
    yield* inPieces({
      type: 'batch',
      label: 'Open a project file',
      commands: commands.slice(at, at + AT_A_TIME),
    });
}

/**
 * Makes a new project of a project file, with its checkpoints and pictures; what was made is let go of where it cannot be
 * finished. Returns its id. Rejects with a sentence.
 */
export async function openProjectFile(file: Blob, say: (progress: string) => void): Promise<string> {
  say('Reading the file …');
  const read = await runJob('readProject', new Uint8Array(await file.arrayBuffer()));
  if (!read.ok) throw new Error(read.reason);
  const { document, checkpoints, pictures } = read.project;
  const made = await createProject(document.name);
  const { id } = made;
  try {
    for (const [i, { content, bytes }] of pictures.entries()) {
      say(`Picture ${i + 1} of ${pictures.length} …`);
      await givePicture(id, content, bytes);
    }
    say('Comparing …');
    const steps = await runJob('projectSteps', { from: made.document, project: { document, checkpoints } });
    let { revision } = made;
    for (const [i, { commands, checkpoint }] of steps.entries()) {
      say(steps.length > 1 ? `State ${i + 1} of ${steps.length} …` : 'Building …');
      for (const piece of pieces(commands)) revision = await makeEdit(id, revision, piece);
      if (checkpoint) await nameRevision(id, revision, checkpoint.name, checkpoint.at);
    }
    return id;
  } catch (error) {
    await removeProject(id).catch(() => {});
    throw error;
  }
}

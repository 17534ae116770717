import type { SimpleCommand } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { commandsBetween } from '@mint-lamp/core/edits/compare/commands-between';
import type { FiledProject } from '@mint-lamp/core/exchange/project-file';
import type { Job } from '../job.ts';

/** What leads from one state to the next, and the name of that, where it has one. */
export interface ProjectStep {
  readonly commands: readonly SimpleCommand[];
  readonly checkpoint: { readonly name: string; readonly at: string } | null;
}

interface StepsInput {
  /** What a new project is. */
  readonly from: ProjectDocument;
  readonly project: Pick<FiledProject, 'document' | 'checkpoints'>;
}

/** The steps by which a new project comes to be the one of a file, with its checkpoints on the way. */
const work: Job<StepsInput, ProjectStep[]> = async ({ from, project }, { yieldTurn, progress }) => {
  const states = [
    ...project.checkpoints.map(({ document, name, at }) => ({ document, checkpoint: { name, at } })),
    { document: project.document, checkpoint: null },
  ];
  const steps: ProjectStep[] = [];
  let before = from;
  for (const { document, checkpoint } of states) {
    await yieldTurn();
    steps.push({ commands: commandsBetween(before, document), checkpoint });
    before = document;
    progress(steps.length / states.length);
  }
  return steps;
};
export default work;

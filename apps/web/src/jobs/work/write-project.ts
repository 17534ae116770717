import { type FiledProject, writeProjectFile } from '@mint-lamp/core/exchange/project-file';
import type { Job } from '../job.ts';

/** A project with its checkpoints and pictures as one file. */
const work: Job<FiledProject, Uint8Array> = (project) => writeProjectFile(project);
export default work;

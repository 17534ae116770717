import { type ReadProject, readProjectFile } from '@mint-lamp/core/exchange/project-file';
import type { Job } from '../job.ts';

/** What is in a project file, or why it is none. */
const work: Job<Uint8Array, ReadProject> = (bytes) => readProjectFile(bytes);
export default work;

import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type ReadBack, readBack } from '@mint-lamp/core/read-back/read-back';
import type { Job } from '../job.ts';

/** What a project would be with what is in a file. */
const work: Job<{ text: string; present: ProjectDocument }, ReadBack> = ({ text, present }) =>
  readBack(text, present, () => crypto.randomUUID());
export default work;

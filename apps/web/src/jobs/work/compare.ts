import { type Differences, differencesBetween } from '@mint-lamp/core/system/compare/differences';
import type { ProjectDocument } from '@mint-lamp/core/system/document';
import type { Job } from '../job.ts';

interface CompareInput {
  readonly before: ProjectDocument;
  readonly after: ProjectDocument;
}

/** What differs between two states of a project. */
const work: Job<CompareInput, Differences> = ({ before, after }) => differencesBetween(before, after);
export default work;

import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type Differences, differencesBetween } from '@mint-lamp/core/edits/compare/differences';
import type { Regions } from '@mint-lamp/core/system/pictures/regions';
import type { Job } from '../job.ts';

interface CompareInput {
  readonly before: ProjectDocument;
  readonly after: ProjectDocument;
  readonly regions: Regions;
}

/** What differs between two states of a project. */
const work: Job<CompareInput, Differences> = ({ before, after, regions }) =>
  differencesBetween(before, after, regions);
export default work;

import { type FoundColor, type MergedColor, mergeTwins } from '@mint-lamp/core/color/find';
import type { Job } from '../job.ts';

/** Found colours with near-twins merged. */
const work: Job<readonly FoundColor[], MergedColor[]> = (found) => mergeTwins(found);
export default work;

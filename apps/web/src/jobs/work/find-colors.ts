import { type FindResult, findColors } from '@mint-lamp/core/color/find';
import type { Job } from '../job.ts';

/** The colours in a text. */
const work: Job<string, FindResult> = (text) => findColors(text);
export default work;

import { cleanSvg, type SvgCleaned } from '@mint-lamp/core/svg/clean-svg';
import type { Job } from '../job.ts';

/** A drawing without what would run, fetch or show something else; or why it cannot be taken. */
const work: Job<string, SvgCleaned> = (text) => cleanSvg(text);
export default work;

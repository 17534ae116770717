import { type FindResult, findColors } from '@mint-lamp/core/color/find';
import { type FoundGradient, findGradients } from '@mint-lamp/core/gradient/find-css';
import type { Job } from '../job.ts';

export interface FoundInText extends FindResult {
  readonly gradients: readonly FoundGradient[];
}

/** The colours and gradients in a text. */
const work: Job<string, FoundInText> = (text) => ({ ...findColors(text), gradients: findGradients(text) });
export default work;

import { cleanPage, type PageCleaned } from '@mint-lamp/core/page/clean-page';
import type { Job } from '../job.ts';

interface CleanPageInput {
  readonly html: string;
  /** The style sheets that it asks for, in their order. */
  readonly sheets: readonly string[];
}

/** A page without what would run, fetch, send or lead elsewhere; or why it cannot be taken. */
const work: Job<CleanPageInput, PageCleaned> = ({ html, sheets }) => cleanPage(html, sheets);
export default work;

import { sheetSummary } from '@mint-lamp/core/sheet/sheet-summary';
import { readSheet } from '@mint-lamp/core/sheet/sheet-system';
import type { Job } from '../job.ts';

/** What a style sheet comes to as a system, in words; null when there is no colour in it. */
const work: Job<string, { summary: string | null }> = (text) => {
  const system = readSheet(text);
  return { summary: system && sheetSummary(system) };
};
export default work;

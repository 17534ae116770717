import { readSheet, type SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import type { Job } from '../job.ts';

/** A style sheet as a colour system; null when there is no colour in it. */
const work: Job<string, SheetSystem | null> = (text) => readSheet(text);
export default work;

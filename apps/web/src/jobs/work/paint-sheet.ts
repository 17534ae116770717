import type { SheetChoice } from '@mint-lamp/core/sheet/adopt';
import { type PaintedSheet, paintSheet } from '@mint-lamp/core/sheet/paint-sheet';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import type { Job } from '../job.ts';

/** The roles of a proposal as the choice paints them. */
const work: Job<{ system: SheetSystem; choice: SheetChoice }, PaintedSheet> = ({ system, choice }) =>
  paintSheet(system, choice);
export default work;

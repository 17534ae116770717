import type { System } from '../../system/resolve.ts';
import { underTexts } from '../pairs/under-text.ts';
import { type Readout, readoutOf } from './readout.ts';

/** The readout of a system with the pairs that are not of one colour measured too. */
export const wholeReadout = (system: System, previous?: Readout): Readout =>
  readoutOf(system, previous, underTexts);

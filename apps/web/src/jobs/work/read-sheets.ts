import { type Movement, movementOf } from '@mint-lamp/core/moving/pair-ratios';
import { joinedSheets, placeOfLine, type SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import { readSheetInParts, type SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import { sheetOf } from '@mint-lamp/core/sheet/written/sheet-of';
import type { Job } from '../job.ts';

interface SheetsInput {
  readonly files: readonly SheetFile[];
  /** How far a colour may move, ΔE OK. */
  readonly farthest: number;
}

export interface SheetsRead {
  /** Null when there is no rule with a colour in them. */
  readonly system: SheetSystem | null;
  readonly movement: Movement | null;
  /** Files that are no sheets, and why. */
  readonly unread: readonly { readonly name: string; readonly reason: string }[];
}

/** Files as one colour system. */
const work: Job<SheetsInput, SheetsRead> = async ({ files, farthest }, { progress, yieldTurn }) => {
  const read = files.map(sheetOf);
  const joined = joinedSheets(read.flatMap((one) => (one.ok ? one.file : [])));
  progress(0.1);
  await yieldTurn();
  const steps = readSheetInParts(joined.text, farthest, (line) => placeOfLine(joined, line));
  let step = steps.next();
  for (; !step.done; step = steps.next()) {
    progress(0.1 + step.value * 0.8);
    await yieldTurn();
  }
  const system = step.value;
  return {
    system,
    movement: system && movementOf(system),
    unread: read.flatMap((one) => (one.ok ? [] : [{ name: one.name, reason: one.reason }])),
  };
};
export default work;

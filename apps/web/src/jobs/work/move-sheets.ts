import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { uniqueNames } from '@mint-lamp/core/exchange/css-names';
import { zipped } from '@mint-lamp/core/exchange/zipped';
import { moveSheets, type Replacement } from '@mint-lamp/core/moving/move-sheets';
import { writeReplacements } from '@mint-lamp/core/moving/replacements-table';
import { adoptSheet, type SheetChoice } from '@mint-lamp/core/sheet/adopt';
import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import { sheetOf } from '@mint-lamp/core/sheet/written/sheet-of';
import { type Job, JobError } from '../job.ts';

interface MoveInput {
  readonly files: readonly SheetFile[];
  readonly document: ProjectDocument;
  readonly system: SheetSystem;
  readonly choice: SheetChoice;
  /** When, ISO 8601. */
  readonly at: string;
}

export interface SheetsMoved {
  readonly replacements: readonly Replacement[];
  /** The list as CSV. */
  readonly table: string;
  /** All files in one zip. */
  readonly zip: Uint8Array;
}

/** Names as CSS, which what was in another language is now; each once. */
function asCss(): (name: string) => string {
  const unique = uniqueNames();
  return (name) => `${unique(name.replace(/\.\w+$/, ''))}.css`;
}

/** Sheets rewritten to use what is taken of them, as it would be if it were taken now. */
const work: Job<MoveInput, SheetsMoved> = ({ files, document, system, choice, at }, { progress }) => {
  let ids = 0;
  const adoption = adoptSheet(document, system, choice, () => `moved-${++ids}`);
  if (!adoption) throw new JobError('Nothing is chosen, so there is nothing to replace.');
  const taken = applyCommand(document, adoption.command);
  if (!taken.ok) throw new JobError(taken.reason);
  progress(0.3);
  const sheets = files.map(sheetOf).flatMap((one) => (one.ok ? one.file : []));
  const moved = moveSheets(sheets, taken.document, system, adoption);
  progress(0.8);
  const table = writeReplacements(moved.replacements);
  const nameOf = asCss();
  const written = [moved.colors, ...moved.files].map(({ name, text }) => ({
    name: nameOf(name),
    content: text,
  }));
  return {
    replacements: moved.replacements,
    table,
    zip: zipped([...written, { name: 'replacements.csv', content: table }], at),
  };
};
export default work;

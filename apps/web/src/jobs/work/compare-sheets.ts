import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type SheetsAgain, sheetsAgain } from '@mint-lamp/core/moving/sheets-again';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import type { Job } from '../job.ts';

interface CompareInput {
  readonly document: ProjectDocument;
  readonly system: SheetSystem;
  /** Names of the sheets. */
  readonly files: readonly string[];
}

/** How sheets differ from what was taken of them before; null where nothing was. */
const work: Job<CompareInput, { again: SheetsAgain | null }> = ({ document, system, files }) => ({
  again: sheetsAgain(document, system, files),
});
export default work;

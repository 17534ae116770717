import type { Command } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type AgainChoice, takeAgain } from '@mint-lamp/core/moving/sheets-again';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import type { Job } from '../job.ts';

interface TakeInput {
  readonly document: ProjectDocument;
  readonly system: SheetSystem;
  readonly choice: AgainChoice;
}

/** The edit that takes some of what sheets that come again have otherwise. */
const work: Job<TakeInput, { command: Command | null }> = ({ document, system, choice }) => ({
  command: takeAgain(document, system, choice, () => crypto.randomUUID()),
});
export default work;

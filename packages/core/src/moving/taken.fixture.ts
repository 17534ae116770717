import { applyCommand } from '../document/commands/apply.ts';
import { commandSchema } from '../document/commands/command-schema.ts';
import { emptyDocument, type ProjectDocument } from '../document/document.ts';
import { type Adoption, adoptSheet, wholeOf } from '../sheet/adopt.ts';
import { joinedSheets, placeOfLine, type SheetFile } from '../sheet/sheet-files.ts';
import { readSheet, type SheetSystem } from '../sheet/sheet-system.ts';

/** Sheets taken whole into an empty project. */
interface Taken {
  readonly files: readonly SheetFile[];
  readonly system: SheetSystem;
  readonly adoption: Adoption;
  readonly document: ProjectDocument;
}

let ids = 0;
export const newId = () => `moved-${++ids}`;

/** A document after an edit that its schema allows. */
export function edited(
  document: ProjectDocument,
  command: Parameters<typeof applyCommand>[1],
): ProjectDocument {
  const { error } = commandSchema.validate(command);
  if (error) throw error;
  const result = applyCommand(document, command);
  if (!result.ok) throw new Error(result.reason);
  return result.document;
}

/** Reads sheets and takes all of them; null where there is no colour in them. */
export function taken(files: readonly SheetFile[], farthest = 0): Taken | null {
  const joined = joinedSheets(files);
  const system = readSheet(joined.text, farthest, (line) => placeOfLine(joined, line));
  if (!system) return null;
  const empty = emptyDocument('Moved', [{ id: 'none', name: 'None' }]);
  const adoption = adoptSheet(empty, system, wholeOf(system), newId);
  return adoption && { files, system, adoption, document: edited(empty, adoption.command) };
}

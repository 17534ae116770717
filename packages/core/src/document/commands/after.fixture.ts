import type { ProjectDocument } from '../document.ts';
import { applyCommand } from './apply.ts';
import type { Command } from './command.ts';

/** The document after some commands, for tests; one that is refused fails the test with its reason. */
export function after(doc: ProjectDocument, ...commands: Command[]): ProjectDocument {
  return commands.reduce((now, command) => {
    const result = applyCommand(now, command);
    if (!result.ok) throw new Error(result.reason);
    return result.document;
  }, doc);
}

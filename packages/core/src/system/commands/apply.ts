import type { ProjectDocument } from '../document.ts';
import type { Command, SimpleCommand } from './command.ts';
import * as families from './families.ts';
import * as gradients from './gradients.ts';
import { Refusal } from './lists.ts';
import * as pairsAndTray from './pairs-and-tray.ts';
import * as projectAndThemes from './project-and-themes.ts';
import * as roles from './roles.ts';
import type { Step } from './step.ts';

type Handlers = {
  [T in SimpleCommand['type']]: (doc: ProjectDocument, command: Extract<Command, { type: T }>) => Step;
};

const HANDLERS: Handlers = { ...projectAndThemes, ...families, ...roles, ...pairsAndTray, ...gradients };

export type ApplyResult =
  | { readonly ok: true; readonly document: ProjectDocument; readonly inverse: Command }
  | { readonly ok: false; readonly reason: string };

function run(doc: ProjectDocument, command: SimpleCommand): Step {
  const handler = HANDLERS[command.type] as (doc: ProjectDocument, command: SimpleCommand) => Step;
  return handler(doc, command);
}

function runBatch(doc: ProjectDocument, label: string, commands: readonly SimpleCommand[]): Step {
  const inverses: SimpleCommand[] = [];
  let document = doc;
  for (const command of commands) {
    const [next, inverse] = run(document, command);
    document = next;
    if (inverse.type === 'batch') inverses.unshift(...inverse.commands);
    else inverses.unshift(inverse);
  }
  return [document, { type: 'batch', label, commands: inverses }];
}

/**
 * Applies a command to a document. Pure: the document given is not changed. Returns the new document and the
 * inverse command, which restores the old one exactly; or, when the command no longer fits (its thing is
 * gone, its name is taken), the reason in words. A batch is applied whole or not at all.
 *
 * @example applyCommand(doc, { type: 'setBase', family: 'deepwater', color: '#0b6e75' })
 */
export function applyCommand(doc: ProjectDocument, command: Command): ApplyResult {
  try {
    const [document, inverse] =
      command.type === 'batch' ? runBatch(doc, command.label, command.commands) : run(doc, command);
    return { ok: true, document, inverse };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, reason: error.message };
    throw error;
  }
}

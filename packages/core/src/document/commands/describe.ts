import type { ProjectDocument } from '../document.ts';
import { KINDS } from '../kinds.ts';
import type { Command, SimpleCommand } from './command.ts';
import type { WordsOf } from './definition.ts';

const WORDS = Object.assign({}, ...KINDS.map(({ words }) => words)) as WordsOf<
  SimpleCommand,
  ProjectDocument
>;

/** What a command does to a document, in a few words for menus and history: "change the base of Buoy". */
export function describeCommand(doc: ProjectDocument, command: Command): string {
  if (command.type === 'batch') return command.label;
  const words = WORDS[command.type] as (doc: ProjectDocument, command: SimpleCommand) => string;
  return words(doc, command);
}

import type { UnsentCommand } from './unsent.ts';

/** What is sent at once, at most: commands, and commands with those in their batches counted. */
const MOST_COMMANDS = 200;
const MOST_IN_ALL = 2500;

const sizeOf = ({ command }: UnsentCommand) => (command.type === 'batch' ? command.commands.length : 1);

/** The first of the unsent commands, as many as go into one request; at least one. */
export function firstPart(unsent: readonly UnsentCommand[], most = MOST_COMMANDS): UnsentCommand[] {
  const part: UnsentCommand[] = [];
  let size = 0;
  for (const one of unsent) {
    size += sizeOf(one);
    if (part.length && (part.length >= most || size > MOST_IN_ALL)) break;
    part.push(one);
  }
  return part;
}

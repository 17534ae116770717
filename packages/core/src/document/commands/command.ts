import type { Command, SimpleCommand } from '../kinds.ts';

export type { Command, SimpleCommand };

/** Commands of one batch. */
export const MOST_IN_BATCH = 2000;

/** The work that a command comes to: 1, or the commands of a batch. */
export const workOf = (command: Command): number => (command.type === 'batch' ? command.commands.length : 1);

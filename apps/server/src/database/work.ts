import type { Command } from '@mint-lamp/core/system/commands/command';

/** The work that a command comes to: 1, or the commands of a batch. */
export const workOf = (command: Command): number => (command.type === 'batch' ? command.commands.length : 1);

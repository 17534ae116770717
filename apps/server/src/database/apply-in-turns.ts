import { type ApplyResult, applyInParts } from '@mint-lamp/core/document/commands/apply';
import type { Command } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { drainInTurns } from '@mint-lamp/core/in-parts/drain';
import type { Turns } from '../turns.ts';

/** What a command comes to, with others served between the commands of a batch. */
export const applyInTurns = (
  document: ProjectDocument,
  command: Command,
  turns: Turns,
): Promise<ApplyResult> => drainInTurns(applyInParts(document, command), () => turns.yieldTurn());

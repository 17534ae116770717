import { type ApplyResult, applyInParts } from '@mint-lamp/core/document/commands/apply';
import type { Command } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Turns } from '../turns.ts';

/** What a command comes to, with others served between the commands of a batch. */
export async function applyInTurns(
  document: ProjectDocument,
  command: Command,
  turns: Turns,
): Promise<ApplyResult> {
  const parts = applyInParts(document, command);
  for (;;) {
    const { done, value } = parts.next();
    if (done) return value;
    await turns.pause();
  }
}

import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { Command } from '@mint-lamp/core/document/commands/command';
import { describeCommand } from '@mint-lamp/core/document/commands/describe';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { EditBetween, HistoryStep } from './project-slice.ts';

/** Whether two documents, or parts of them, are the same; what they share is not looked into. */
function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || !a || !b) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => isSame((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]))
  );
}

function after(document: ProjectDocument | null, commands: readonly Command[]): ProjectDocument | null {
  let next = document;
  for (const command of commands) {
    const result = next && applyCommand(next, command);
    if (!result?.ok) return null;
    next = result.document;
  }
  return next;
}

/** Whether it comes to the same to make edits upon a step that is taken back, and to take the step back upon them. */
function standApart(start: ProjectDocument, back: Command, edits: readonly Command[]): boolean {
  const first = after(start, [...edits, back]);
  return first !== null && isSame(first, after(start, [back, ...edits]));
}

function wordsOf(document: ProjectDocument, command: Command): string {
  try {
    return describeCommand(document, command);
  } catch {
    return command.type;
  }
}

/**
 * What others have done since a step that would go with it if it were taken back now, in words; empty where the step
 * and all that came after it stand apart. `between`: the edits that are not among the steps, in order.
 */
export function takenAlong(step: HistoryStep, between: readonly EditBetween[]): string[] {
  const since = between.filter(({ edits }) => edits >= (step.edits ?? 0));
  if (!since.some(({ whose }) => whose === 'others') || !step.after) return [];
  const start = step.after;
  const commands = since.flatMap(({ command }) => (command ? [command] : []));
  if (commands.length < since.length) return ['many edits at once'];
  if (standApart(start, step.command, commands)) return [];
  const others = since.flatMap(({ command, whose }) => (command && whose === 'others' ? [command] : []));
  const alone = others.filter((command) => !standApart(start, step.command, [command]));
  return (alone.length ? alone : others).map((command) => wordsOf(start, command));
}

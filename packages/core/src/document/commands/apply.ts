import { drain } from '../../in-parts/drain.ts';
import { refuseGradients } from '../coherence/painted-by-gradients.ts';
import type { ProjectDocument } from '../document.ts';
import { KINDS } from '../kinds.ts';
import { type Command, MOST_IN_BATCH, type SimpleCommand } from './command.ts';
import type { Batch, StepsOf } from './definition.ts';
import { Refusal } from './refusal.ts';

const STEPS = Object.assign({}, ...KINDS.map(({ steps }) => steps)) as StepsOf<
  SimpleCommand,
  ProjectDocument
>;

/** A document after a command, and the command that takes it back. */
type Applied = readonly [document: ProjectDocument, inverse: SimpleCommand | Batch<SimpleCommand>];

/** The parts of a document that decide of which roles one colour is needed. */
const NEED_COLORS = ['roles', 'gradients', 'pairs', 'families', 'ground'] as const;

export type ApplyResult =
  | { readonly ok: true; readonly document: ProjectDocument; readonly inverse: Command }
  | { readonly ok: false; readonly reason: string };

function run(doc: ProjectDocument, command: SimpleCommand): Applied {
  const step = STEPS[command.type] as StepsOf<SimpleCommand, ProjectDocument>[typeof command.type];
  const [changed, inverse] = (step as (doc: ProjectDocument, command: SimpleCommand) => Applied)(
    doc,
    command,
  );
  return [{ ...doc, ...changed }, inverse];
}

function* runBatch(
  doc: ProjectDocument,
  label: string,
  commands: readonly SimpleCommand[],
): Generator<void, Applied> {
  const inverses: SimpleCommand[][] = [];
  let document = doc;
  let count = 0;
  for (const command of commands) {
    const [next, inverse] = run(document, command);
    document = next;
    const back = inverse.type === 'batch' ? [...inverse.commands] : [inverse];
    inverses.push(back);
    count += back.length;
    if (count > MOST_IN_BATCH) throw new Refusal('This is too much for one undo. Do it in smaller parts.');
    yield;
  }
  return [document, { type: 'batch', label, commands: inverses.reverse().flat() }];
}

/**
 * {@link applyCommand} in parts: stops after every command of a batch, so that whoever has others to serve can turn to
 * them. Returns what it comes to.
 */
export function* applyInParts(doc: ProjectDocument, command: Command): Generator<void, ApplyResult> {
  try {
    const [document, inverse] =
      command.type === 'batch' ? yield* runBatch(doc, command.label, command.commands) : run(doc, command);
    // Of a batch only what it comes to counts: on the way a role may be both.
    if (NEED_COLORS.some((part) => document[part] !== doc[part])) refuseGradients(document);
    return { ok: true, document, inverse };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, reason: error.message };
    throw error;
  }
}

/**
 * Applies a command to a document. Pure: the document given is not changed. Returns the new document and the
 * inverse command, which restores the old one exactly; or, when the command no longer fits (its thing is
 * gone, its name is taken), the reason in words. A batch is applied whole or not at all.
 *
 * @example applyCommand(doc, { type: 'setBase', family: 'deepwater', color: '#0b6e75' })
 */
export function applyCommand(doc: ProjectDocument, command: Command): ApplyResult {
  return drain(applyInParts(doc, command));
}

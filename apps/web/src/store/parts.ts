import { type Command, type SimpleCommand, workOf } from '@mint-lamp/core/document/commands/command';
import { MOST_IN_REQUEST } from '@mint-lamp/core/wire/projects';
import type { UnsentCommand } from '../storing/unsent.ts';

/** Commands that are sent at once, at most. */
const MOST_COMMANDS = 200;
/** Bytes that are sent at once, at most; the server takes 2 MiB. */
const MOST_BYTES = 1_500_000;
/** Bytes of one command, at most, so that any fits into a request with its frame. */
const MOST_COMMAND_BYTES = 1_000_000;

const sizes = new WeakMap<Command, number>();
const encoder = new TextEncoder();

/** Bytes of a command as it is sent. */
function bytesOf(command: Command): number {
  let size = sizes.get(command);
  if (size === undefined) {
    size = encoder.encode(JSON.stringify(command)).length;
    sizes.set(command, size);
  }
  return size;
}

/** A command in pieces that can each be sent: a batch of very much comes apart, anything else is one piece. */
export function inPieces(command: Command, most = MOST_COMMAND_BYTES): Command[] {
  if (command.type !== 'batch' || bytesOf(command) <= most) return [command];
  const pieces: SimpleCommand[][] = [];
  let size = Number.POSITIVE_INFINITY;
  for (const one of command.commands) {
    size += bytesOf(one) + 1;
    if (size > most) {
      pieces.push([]);
      size = bytesOf(one);
    }
    pieces[pieces.length - 1]!.push(one);
  }
  return pieces.map((commands) => ({ ...command, commands }));
}

/** The first of the unsent commands, as many as go into one request; at least one. */
export function firstPart(unsent: readonly UnsentCommand[], most = MOST_COMMANDS): UnsentCommand[] {
  const part: UnsentCommand[] = [];
  let work = 0;
  let bytes = 0;
  for (const one of unsent) {
    work += workOf(one.command);
    bytes += bytesOf(one.command);
    if (part.length && (part.length >= most || work > MOST_IN_REQUEST || bytes > MOST_BYTES)) break;
    part.push(one);
  }
  return part;
}

/**
 * What goes into the next request. After one that failed as a whole it is half as much, until the command at fault
 * stands alone; and more again with every part that goes through.
 */
export class Parcels {
  private most = MOST_COMMANDS;
  private alone: { readonly id: string; failures: number } | null = null;

  next(unsent: readonly UnsentCommand[]): UnsentCommand[] {
    return firstPart(unsent, this.most);
  }

  wentThrough(): void {
    this.most = Math.min(this.most * 2, MOST_COMMANDS);
    this.alone = null;
  }

  /** Notes that a part failed. Returns how often its command has failed alone; 0 while there was more than one. */
  failed(part: readonly UnsentCommand[]): number {
    this.most = Math.max(1, Math.ceil(part.length / 2));
    const [first] = part;
    if (part.length !== 1 || !first) return 0;
    if (this.alone?.id !== first.id) this.alone = { id: first.id, failures: 0 };
    this.alone.failures += 1;
    return this.alone.failures;
  }
}

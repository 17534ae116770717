import { workOf } from '@mint-lamp/core/system/commands/command';
import { MOST_IN_REQUEST } from '@mint-lamp/core/wire/projects';
import type { UnsentCommand } from './unsent.ts';

/** Commands that are sent at once, at most. */
const MOST_COMMANDS = 200;

/** The first of the unsent commands, as many as go into one request; at least one. */
export function firstPart(unsent: readonly UnsentCommand[], most = MOST_COMMANDS): UnsentCommand[] {
  const part: UnsentCommand[] = [];
  let size = 0;
  for (const one of unsent) {
    size += workOf(one.command);
    if (part.length && (part.length >= most || size > MOST_IN_REQUEST)) break;
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

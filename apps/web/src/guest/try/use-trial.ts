import { parseColor } from '@mint-lamp/core/color/parse';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { sameJson } from '@mint-lamp/core/document/same';
import { lastOfEach, presentOf, proposedKey, takenParts } from '@mint-lamp/core/share/weighed-proposal';
import type { ProposedCommand } from '@mint-lamp/core/wire/shares';
import { useMemo, useState } from 'react';
import { lasting } from '../../storing/storage.ts';

/** What somebody tries on a share, in this browser alone, until it is sent back or let go of. */
export interface Trial {
  /** The project with all that is tried. */
  readonly document: ProjectDocument;
  readonly commands: readonly ProposedCommand[];
  /** What was tried, and fits the project no more since it went on. */
  readonly refused: readonly { readonly command: ProposedCommand; readonly reason: string }[];
  readonly canUndo: boolean;
  set(command: ProposedCommand): void;
  putBack(command: ProposedCommand): void;
  undo(): void;
  startOver(): void;
}

/** By the share's id: its address is a secret, and stands in no storage. */
const keyOf = (share: string) => `mint-lamp/trial/${share}`;
const MOST_STEPS = 200;

function isProposed(command: ProposedCommand): boolean {
  if (command?.type === 'setBase')
    return typeof command.family === 'string' && parseColor(String(command.color)).ok;
  return (
    command?.type === 'setLink' &&
    typeof command.role === 'string' &&
    typeof command.theme === 'string' &&
    command.link?.to === 'shade'
  );
}

/** What this browser has kept; what it cannot read is nothing. */
function kept(share: string): ProposedCommand[] {
  try {
    const read: unknown = JSON.parse(lasting.read(keyOf(share)) ?? '[]');
    return Array.isArray(read) ? (read as ProposedCommand[]).filter(isProposed) : [];
  } catch {
    return [];
  }
}

export function useTrial(share: string, base: ProjectDocument): Trial {
  const [steps, setSteps] = useState<readonly (readonly ProposedCommand[])[]>(() => [kept(share)]);
  const commands = steps.at(-1)!;
  const { document, refused } = useMemo(() => takenParts(base, commands), [base, commands]);
  const go = (next: readonly (readonly ProposedCommand[])[]) => {
    setSteps(next);
    const last = next.at(-1)!;
    if (last.length) lasting.write(keyOf(share), JSON.stringify(last));
    else lasting.remove(keyOf(share));
  };
  const without = (command: ProposedCommand) =>
    commands.filter((one) => proposedKey(one) !== proposedKey(command));
  return {
    document,
    commands,
    refused,
    canUndo: steps.length > 1,
    set(command) {
      const isAsItWas = sameJson(presentOf(base, command), command);
      const next = isAsItWas ? without(command) : lastOfEach([...commands, command]);
      // A colour that is dragged is one step.
      const last = commands.at(-1);
      const goesOn = steps.length > 1 && last && next.length === commands.length && sameKeys(next, commands);
      const before = goesOn && isDragged(command) ? steps.slice(0, -1) : steps;
      go([...before.slice(-MOST_STEPS), next]);
    },
    putBack: (command) => go([...steps, without(command)]),
    undo: () => steps.length > 1 && go(steps.slice(0, -1)),
    startOver: () => go([...steps, []]),
  };
}

const isDragged = ({ type }: ProposedCommand) => type === 'setBase';
const sameKeys = (a: readonly ProposedCommand[], b: readonly ProposedCommand[]) =>
  a.every((one, i) => proposedKey(one) === proposedKey(b[i]!));

import { applyCommand } from '../document/commands/apply.ts';
import type { ProjectDocument } from '../document/document.ts';
import { sameJson } from '../document/same.ts';
import type { ProposedCommand, ProposedPart } from '../wire/shares.ts';

/** How a part stands to the project as it is now. */
export interface WeighedPart extends ProposedPart {
  /** Can be taken; is like that already; or does not fit any more, for a reason. */
  readonly stands: 'fits' | 'same' | 'gone';
  /** Why it does not fit; else an empty text. */
  readonly reason: string;
  /** Whether the project has changed the same thing since. */
  readonly moved: boolean;
}

/** One text for each thing that can be proposed. */
export const proposedKey = (command: ProposedCommand): string =>
  command.type === 'setBase' ? `base ${command.family}` : `link ${command.role} ${command.theme}`;

/** What a document has where a command would set something; null where that is gone. */
export function presentOf(document: ProjectDocument, command: ProposedCommand): ProposedCommand | null {
  if (command.type === 'setBase') {
    const family = document.families.find(({ id }) => id === command.family);
    return family ? { ...command, color: family.base } : null;
  }
  const role = document.roles.find(({ id }) => id === command.role);
  const theme = document.themes.some(({ id }) => id === command.theme);
  return role && theme ? { ...command, link: role.links[command.theme] ?? null } : null;
}

/** The last command of each thing, in the order in which the things were first changed. */
export function lastOfEach(commands: readonly ProposedCommand[]): ProposedCommand[] {
  const byKey = new Map<string, ProposedCommand>();
  for (const command of commands) byKey.set(proposedKey(command), command);
  return [...byKey.values()];
}

/**
 * Holds a proposal against the project as it is now, part by part: what still fits, what is like that already, what does not
 * fit any more and why, and where the project went another way since.
 */
export function weighProposal(now: ProjectDocument, parts: readonly ProposedPart[]): WeighedPart[] {
  return parts.map((part) => {
    const present = presentOf(now, part.command);
    const moved = present !== null && part.then !== null && !sameJson(present, part.then);
    if (present && sameJson(present, part.command)) return { ...part, stands: 'same', reason: '', moved };
    const result = applyCommand(now, part.command);
    return result.ok
      ? { ...part, stands: 'fits', reason: '', moved }
      : { ...part, stands: 'gone', reason: result.reason, moved };
  });
}

/** What comes of taking parts of a proposal, in order: the commands that fit, and those that do not, with why. */
export function takenParts(
  now: ProjectDocument,
  commands: readonly ProposedCommand[],
): {
  readonly document: ProjectDocument;
  readonly taken: readonly ProposedCommand[];
  readonly refused: readonly { readonly command: ProposedCommand; readonly reason: string }[];
} {
  let document = now;
  const taken: ProposedCommand[] = [];
  const refused: { command: ProposedCommand; reason: string }[] = [];
  // One may need another that comes later, as a link the other way round does: what does not fit is tried once more.
  let waiting = [...commands];
  for (let last = false; ; ) {
    const again: ProposedCommand[] = [];
    for (const command of waiting) {
      const result = applyCommand(document, command);
      if (result.ok) {
        document = result.document;
        taken.push(command);
      } else if (last) refused.push({ command, reason: result.reason });
      else again.push(command);
    }
    if (last || !again.length) return { document, taken, refused };
    last = again.length === waiting.length;
    waiting = again;
  }
}

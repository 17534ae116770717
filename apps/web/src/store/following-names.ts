import { readColor } from '@mint-lamp/core/color/parse';
import type { Command } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type NameOf, withNamesFollowing } from '@mint-lamp/core/edits/names-follow';
import { yieldTurn } from '../ui/turns.ts';

let nameOf: NameOf | null = null;

/** Fetches the names of colours, which come behind the page itself; tried anew with the next edit if they do not. */
export async function fetchNames(): Promise<void> {
  try {
    const names = await import('@mint-lamp/core/names/names');
    nameOf = (color) => names.nameOf(readColor(color));
    // Put in order before an edit needs them.
    void yieldTurn().then(names.shippedNames);
  } catch {
    nameOf = null;
  }
}

/** An edit with the names that follow it, as {@link withNamesFollowing} does; as it is while they are not there yet. */
export function withNames(document: ProjectDocument, command: Command): Command {
  if (nameOf) return withNamesFollowing(document, command, nameOf);
  void fetchNames();
  return command;
}

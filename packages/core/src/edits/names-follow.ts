import type { Command, SimpleCommand } from '../document/commands/command.ts';
import { describeCommand } from '../document/commands/describe.ts';
import type { ProjectDocument } from '../document/document.ts';
import { freeName, slug } from '../document/naming/names.ts';

/** How colours are called that nobody has named, by their CSS text. */
export type NameOf = (color: string) => string;

/** Whether a name is the one that a colour was given unasked, with a number behind it where that was taken. */
const isGiven = (name: string, color: string, nameOf: NameOf) => {
  const given = nameOf(color);
  return name === given || (name.startsWith(`${given} `) && /^\d+$/.test(name.slice(given.length + 1)));
};

/**
 * A command with what it leaves behind: names that nobody typed follow the colours of the tray and the bases that it
 * changes. Names that the command gives itself stay, and so does every name that is not the one given for the colour
 * before.
 */
export function withNamesFollowing(document: ProjectDocument, command: Command, nameOf: NameOf): Command {
  const commands = command.type === 'batch' ? command.commands : [command];
  const swatches = new Map<string, string>();
  const bases = new Map<string, string>();
  const named = new Set<string>();
  for (const one of commands) {
    if (one.type === 'setSwatch') swatches.set(one.swatch, one.color);
    else if (one.type === 'setBase') bases.set(one.family, one.color);
    else if (one.type === 'renameSwatch') named.add(one.swatch);
    else if (one.type === 'renameFamily') named.add(one.family);
  }
  if (!swatches.size && !bases.size) return command;
  const renames: SimpleCommand[] = [];
  for (const { id, name, color } of swatches.size ? document.tray : []) {
    const next = swatches.get(id);
    if (next === undefined || named.has(id) || !isGiven(name, color, nameOf)) continue;
    const given = nameOf(next);
    if (given !== name) renames.push({ type: 'renameSwatch', swatch: id, name: given });
  }
  const taken = new Set(document.families.map(({ name }) => slug(name)));
  for (const { id, name, base } of bases.size ? document.families : []) {
    const next = bases.get(id);
    if (next === undefined || named.has(id) || !isGiven(name, base, nameOf)) continue;
    if (isGiven(name, next, nameOf)) continue;
    taken.delete(slug(name));
    renames.push({ type: 'renameFamily', family: id, name: freeName(nameOf(next), taken) });
  }
  return renames.length
    ? { type: 'batch', label: describeCommand(document, command), commands: [...commands, ...renames] }
    : command;
}

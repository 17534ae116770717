import type { Command } from '@mint-lamp/core/document/commands/command';
import { commandSchema } from '@mint-lamp/core/document/commands/command-schema';
import { migrateCommand } from '@mint-lamp/core/document/versions/versions';

/** Loaded only when there is something to read: it needs the schemas. */

export type KeptCommand =
  | { readonly ok: true; readonly command: Command }
  /** What it was, as far as that can be told. */
  | { readonly ok: false; readonly name: string };

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

/** A command's type and what it names, for one whose shape is not known: "addRole ticket". */
function nameOf(value: unknown): string {
  if (!isObject(value)) return 'an edit that cannot be read';
  const inner = Object.values(value).find(isObject);
  const name = value.name ?? value.label ?? value.path ?? inner?.name ?? inner?.path;
  return (
    [value.type, name]
      .filter((part) => typeof part === 'string')
      .join(' ')
      .slice(0, 80) || 'an edit'
  );
}

/** A command that was made under a form, as one of today's that has passed the schema. */
export function migrateKept(command: unknown, form: number): KeptCommand {
  const migrated = migrateCommand(command, form);
  if (!migrated.ok) return { ok: false, name: nameOf(command) };
  const { value, error } = commandSchema.validate(migrated.value);
  return error ? { ok: false, name: nameOf(command) } : { ok: true, command: value as Command };
}

/** Reads one entry of the storage, whatever it holds. */
export function readKept(text: string): KeptCommand {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, name: 'an edit that cannot be read' };
  }
  // Before version 2 commands were kept bare.
  if (isObject(value) && typeof value.form === 'number') return migrateKept(value.command, value.form);
  return migrateKept(value, 1);
}

/** What an entry of the storage was, as far as that can be told. */
export function nameOfKept(text: string): string {
  try {
    const value: unknown = JSON.parse(text);
    return nameOf(isObject(value) && isObject(value.command) ? value.command : value);
  } catch {
    return nameOf(null);
  }
}

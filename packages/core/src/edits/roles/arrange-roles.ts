import type { SimpleCommand } from '../../document/commands/command.ts';
import type { Role } from '../../document/roles/role.ts';

const sameGroup = (a: readonly string[], b: readonly string[]) =>
  a.length === b.length && a.every((name, i) => name === b[i]);

/**
 * Commands that put a role before another, by id (null: at the end), and into a group. None where it is there already.
 * A name that the group has already is for the commands to refuse.
 */
export function roleMoved(
  roles: readonly Role[],
  role: string,
  before: string | null,
  group: readonly string[],
): SimpleCommand[] {
  const from = roles.findIndex(({ id }) => id === role);
  const moved = roles[from];
  if (!moved || before === role) return [];
  const rest = roles.filter(({ id }) => id !== role);
  const at = before === null ? rest.length : rest.findIndex(({ id }) => id === before);
  const renamed = sameGroup(moved.group, group);
  return [
    ...(renamed ? [] : [{ type: 'renameRole', role, group, name: moved.name } as const]),
    ...(at === from || at === -1 ? [] : [{ type: 'moveRole', role, index: at } as const]),
  ];
}

/** Commands that put some roles, in their order, before another one (null: at the end). */
export function rolesMoved(
  roles: readonly Role[],
  moving: readonly string[],
  before: string | null,
): SimpleCommand[] {
  const going = new Set(moving);
  if (before !== null && going.has(before)) return [];
  const now = roles.map(({ id }) => id);
  const wanted = now.filter((id) => !going.has(id));
  const at = before === null ? wanted.length : wanted.indexOf(before);
  wanted.splice(at, 0, ...moving);
  const commands: SimpleCommand[] = [];
  // Going down the first goes last, going up it goes first: each move leaves those that have moved in their places.
  const down = now.indexOf(moving[0]!) < wanted.indexOf(moving[0]!);
  for (const role of down ? [...moving].reverse() : moving) {
    const index = wanted.indexOf(role);
    const from = now.indexOf(role);
    if (from === index) continue;
    commands.push({ type: 'moveRole', role, index });
    now.splice(index, 0, ...now.splice(from, 1));
  }
  return commands;
}

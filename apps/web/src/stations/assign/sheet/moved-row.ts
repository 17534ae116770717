import type { SimpleCommand } from '@mint-lamp/core/document/commands/command';
import type { Role } from '@mint-lamp/core/document/roles/role';
import { roleMoved, rolesMoved } from '@mint-lamp/core/edits/roles/arrange-roles';
import type { RoleRow } from './role-rows.ts';

/** The first role from a row on that is not the one that moves; null where there is none. */
function firstFrom(rows: readonly RoleRow[], index: number, moving: string | null = null): string | null {
  for (const row of rows.slice(index)) {
    const first = (row.kind === 'group' ? row.roles : [row.role.id]).find((id) => id !== moving);
    if (first) return first;
  }
  return null;
}

/** The group that a place in the rows is in. */
function groupAt(rows: readonly RoleRow[], index: number): readonly string[] {
  for (let i = index - 1; i >= 0; i--) {
    const row = rows[i]!;
    if (row.kind === 'group') return row.group;
  }
  return [];
}

/** The commands that put a row of the sheet where another one is. A role goes into the group that is there. */
function movedRole(roles: readonly Role[], rows: readonly RoleRow[], from: number, to: number) {
  const row = rows[from]!;
  if (row.kind !== 'role') return [];
  const rest = rows.filter((_, i) => i !== from);
  // Above the first heading there is no group; what has one stays in one.
  const at = to === 0 && rest[0]?.kind === 'group' && row.role.group.length ? 1 : to;
  return roleMoved(roles, row.role.id, firstFrom(rest, at, row.role.id), groupAt(rest, at));
}

/** A heading takes all its roles along, before or behind the run of the row that it is put on. */
function movedGroup(roles: readonly Role[], rows: readonly RoleRow[], from: number, to: number) {
  const row = rows[from]!;
  if (row.kind !== 'group') return [];
  let start = to;
  while (start > 0 && rows[start]!.kind !== 'group') start -= 1;
  if (start === from) return [];
  if (to < from) return rolesMoved(roles, row.roles, firstFrom(rows, start));
  let end = to + 1;
  while (end < rows.length && rows[end]!.kind !== 'group') end += 1;
  return rolesMoved(roles, row.roles, firstFrom(rows, end));
}

/** The commands that put the row at one place of the sheet to another; none where nothing comes of it. */
export function movedRow(
  roles: readonly Role[],
  rows: readonly RoleRow[],
  from: number,
  to: number,
): SimpleCommand[] {
  if (to < 0 || to >= rows.length || to === from) return [];
  return rows[from]!.kind === 'role' ? movedRole(roles, rows, from, to) : movedGroup(roles, rows, from, to);
}

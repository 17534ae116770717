import type { Role } from '@mint-lamp/core/system/roles/role';
import { writeGroup } from '@mint-lamp/core/system/roles/role-name';

/** A row of the table: the heading of a group, or a role below it. */
export type RoleRow =
  | { readonly kind: 'group'; readonly key: string; readonly group: readonly string[] }
  | { readonly kind: 'role'; readonly key: string; readonly role: Role };

/** Roles in their order, each run of one group under its heading; roles without a group need none at the beginning. */
export function roleRows(roles: readonly Role[]): RoleRow[] {
  const rows: RoleRow[] = [];
  let last = '';
  for (const role of roles) {
    const group = writeGroup(role.group);
    if (group !== last) rows.push({ kind: 'group', key: `group ${role.id}`, group: role.group });
    last = group;
    rows.push({ kind: 'role', key: role.id, role });
  }
  return rows;
}

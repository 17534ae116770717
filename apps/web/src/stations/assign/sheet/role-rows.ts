import type { Role } from '@mint-lamp/core/system/roles/role';
import { writeGroup } from '@mint-lamp/core/system/roles/role-name';

/** A row of the sheet: the heading of a group, or a role below it. */
export type RoleRow =
  | {
      readonly kind: 'group';
      readonly key: string;
      readonly group: readonly string[];
      /** How many roles are in this run of the group. */
      readonly count: number;
    }
  | { readonly kind: 'role'; readonly key: string; readonly role: Role };

const NONE: ReadonlySet<string> = new Set();

/**
 * Roles in their order, each run of one group under its heading; roles without a group need none at the beginning. Of
 * groups that are folded, by their written names, only the headings.
 */
export function roleRows(roles: readonly Role[], folded: ReadonlySet<string> = NONE): RoleRow[] {
  const rows: RoleRow[] = [];
  let last = '';
  let heading = -1;
  for (const role of roles) {
    const group = writeGroup(role.group);
    if (group !== last) {
      heading = rows.length;
      rows.push({ kind: 'group', key: `group ${role.id}`, group: role.group, count: 0 });
    }
    last = group;
    const above = rows[heading];
    if (above?.kind === 'group') rows[heading] = { ...above, count: above.count + 1 };
    if (!group || !folded.has(group)) rows.push({ kind: 'role', key: role.id, role });
  }
  return rows;
}

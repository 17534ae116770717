import { writeGroup } from '@mint-lamp/core/document/naming/role-name';
import type { Role } from '@mint-lamp/core/document/roles/role';

/** The heading of a group, above a run of its roles. */
export interface GroupRow {
  readonly kind: 'group';
  readonly key: string;
  readonly group: readonly string[];
  /** The roles of this run. */
  readonly roles: readonly string[];
}

/** A row of the sheet: the heading of a group, or a role below it. */
export type RoleRow = GroupRow | { readonly kind: 'role'; readonly key: string; readonly role: Role };

const NONE: ReadonlySet<string> = new Set();

/**
 * Roles in their order, each run of one group under its heading; roles without a group need none at the beginning. Of
 * groups that are folded, by their written names, only the headings.
 */
export function roleRows(roles: readonly Role[], folded: ReadonlySet<string> = NONE): RoleRow[] {
  const rows: RoleRow[] = [];
  let last = '';
  let run: string[] = [];
  for (const role of roles) {
    const group = writeGroup(role.group);
    if (group !== last) {
      run = [];
      rows.push({ kind: 'group', key: `group ${role.id}`, group: role.group, roles: run });
    }
    last = group;
    run.push(role.id);
    if (!group || !folded.has(group)) rows.push({ kind: 'role', key: role.id, role });
  }
  return rows;
}

import type { ProjectDocument } from '../../document/document.ts';
import { writeGroup } from '../../document/naming/role-name.ts';
import type { Role } from '../../document/roles/role.ts';

/** Roles that say different things in the same place, so that their colours have to be told apart. */
export interface MeaningSet {
  /** What they have in common, such as "notice … ground". */
  readonly name: string;
  readonly roles: readonly Role[];
}

/**
 * The roles whose colours carry meaning, as their names say it: those of one name in sister groups, such as
 * `notice.ontime.ground`, `notice.delay.ground` and `notice.cancelled.ground`.
 */
export function meaningSets({ roles }: Pick<ProjectDocument, 'roles'>): MeaningSet[] {
  const sets = new Map<string, Role[]>();
  for (const role of roles) {
    if (role.group.length < 2) continue;
    const key = `${writeGroup(role.group.slice(0, -1))} … ${role.name}`;
    const list = sets.get(key);
    if (list) list.push(role);
    else sets.set(key, [role]);
  }
  return [...sets].flatMap(([name, list]) => (list.length > 1 ? [{ name, roles: list }] : []));
}

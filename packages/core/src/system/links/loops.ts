import { Refusal } from '../commands/refusal.ts';
import type { ProjectDocument } from '../document.ts';
import type { Role } from '../roles/role.ts';
import { writeRoleName } from '../roles/role-name.ts';

const byIds = new WeakMap<readonly Role[], ReadonlyMap<string, Role>>();

function rolesById(roles: readonly Role[]): ReadonlyMap<string, Role> {
  const byId = byIds.get(roles) ?? new Map(roles.map((role) => [role.id, role]));
  byIds.set(roles, byId);
  return byId;
}

/** Refuses a document in which one of these roles points to itself in a theme, directly or through others. */
export function refuseLoops(doc: ProjectDocument, theme: string, roleIds: readonly string[]): void {
  const byId = rolesById(doc.roles);
  for (const id of roleIds) {
    const seen = new Set<string>();
    let at = byId.get(id);
    while (at) {
      if (seen.has(at.id))
        throw new Refusal(
          `${writeRoleName(byId.get(id)!)} would point to itself through ${writeRoleName(at)}.`,
        );
      seen.add(at.id);
      const link = at.links[theme];
      at = link?.to === 'role' ? byId.get(link.role) : undefined;
    }
  }
}

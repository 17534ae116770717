import type { ProjectDocument } from '../document.ts';
import { Refusal } from './lists.ts';

/** Refuses a document in which one of these roles points to itself in a theme, directly or through others. */
export function refuseLoops(doc: ProjectDocument, theme: string, roleIds: readonly string[]): void {
  const byId = new Map(doc.roles.map((role) => [role.id, role]));
  for (const id of roleIds) {
    const seen = new Set<string>();
    let at = byId.get(id);
    while (at) {
      if (seen.has(at.id))
        throw new Refusal(`${byId.get(id)!.path} would point to itself through ${at.path}.`);
      seen.add(at.id);
      const link = at.links[theme];
      at = link?.to === 'role' ? byId.get(link.role) : undefined;
    }
  }
}

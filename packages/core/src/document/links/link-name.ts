import type { ProjectDocument } from '../document.ts';
import { writeRoleName } from '../roles/role-name.ts';
import type { Link, RoleLink } from './link.ts';

/** What a link points to, in words: "Deepwater 700", "text.main", "#ffffff"; with its opacity, if any. */
export function linkName(doc: ProjectDocument, link: RoleLink | null): string {
  if (!link) return 'not linked';
  if (link.to === 'gradient') return find(doc.gradients, link.gradient)?.name ?? 'lost gradient';
  const opacity = link.opacity ?? 1;
  const name = targetName(doc, link);
  return opacity === 1 ? name : `${name} at ${Math.round(opacity * 100)} %`;
}

interface Named {
  readonly id: string;
}

// A list never changes, only its successor does; names are asked for by the hundred, as by the cells of the sheet.
const known = new WeakMap<readonly Named[], ReadonlyMap<string, Named>>();

function find<T extends Named>(list: readonly T[], id: string): T | undefined {
  let byId = known.get(list);
  if (!byId) {
    byId = new Map(list.map((thing) => [thing.id, thing]));
    known.set(list, byId);
  }
  return byId.get(id) as T | undefined;
}

function targetName(doc: ProjectDocument, link: Link): string {
  switch (link.to) {
    case 'shade':
      return `${find(doc.families, link.family)?.name ?? 'lost family'} ${link.shade}`;
    case 'base':
      return `${find(doc.families, link.family)?.name ?? 'lost family'} base`;
    case 'role': {
      const role = find(doc.roles, link.role);
      return role ? writeRoleName(role) : 'lost role';
    }
    case 'color':
      return link.color;
  }
}

import type { Link, RoleLink } from '../links/link.ts';
import { type NamedRole, writeRoleName } from './role-name.ts';

interface Identified {
  readonly id: string;
}

interface Named extends Identified {
  readonly name: string;
}

/** The lists that the name of a link's target is made from. */
export interface LinkNames {
  readonly families: readonly Named[];
  readonly roles: readonly NamedRole[];
  readonly gradients: readonly Named[];
}

/** What a link points to, in words: "Deepwater 700", "text.main", "#ffffff"; with its opacity, if any. */
export function linkName(doc: LinkNames, link: RoleLink | null): string {
  if (!link) return 'not linked';
  if (link.to === 'gradient') return find(doc.gradients, link.gradient)?.name ?? 'removed gradient';
  const opacity = link.opacity ?? 1;
  const name = targetName(doc, link);
  return opacity === 1 ? name : `${name} at ${Math.round(opacity * 100)} %`;
}

// A list never changes, only its successor does; names are asked for by the hundred, as by the cells of the sheet.
const known = new WeakMap<readonly Identified[], ReadonlyMap<string, Identified>>();

function find<T extends Identified>(list: readonly T[], id: string): T | undefined {
  let byId = known.get(list);
  if (!byId) {
    byId = new Map(list.map((thing) => [thing.id, thing]));
    known.set(list, byId);
  }
  return byId.get(id) as T | undefined;
}

function targetName(doc: LinkNames, link: Link): string {
  switch (link.to) {
    case 'shade':
      return `${find(doc.families, link.family)?.name ?? 'removed family'} ${link.shade}`;
    case 'base':
      return `${find(doc.families, link.family)?.name ?? 'removed family'} base`;
    case 'role': {
      const role = find(doc.roles, link.role);
      return role ? writeRoleName(role) : 'removed role';
    }
    case 'color':
      return link.color;
  }
}

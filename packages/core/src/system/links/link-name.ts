import type { ProjectDocument } from '../document.ts';
import { writeRoleName } from '../roles/role-name.ts';
import type { Link } from './link.ts';

/** What a link points to, in words: "Deepwater 700", "text.main", "#ffffff"; with its opacity, if any. */
export function linkName(doc: ProjectDocument, link: Link | null): string {
  if (!link) return 'not linked';
  const opacity = link.opacity ?? 1;
  const name = targetName(doc, link);
  return opacity === 1 ? name : `${name} at ${Math.round(opacity * 100)} %`;
}

function targetName(doc: ProjectDocument, link: Link): string {
  switch (link.to) {
    case 'shade':
      return `${doc.families.find((f) => f.id === link.family)?.name ?? 'lost family'} ${link.shade}`;
    case 'base':
      return `${doc.families.find((f) => f.id === link.family)?.name ?? 'lost family'} base`;
    case 'role': {
      const role = doc.roles.find((r) => r.id === link.role);
      return role ? writeRoleName(role) : 'lost role';
    }
    case 'color':
      return link.color;
  }
}

import type { Link, ProjectDocument } from '@mint-lamp/core/system/document';

/** What a link points to, in words: "Deepwater 700", "text/main", "#ffffff"; with its opacity, if any. */
export function linkName(doc: ProjectDocument, link: Link | null): string {
  if (!link) return 'not linked';
  const name =
    link.to === 'shade'
      ? `${doc.families.find((f) => f.id === link.family)?.name ?? 'lost family'} ${link.shade}`
      : link.to === 'role'
        ? (doc.roles.find((r) => r.id === link.role)?.path ?? 'lost role')
        : link.color;
  const opacity = link.opacity ?? 1;
  return opacity === 1 ? name : `${name} at ${Math.round(opacity * 100)} %`;
}

import type { RoleLink } from '@mint-lamp/core/document/links/link';

/** Links by rows (roles) and columns (themes); null where there is none. */
export type LinkGrid = readonly (readonly (RoleLink | null)[])[];

/** What was copied last in this tab. Links go by ids, which mean nothing elsewhere. */
let copied: LinkGrid | null = null;

/** Keeps links for pasting; their names go to the clipboard, for other programs: a line a role, a tab between themes. */
export function copyLinks(links: LinkGrid, nameOf: (link: RoleLink | null) => string): void {
  copied = links;
  const text = links.map((row) => row.map(nameOf).join('\t')).join('\n');
  // A browser may refuse the clipboard; pasting here works all the same.
  void navigator.clipboard?.writeText(text).catch(() => {});
}

export const copiedLinks = (): LinkGrid | null => copied;

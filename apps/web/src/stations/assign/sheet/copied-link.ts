import type { Link } from '@mint-lamp/core/system/links/link';

/** The link that was copied last in this tab. Links go by ids, which mean nothing elsewhere. */
let copied: Link | null = null;

/** Keeps a link for pasting; its name goes to the clipboard, for other programs. */
export function copyLink(link: Link, name: string): void {
  copied = link;
  // A browser may refuse the clipboard; pasting here works all the same.
  void navigator.clipboard?.writeText(name).catch(() => {});
}

export const copiedLink = (): Link | null => copied;

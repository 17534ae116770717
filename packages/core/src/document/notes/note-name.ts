import type { ProjectDocument } from '../document.ts';
import { pairName } from '../pairs/pair-name.ts';
import { roleNameIn } from '../roles/role-name.ts';
import type { Noted } from './note.ts';

const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((one) => one.id === id)?.name ?? null;

/** What a note is on, in words: "Deepwater 700", "text.main on page.ground"; null when it is gone. */
export function notedName(doc: ProjectDocument, on: Noted): string | null {
  switch (on.kind) {
    case 'shade': {
      const family = doc.families.find(({ id }) => id === on.family);
      return family?.growth.labels.includes(on.shade) ? `${family.name} ${on.shade}` : null;
    }
    case 'base': {
      const name = nameIn(doc.families, on.family);
      return name && `${name} base`;
    }
    case 'swatch':
      return nameIn(doc.tray, on.swatch);
    case 'gradient':
      return nameIn(doc.gradients, on.gradient);
    case 'role':
      return doc.roles.some(({ id }) => id === on.role) ? roleNameIn(doc.roles, on.role) : null;
    case 'pair': {
      const pair = doc.pairs.find(({ id }) => id === on.pair);
      return pair ? pairName(doc, pair) : null;
    }
  }
}

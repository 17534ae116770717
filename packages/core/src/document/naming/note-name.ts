import { type NamedPair, type PairNames, pairName } from './pair-name.ts';
import { roleNameIn } from './role-name.ts';
import { sceneName } from './scene-names.ts';

/** What a note can be on, by ids. */
export type Noted =
  | { readonly kind: 'shade'; readonly family: string; readonly shade: string }
  | { readonly kind: 'base'; readonly family: string }
  | { readonly kind: 'swatch'; readonly swatch: string }
  | { readonly kind: 'role'; readonly role: string }
  | { readonly kind: 'pair'; readonly pair: string }
  | { readonly kind: 'gradient'; readonly gradient: string }
  | { readonly kind: 'theme'; readonly theme: string }
  /** One of the pages on which the project is tried. */
  | { readonly kind: 'scene'; readonly scene: string }
  /** All of it. */
  | { readonly kind: 'project' };

interface Named {
  readonly id: string;
  readonly name: string;
}

/** The lists that the name of what a note is on is made from. */
export interface NotedNames extends PairNames {
  readonly families: readonly (Named & { readonly growth: { readonly labels: readonly string[] } })[];
  readonly tray: readonly Named[];
  readonly themes: readonly Named[];
  readonly pairs: readonly (NamedPair & { readonly id: string })[];
}

const nameIn = (list: readonly Named[], id: string) => list.find((one) => one.id === id)?.name ?? null;

/** What a note is on, in words: "Deepwater 700", "text.main on page.ground"; null when it is gone. */
export function notedName(doc: NotedNames, on: Noted): string | null {
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
    case 'theme':
      return nameIn(doc.themes, on.theme);
    case 'scene':
      return sceneName(on.scene);
    case 'project':
      return 'the whole project';
    case 'role':
      return doc.roles.some(({ id }) => id === on.role) ? roleNameIn(doc.roles, on.role) : null;
    case 'pair': {
      const pair = doc.pairs.find(({ id }) => id === on.pair);
      return pair ? pairName(doc, pair) : null;
    }
  }
}

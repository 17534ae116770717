import type { ProjectDocument } from '../../document/document.ts';

/** The lists that are compared and restored as a whole, with what they are called. */
export const WHOLE_LISTS = {
  declined: 'Declined pairs',
  tray: 'Tray',
  pictures: 'Pictures',
  rounds: 'Rounds of proposals',
  recipes: 'Recipes',
  notes: 'Notes',
} as const satisfies Partial<Record<keyof ProjectDocument, string>>;

/** The lists whose order is a part by itself. */
export const ORDERED_LISTS = {
  themes: 'themes',
  families: 'families',
  roles: 'roles',
  pairs: 'pairs',
  gradients: 'gradients',
} as const satisfies Partial<Record<keyof ProjectDocument, string>>;

export type WholeList = keyof typeof WHOLE_LISTS;
export type OrderedList = keyof typeof ORDERED_LISTS;
/** A list whose things are compared and restored one by one. */
export type ThingKind = 'theme' | 'family' | 'role' | 'pair' | 'gradient';

/** A part of a project that can be restored by itself. */
export type Part =
  | { readonly part: 'name' | 'ground' | 'words' | 'relatives' }
  | { readonly part: 'list'; readonly list: WholeList }
  | { readonly part: 'order'; readonly list: OrderedList }
  /** A thing: that it is there or not, and what it is itself. Of a role all but its links. */
  | { readonly part: ThingKind; readonly id: string }
  /** The link of a role in a theme. */
  | { readonly part: 'cell'; readonly id: string; readonly theme: string };

/** One text for each part. Ids have no spaces. */
export function partKey(part: Part): string {
  switch (part.part) {
    case 'name':
    case 'ground':
    case 'words':
    case 'relatives':
      return part.part;
    case 'list':
    case 'order':
      return `${part.part} ${part.list}`;
    case 'cell':
      return `cell ${part.id} ${part.theme}`;
    default:
      return `${part.part} ${part.id}`;
  }
}

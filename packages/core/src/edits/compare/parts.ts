import type { AnyCompared } from '../../document/kind.ts';
import {
  KINDS,
  type OrderedList,
  type ThingKind,
  type ValuePart,
  type WholeList,
} from '../../document/kinds.ts';

export type { OrderedList, ThingKind, WholeList };

const compared = KINDS.flatMap((kind) => Object.entries(kind.compared as Record<string, AnyCompared>));
const namesOf = <N extends string>(as: AnyCompared['as']) =>
  compared.flatMap(([name, one]) => (one.as === as ? [name as N] : []));

/** The lists that are compared and restored as a whole, and those whose order is a part by itself. */
export const WHOLE_LISTS = namesOf<WholeList>('whole');
export const ORDERED_LISTS = namesOf<OrderedList>('things');

/** What a list is called that is compared as a whole: "Tray". */
export function titleOf(list: WholeList): string {
  const [, one] = compared.find(([name]) => name === list)!;
  return one.as === 'whole' ? one.title : list;
}

/** The lists of things by the word for one of them. */
export const LIST_OF = Object.fromEntries(
  compared.flatMap(([name, one]) => (one.as === 'things' ? [[one.word, name]] : [])),
) as Readonly<Record<ThingKind, OrderedList>>;

/** A part of a project that can be restored by itself. */
export type Portion =
  | { readonly part: ValuePart }
  | { readonly part: 'list'; readonly list: WholeList }
  | { readonly part: 'order'; readonly list: OrderedList }
  /** A thing: that it is there or not, and what it is itself. Of a role all but its links. */
  | { readonly part: ThingKind; readonly id: string }
  /** The link of a role in a theme. */
  | { readonly part: 'cell'; readonly id: string; readonly theme: string };

/** One text for each part. Ids have no spaces. */
export function portionKey(part: Portion): string {
  switch (part.part) {
    case 'name':
    case 'ground':
    case 'words':
    case 'relatives':
    case 'scenes':
    case 'delivery':
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

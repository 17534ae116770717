import { artworks } from './artworks/kind.ts';
import type { Batch, Typed } from './commands/definition.ts';
import { declined } from './declined/kind.ts';
import { delivery } from './delivery/kind.ts';
import { families } from './families/kind.ts';
import { gradients } from './gradients/kind.ts';
import type { Kind } from './kind.ts';
import { notes } from './notes/kind.ts';
import { pairs } from './pairs/kind.ts';
import { pictures } from './pictures/kind.ts';
import { project } from './project/kind.ts';
import { recipes } from './recipes/kind.ts';
import { relatives } from './relatives/kind.ts';
import { roles } from './roles/kind.ts';
import { rounds } from './rounds/kind.ts';
import { scenes } from './scenes/kind.ts';
import { themes } from './themes/kind.ts';
import { tray } from './tray/kind.ts';

/** All kinds of things of a project. What comes later may be made of what comes before. */
const kinds = {
  project,
  themes,
  families,
  roles,
  pairs,
  declined,
  gradients,
  tray,
  pictures,
  relatives,
  rounds,
  recipes,
  notes,
  scenes,
  artworks,
  delivery,
};

type Kinds = typeof kinds;
type OneKind = Kinds[keyof Kinds];
type TypesOf<K> = K extends { readonly types?: infer T } ? NonNullable<T> : never;
type PartsOf<K> = TypesOf<K> extends { readonly parts: infer P } ? P : never;
type CommandOf<K> = TypesOf<K> extends { readonly command: infer C } ? C : never;
type ComparedOf<K> = K extends { readonly compared: infer X } ? X : never;
// A union of what each holds, as one that holds all.
type All<U> = (U extends unknown ? (one: U) => void : never) extends (all: infer A) => void ? A : never;

/** The parts of a document, from the kinds of its things. */
export type DocumentParts = All<PartsOf<OneKind>>;

/**
 * Every change to a document but batches, from the kinds of the things that they change. A command is small, named and
 * serialisable; ids of new things come with it, so that browser and server make the same document of it. An
 * `index` left out means the end of the list.
 */
export type SimpleCommand = CommandOf<OneKind>;
export type Command = SimpleCommand | Batch<SimpleCommand>;

type AllCompared = All<ComparedOf<OneKind>>;
type NamesOf<W extends string> = {
  [N in keyof AllCompared]: AllCompared[N] extends { readonly as: W } ? N : never;
}[keyof AllCompared];

/** Names of lists that are compared and restored as a whole, of lists of things, and of what is no list. */
export type WholeList = NamesOf<'whole'>;
export type OrderedList = NamesOf<'things'>;
export type ValuePart = NamesOf<'value'>;
/** A list whose things are compared and restored one by one, by the word for one of them. */
export type ThingKind = AllCompared[OrderedList] extends { readonly word: infer W } ? W & string : never;

/** A kind as whoever goes through all of them sees it: of some parts of a document. */
export type AnyKind = Kind<object, Typed, DocumentParts>;

type LooksAt = All<TypesOf<OneKind> extends { readonly looksAt: infer D } ? D : never>;

/** All kinds, to be gone through. That what each looks at is in every document is checked here, and forgotten. */
export const KINDS = Object.values(kinds) as unknown as DocumentParts extends LooksAt
  ? readonly AnyKind[]
  : never;

const KIND_OF = new Map(
  Object.entries(kinds).flatMap(([name, { steps }]) =>
    Object.keys(steps).map((type) => [type, name] as const),
  ),
);

/** The name of the kind of thing that a command changes, such as "families"; of a batch that of its first command. */
export function kindOfCommand(command: Command): string {
  const first = command.type === 'batch' ? command.commands[0] : command;
  return (first && KIND_OF.get(first.type)) ?? '';
}

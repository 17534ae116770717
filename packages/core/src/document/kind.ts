import type Joi from 'joi';
import type { StepsOf, Typed, WordsOf } from './commands/definition.ts';
import type { CommandSchemas } from './schema/keys.ts';
import type { ListPart, SchemaParts } from './schema/toolbox.ts';

/** The schemas of a kind: of its parts of a document, and of its commands. */
export interface KindSchemas<P, C extends Typed> {
  readonly parts: {
    readonly [K in keyof P]: P[K] extends readonly unknown[] ? ListPart : Joi.Schema;
  };
  readonly commands: CommandSchemas<C>;
}

interface Identified {
  readonly id: string;
}

type ItemOf<V> = V extends readonly (infer T extends Identified)[] ? T : never;

/** How two states of a list are compared, and one is made the other. */
interface ComparedList<T, C> {
  readonly add: (thing: T, index: number) => C;
  readonly remove: (id: string) => C;
}

/** A list that is compared and restored as a whole. */
interface ComparedWhole<T, C> extends ComparedList<T, C> {
  readonly as: 'whole';
  /** What the list is called: "Tray". */
  readonly title: string;
}

/** A list whose things are compared and restored one by one, and whose order is a part by itself. */
interface ComparedThings<T, C> extends ComparedList<T, C> {
  readonly as: 'things';
  /** The word for one of them, which is also the kind of that part. */
  readonly word: string;
  /** What of a thing differs that is in both, in words: "base", "growth"; its name is looked at for all. */
  readonly differs: (was: T, is: T) => readonly string[];
}

/** Something that is no list, compared and restored as it is. */
interface ComparedValue<V, C> {
  readonly as: 'value';
  /** The commands that make one value another. */
  readonly between: (from: V, to: V) => readonly C[];
}

export type Compared<P, C> = {
  readonly [K in keyof P]: [ItemOf<P[K]>] extends [never]
    ? ComparedValue<P[K], C>
    : ComparedWhole<ItemOf<P[K]>, C> | ComparedThings<ItemOf<P[K]>, C>;
};

/** What is compared, as whoever goes through all of it sees it. */
export type AnyCompared =
  | ComparedWhole<Identified, unknown>
  | ComparedThings<Identified, unknown>
  | ComparedValue<unknown, unknown>;

/**
 * A kind of thing of a project, all that there is to know of it in one object: the parts of the document `P` that are
 * of this kind, its commands `C`, and how they are checked and compared. `D` is what of a document it looks at: its own
 * parts, and of others ids, links and names.
 */
export interface Kind<P extends object, C extends Typed, D extends object, X = Compared<P, C>> {
  /** Its parts as they are in an empty project. */
  readonly empty: P;
  readonly steps: StepsOf<C, D>;
  readonly words: WordsOf<C, D>;
  /** Made of parts that are handed in, so that a page has no checker of schemas before it needs one. */
  readonly schemas: (parts: SchemaParts) => KindSchemas<P, C>;
  /** Refuses things that contradict each other as no sequence of commands leaves them. */
  readonly check?: (document: D) => void;
  readonly compared: X;
  /** Marks the types that are inferred from it. */
  readonly types?: { readonly parts: P; readonly command: C; readonly looksAt: D };
}

/** Defines a kind of thing; the types of its parts and commands come first, the rest is checked against them. */
export const kindOf =
  <P extends object, C extends Typed, D extends object>() =>
  <const X extends Compared<P, C>>(kind: Kind<P, C, D, X>): Kind<P, C, D, X> =>
    kind;

/** Commands made at once, as one edit with one undo. */
export interface Batch<C> {
  readonly type: 'batch';
  readonly label: string;
  readonly commands: readonly C[];
}

/**
 * What a command changes of a document, and the command that takes it back exactly: one of the same kind of thing, or
 * a batch of such.
 */
export type Step<C, D> = readonly [changed: Partial<D>, inverse: C | Batch<C>];

export interface Typed {
  readonly type: string;
}

/** What every command of a kind of thing does: the compiler asks for each. `D` is what of a document it looks at. */
export type StepsOf<C extends Typed, D> = {
  readonly [T in C['type']]: (doc: D, command: Extract<C, { type: T }>) => Step<C, D>;
};

/** What every command of a kind does, in a few words for menus and history: "change the base of Buoy". */
export type WordsOf<C extends Typed, D> = {
  readonly [T in C['type']]: (doc: D, command: Extract<C, { type: T }>) => string;
};

import type { ProjectDocument } from '../document.ts';

/** Commands made at once, as one edit with one undo. */
export interface Batch<C> {
  readonly type: 'batch';
  readonly label: string;
  readonly commands: readonly C[];
}

/**
 * The document after a command, and the command that takes it back exactly: one of the same kind of thing, or a
 * batch of such.
 */
export type Step<C> = readonly [document: ProjectDocument, inverse: C | Batch<C>];

interface Typed {
  readonly type: string;
}

/** What every command of a kind of thing does: the compiler asks for each. */
export type StepsOf<C extends Typed> = {
  readonly [T in C['type']]: (doc: ProjectDocument, command: Extract<C, { type: T }>) => Step<C>;
};

/** What every command of a kind does, in a few words for menus and history: "change the base of Buoy". */
export type WordsOf<C extends Typed> = {
  readonly [T in C['type']]: (doc: ProjectDocument, command: Extract<C, { type: T }>) => string;
};

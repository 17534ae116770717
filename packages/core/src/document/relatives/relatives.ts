import { ADJUSTABLE, type Relation } from '../../harmony/relations.ts';

/** The colour whose relatives are looked at, and what of its relations was adjusted. */
export interface Relatives {
  /** An opaque colour; null until one is chosen. */
  readonly source: string | null;
  /** One for each relation that is not as usual, in no order that matters. */
  readonly rows: readonly RelationRow[];
}

/** A relation as it was adjusted. What is said of members goes by their place, the source being the first. */
export interface RelationRow {
  readonly relation: Relation;
  readonly count: number;
  readonly angle: number;
  /** The designer's own version: how far each member but the source stands from its exact place. */
  readonly own: readonly Shift[];
  /** Whether that version is shown, or the exact one. */
  readonly showsOwn: boolean;
}

/** How far a member is moved from its exact place. */
export interface Shift {
  /** Degrees of hue. */
  readonly turn: number;
  /** OKLCH lightness and chroma. */
  readonly lightness: number;
  readonly chroma: number;
}

/** Members besides the source, at most. */
export const MOST_MEMBERS = 12;
export const NO_SHIFT: Shift = { turn: 0, lightness: 0, chroma: 0 };

/** A relation as it is before anything of it was adjusted. */
export function usualRow(relation: Relation): RelationRow {
  const { count, angle } = ADJUSTABLE[relation];
  return { relation, count: count?.usual ?? 2, angle: angle?.usual ?? 1, own: [], showsOwn: false };
}

export const rowOf = ({ rows }: Pick<Relatives, 'rows'>, relation: Relation): RelationRow =>
  rows.find((row) => row.relation === relation) ?? usualRow(relation);

/** Whether a row has a version of the designer's own. */
export const hasOwn = ({ own }: RelationRow): boolean =>
  own.some(({ turn, lightness, chroma }) => turn !== 0 || lightness !== 0 || chroma !== 0);

/** A row with one member (1 is the first after the source) moved by itself, as the designer's own version. */
export function withShift(row: RelationRow, member: number, shift: Shift): RelationRow {
  const length = Math.max(row.own.length, member);
  const own = Array.from({ length }, (_, i) => row.own[i] ?? NO_SHIFT);
  own[member - 1] = shift;
  return { ...row, own, showsOwn: true };
}

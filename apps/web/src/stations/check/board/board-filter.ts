import type { Content, Level } from '@mint-lamp/core/contrast/targets';
import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import type { Role } from '@mint-lamp/core/document/roles/role';
import type { Readout } from '@mint-lamp/core/judged/readout/readout';

/** Which pairs the board shows; null and false for all. */
export interface BoardFilter {
  readonly failing: boolean;
  readonly theme: string | null;
  readonly content: Content | null;
  readonly level: Level | null;
  /** The outermost group of either role; empty for roles in none. */
  readonly group: string | null;
  /** Under the ground that they stand on, instead of worst first. */
  readonly byGround: boolean;
}

export const EVERYTHING: BoardFilter = {
  failing: false,
  theme: null,
  content: null,
  level: null,
  group: null,
  byGround: false,
};

/** The outermost groups that roles are in, in their order. */
export const outerGroups = (roles: readonly Role[]): string[] => [
  ...new Set(roles.map(({ group }) => group[0] ?? '')),
];

/** Whether a pair fails in a theme, or in some. */
export function failsIn(readout: Readout, place: number, theme: string | null): boolean {
  for (const [id, { measurements }] of readout.measured)
    if ((theme === null || id === theme) && !measurements[place]!.passes) return true;
  return false;
}

/** Whether a pair is of a kind that a filter lets through, whatever it measures. */
export function isOfKind(
  { target, foreground, background }: Pair,
  filter: BoardFilter,
  groupOf: (role: string) => string,
): boolean {
  if (filter.content && target.content !== filter.content) return false;
  if (filter.level && target.content !== 'graphics' && target.level !== filter.level) return false;
  return filter.group === null || [foreground, background].some((role) => groupOf(role) === filter.group);
}

/** A row of the board: a pair by its place in the document, or the ground that those below it stand on. */
export type BoardRow =
  | { readonly kind: 'pair'; readonly key: string; readonly place: number }
  | { readonly kind: 'ground'; readonly key: string; readonly role: string; readonly count: number };

/** The pairs at some places as rows, with a heading for each ground where they are put under them, in the roles' order. */
export function boardRows(
  places: readonly number[],
  pairs: readonly Pair[],
  roles: readonly Role[],
  byGround: boolean,
): BoardRow[] {
  const row = (place: number): BoardRow => ({ kind: 'pair', key: pairs[place]!.id, place });
  if (!byGround) return places.map(row);
  const under = new Map<string, number[]>();
  for (const place of places) {
    const { background } = pairs[place]!;
    const list = under.get(background);
    if (list) list.push(place);
    else under.set(background, [place]);
  }
  const order = new Map(roles.map(({ id }, i) => [id, i]));
  return [...under]
    .sort(([a], [b]) => (order.get(a) ?? roles.length) - (order.get(b) ?? roles.length))
    .flatMap(([role, list]): BoardRow[] => [
      { kind: 'ground', key: `ground ${role}`, role, count: list.length },
      ...list.map(row),
    ]);
}

import type { Gradient } from '../../document/gradients/gradient.ts';
import { pointersOf } from '../../document/gradients/pointers.ts';
import type { ById } from '../by-id.ts';
import type { Families } from '../families/resolved-family.ts';
import type { ResolvedRole } from '../roles/resolved-role.ts';

/** Gradients with stops that have no colour: by id, how many. */
export type LostStops = ReadonlyMap<string, number>;

type Index = ReadonlyMap<string, number>;

/** What there is to point to: families with their labels, and roles. Each object stands for one state of them. */
interface Present {
  readonly families: Families;
  readonly shape: object;
  readonly roles: Index;
}

// For each state of families and of roles, how many stops of a gradient point to what is not there in it.
const known = new WeakMap<object, WeakMap<Index, WeakMap<Gradient, number>>>();

function countsIn({ shape, roles }: Present): WeakMap<Gradient, number> {
  const byRoles = known.get(shape) ?? new WeakMap<Index, WeakMap<Gradient, number>>();
  known.set(shape, byRoles);
  const counts = byRoles.get(roles) ?? new WeakMap<Gradient, number>();
  byRoles.set(roles, counts);
  return counts;
}

function countLost(gradient: Gradient, { families, roles }: Present): number {
  let count = 0;
  for (const { color } of pointersOf(gradient).stops) {
    if (color.to === 'shade' && !families.get(color.family)?.byLabel.has(color.shade)) count++;
    if (color.to === 'base' && !families.get(color.family)) count++;
    if (color.to === 'role' && !roles.has(color.role)) count++;
  }
  return count;
}

/** The stops that point to something that is not there; it is the same in every theme. */
export function lostEverywhere(gradients: readonly Gradient[], present: Present): LostStops {
  const counts = countsIn(present);
  const lost = new Map<string, number>();
  for (const gradient of gradients) {
    let count = counts.get(gradient);
    if (count === undefined) {
      count = countLost(gradient, present);
      counts.set(gradient, count);
    }
    if (count) lost.set(gradient.id, count);
  }
  return lost;
}

/** The stops without a colour in a theme: those lost everywhere, and those that point to a role without one. */
export function lostIn(
  gradients: readonly Gradient[],
  everywhere: LostStops,
  roles: ById<ResolvedRole>,
  colorless: readonly string[],
): LostStops {
  if (!colorless.some((id) => roles.index.has(id))) return everywhere;
  const lost = new Map<string, number>();
  for (const gradient of gradients) {
    const { byRole } = pointersOf(gradient);
    const own = colorless.reduce((n, id) => n + (byRole.get(id)?.length ?? 0), 0);
    const count = own + (everywhere.get(gradient.id) ?? 0);
    if (count) lost.set(gradient.id, count);
  }
  return lost;
}

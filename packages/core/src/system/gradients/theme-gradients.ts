import type { Families } from '../families/resolved-family.ts';
import { ById, indexById } from '../resolve/by-id.ts';
import type { ResolvedRole } from '../roles/resolved-role.ts';
import type { Gradient } from './gradient.ts';
import { type Changed, pointersOf, ResolvedGradient } from './resolved-gradient.ts';

type Roles = ById<ResolvedRole>;

/**
 * The gradients of a theme. Nobody looks at all of them in all themes in one frame: they are made when they are
 * first asked for, and carried on from change to change once they are.
 */
export class ThemeGradients {
  private readonly gradients: readonly Gradient[];
  private readonly families: Families;
  private readonly roles: Roles;
  private made: ById<ResolvedGradient> | null;

  constructor(
    gradients: readonly Gradient[],
    families: Families,
    roles: Roles,
    made: ById<ResolvedGradient> | null = null,
  ) {
    this.gradients = gradients;
    this.families = families;
    this.roles = roles;
    this.made = made;
  }

  get all(): ById<ResolvedGradient> {
    const { gradients, families, roles } = this;
    this.made ??= new ById(
      indexById(gradients),
      gradients.map((gradient) => new ResolvedGradient(gradient, families, roles)),
    );
    return this.made;
  }

  /** The gradients after a change; those that it does not touch stay the same objects. */
  after(gradients: readonly Gradient[], changed: Changed, families: Families, roles: Roles): ThemeGradients {
    const { made } = this;
    if (!made) return new ThemeGradients(gradients, families, roles);
    const index = made.sameIds(gradients) ? made.index : indexById(gradients);
    const list = gradients.map((gradient) => {
      const before = made.get(gradient.id);
      return before?.gradient === gradient
        ? before.after(changed, families, roles)
        : new ResolvedGradient(gradient, families, roles);
    });
    return new ThemeGradients(gradients, families, roles, new ById(index, list));
  }
}

/** Gradients with stops that have no colour in a theme: by id, how many. */
export type LostStops = ReadonlyMap<string, number>;

// For each state of families and labels, how many stops of a gradient have lost their shade in it.
const lostShades = new WeakMap<object, WeakMap<Gradient, number>>();

function countLostShades(gradient: Gradient, families: Families, shape: object): number {
  let counts = lostShades.get(shape);
  if (!counts) {
    counts = new WeakMap();
    lostShades.set(shape, counts);
  }
  let count = counts.get(gradient);
  if (count === undefined) {
    count = 0;
    for (const { color } of pointersOf(gradient).stops)
      if (color.to === 'shade' && !families.get(color.family)?.byLabel.has(color.shade)) count++;
    counts.set(gradient, count);
  }
  return count;
}

/**
 * The stops without a colour in a theme. `shape` is an object that stands for the families and labels that there
 * are; `colorless` the ids of roles that have no colour in this theme.
 */
export function lostStops(
  gradients: readonly Gradient[],
  families: Families,
  shape: object,
  roles: Roles,
  colorless: readonly string[],
): LostStops {
  const lost = new Map<string, number>();
  const gone = colorless.length > 0;
  for (const gradient of gradients) {
    let count = countLostShades(gradient, families, shape);
    for (const [role, stops] of pointersOf(gradient).byRole)
      if (!roles.index.has(role) || (gone && !roles.get(role)!.color)) count += stops.length;
    if (count) lost.set(gradient.id, count);
  }
  return lost;
}

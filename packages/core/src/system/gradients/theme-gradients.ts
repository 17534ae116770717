import type { Gradient } from '../../document/gradients/gradient.ts';
import { ById, indexById } from '../by-id.ts';
import type { Families } from '../families/resolved-family.ts';
import type { ResolvedRole } from '../roles/resolved-role.ts';
import { type Changed, type ResolvedGradient, resolvedGradient } from './resolved-gradient.ts';

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
      gradients.map((gradient) => resolvedGradient(gradient, families, roles)),
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
        : resolvedGradient(gradient, families, roles);
    });
    return new ThemeGradients(gradients, families, roles, new ById(index, list));
  }
}

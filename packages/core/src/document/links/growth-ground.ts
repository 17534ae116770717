import type { Growth } from '../../family/grow.ts';

/** What a growth by opacity or contrast goes by: a plain colour, or something of the project that it follows. */
export type GrowthGround =
  | { readonly to: 'color'; readonly color: string }
  | { readonly to: 'shade'; readonly family: string; readonly shade: string }
  | { readonly to: 'base'; readonly family: string }
  /** A role as it is in one theme, since a family is the same in all of them. */
  | { readonly to: 'role'; readonly role: string; readonly theme: string };

/** The recipe by which a family of a project grows; what it grows over or against can be linked. */
export type FamilyGrowth = Growth<GrowthGround>;

export const groundOfGrowth = (growth: FamilyGrowth): GrowthGround | null =>
  growth.kind === 'opacity' || growth.kind === 'contrast' ? growth.ground : null;

/** A growth on a ground that is a plain colour; growths without a ground as they are. */
export function grownOn(growth: FamilyGrowth, color: string): Growth {
  return growth.kind === 'opacity' || growth.kind === 'contrast' ? { ...growth, ground: color } : growth;
}

/** A growth whose ground is a plain colour, as one of a project. */
export function plainlyGrounded(growth: Growth): FamilyGrowth {
  return growth.kind === 'opacity' || growth.kind === 'contrast'
    ? { ...growth, ground: { to: 'color', color: growth.ground } }
    : growth;
}

interface Grown {
  readonly growth: FamilyGrowth;
}

// A list of families never changes, only its successor does.
const onRoles = new WeakMap<readonly Grown[], boolean>();

/** Whether one of the families is grown on the colour of a role. */
export function anyOnRole(families: readonly Grown[]): boolean {
  let known = onRoles.get(families);
  if (known === undefined) {
    known = families.some(({ growth }) => groundOfGrowth(growth)?.to === 'role');
    onRoles.set(families, known);
  }
  return known;
}

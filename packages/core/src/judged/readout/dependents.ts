import type { Family } from '../../document/families/family.ts';
import { type Gradient, stopsOf } from '../../document/gradients/gradient.ts';
import { followedBy } from '../../document/links/following.ts';
import { groundOfGrowth } from '../../document/links/growth-ground.ts';
import type { Link, RoleLink } from '../../document/links/link.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import type { Role } from '../../document/roles/role.ts';
import { paint } from '../../system/painted.ts';
import type { System } from '../../system/resolve.ts';
import type { ResolvedRole } from '../../system/roles/resolved-role.ts';

/** What others can depend on. */
export type Depended =
  | { readonly kind: 'base'; readonly family: string }
  | { readonly kind: 'shade'; readonly family: string; readonly shade: string }
  | { readonly kind: 'role'; readonly role: string }
  /** A plain colour, as it is written: what was given that very colour. */
  | { readonly kind: 'color'; readonly color: string };

/** Everything that changes with a thing, over all themes. */
export interface Dependents {
  /** Roles with the ids of the themes in which they do, directly or by way of other roles. */
  readonly roles: readonly { readonly role: Role; readonly themes: readonly string[] }[];
  readonly gradients: readonly Gradient[];
  /** Families whose base or growth goes by it, directly or by way of others. */
  readonly families: readonly Family[];
  /** Pairs of it or of the roles above. */
  readonly pairs: readonly Pair[];
}

const isColor = (link: RoleLink | null | undefined, color: string) =>
  link?.to === 'color' && paint(link.color).css === paint(color).css;

/** Whether a role comes to a thing in a theme, directly or by way of other roles. */
function roleDepends(
  thing: Depended,
  resolved: ResolvedRole,
  roleOf: (id: string) => ResolvedRole | undefined,
) {
  if (thing.kind === 'color') return isColor(resolved.link, thing.color);
  if (thing.kind !== 'role') {
    const { source } = resolved;
    return source?.family === thing.family && (thing.kind === 'base' || source.shade === thing.shade);
  }
  const seen = new Set<string>();
  for (let at: ResolvedRole | undefined = resolved; at; ) {
    const link: RoleLink | null = at.link;
    if (link?.to !== 'role' || seen.has(link.role)) return false;
    if (link.role === thing.role) return true;
    seen.add(link.role);
    at = roleOf(link.role);
  }
  return false;
}

/** Families that go by one of some families, or by the thing itself; those that go by them too. */
function dependentFamilies(
  { document, families }: System,
  thing: Depended,
  roles: ReadonlySet<string>,
): Family[] {
  const moved = new Set(thing.kind === 'base' ? [thing.family] : []);
  const goesBy = (family: Family): boolean => {
    // A base that was taken from the colour, and is its own.
    if (thing.kind === 'color' && !family.follows && paint(family.base).css === paint(thing.color).css)
      return true;
    if (followedBy(family.follows).some((id) => moved.has(id))) return true;
    const ground = groundOfGrowth(family.growth);
    if (ground?.to === 'role') return roles.has(ground.role);
    if (ground?.to !== 'shade' && ground?.to !== 'base') return false;
    const isThis = thing.kind === 'shade' && ground.to === 'shade';
    return (
      moved.has(ground.family) || (isThis && ground.family === thing.family && ground.shade === thing.shade)
    );
  };
  const found: Family[] = [];
  for (let grew = true; grew; ) {
    grew = false;
    for (const family of document.families) {
      if (moved.has(family.id) || !families.get(family.id) || !goesBy(family)) continue;
      moved.add(family.id);
      found.push(family);
      grew = true;
    }
  }
  return found;
}

function stopDepends(link: Link, thing: Depended, families: System['families'], roles: ReadonlySet<string>) {
  if (link.to === 'color') return thing.kind === 'color' && isColor(link, thing.color);
  if (link.to === 'role') return roles.has(link.role);
  if (thing.kind === 'role' || thing.kind === 'color' || link.family !== thing.family) return false;
  const family = families.get(link.family);
  const label = link.to === 'shade' ? link.shade : family?.base.label;
  // A link to a label that is gone leads nowhere.
  if (label === undefined || !family?.byLabel.has(label)) return false;
  return thing.kind === 'base' || label === thing.shade;
}

/** Everything that depends on a base, a shade or a role, in all themes; itself not among it. */
export function dependentsOf(system: System, thing: Depended): Dependents {
  const { document, themes, families } = system;
  const inThemes = new Map<string, string[]>();
  const add = (role: string, theme: string) => {
    const list = inThemes.get(role);
    if (!list) inThemes.set(role, [theme]);
    else if (!list.includes(theme)) list.push(theme);
  };
  for (const [id, theme] of themes)
    for (const resolved of theme.roles.values())
      if (roleDepends(thing, resolved, (role) => theme.roles.get(role))) add(resolved.role.id, id);
  const plain = new Set(inThemes.keys());
  if (thing.kind === 'role') plain.add(thing.role);
  const gradients = document.gradients.filter((gradient) =>
    stopsOf(gradient).some(({ color }) => stopDepends(color, thing, families, plain)),
  );
  // No stop takes its colour of a role that a gradient paints, so that nothing more comes of these.
  const ids = new Set(gradients.map(({ id }) => id));
  if (ids.size)
    for (const [id, theme] of themes)
      for (const { role, gradient } of theme.roles.values())
        if (gradient !== null && ids.has(gradient)) add(role.id, id);
  const roles = new Set([...plain, ...inThemes.keys()]);
  return {
    roles: document.roles.flatMap((role) => {
      const list = inThemes.get(role.id);
      return list ? [{ role, themes: list }] : [];
    }),
    gradients,
    families: dependentFamilies(system, thing, roles),
    pairs: document.pairs.filter(
      ({ foreground, background, veil, backdrop }) =>
        roles.has(foreground) ||
        roles.has(background) ||
        (veil !== undefined && roles.has(veil)) ||
        (backdrop?.kind === 'gradient' && ids.has(backdrop.gradient)),
    ),
  };
}

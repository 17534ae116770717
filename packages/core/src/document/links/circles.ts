import { readColor } from '../../color/parse.ts';
import { Refusal } from '../commands/refusal.ts';
import { type NamedRole, writeRoleName } from '../naming/role-name.ts';
import { type Following, followedBy } from './following.ts';
import { anyOnRole, type FamilyGrowth, groundOfGrowth } from './growth-ground.ts';
import type { RoleLink } from './link.ts';
import { rolesOf } from './roles-by-id.ts';

/** Something whose colour can come of the colours of others. */
export type Dependent =
  | { readonly kind: 'base'; readonly family: string }
  | { readonly kind: 'shades'; readonly family: string }
  | { readonly kind: 'role'; readonly role: string; readonly theme: string };

const keyOf = (one: Dependent) =>
  one.kind === 'role' ? `role ${one.theme} ${one.role}` : `${one.kind} ${one.family}`;

interface LinkedFamily {
  readonly id: string;
  readonly name: string;
  readonly follows: Following | null;
  readonly growth: FamilyGrowth;
  readonly handSet: Readonly<Record<string, string>>;
}

interface LinkedRole extends NamedRole {
  readonly links: Readonly<Record<string, RoleLink>>;
}

/** What circles can be in. */
export interface Linked {
  readonly families: readonly LinkedFamily[];
  readonly roles: readonly LinkedRole[];
  readonly ground: string | null;
}

const familyOf = (doc: Linked, id: string): LinkedFamily | undefined =>
  doc.families.find((one) => one.id === id);

/** What the colour of something comes of, directly. */
function originsOf(doc: Linked, one: Dependent): Dependent[] {
  if (one.kind === 'role') {
    const link = rolesOf(doc.roles).get(one.role)?.links[one.theme];
    // A gradient's stops never take their colours of roles that gradients paint.
    if (!link || link.to === 'color' || link.to === 'gradient') return [];
    if (link.to === 'role') return [{ kind: 'role', role: link.role, theme: one.theme }];
    return [{ kind: link.to === 'base' ? 'base' : 'shades', family: link.family }];
  }
  const family = familyOf(doc, one.family);
  if (!family) return [];
  if (one.kind === 'base') return followedBy(family.follows).map((id) => ({ kind: 'base', family: id }));
  const base: Dependent = { kind: 'base', family: one.family };
  const ground = groundOfGrowth(family.growth);
  if (!ground || ground.to === 'color') return [base];
  if (ground.to !== 'role')
    return [base, { kind: ground.to === 'base' ? 'base' : 'shades', family: ground.family }];
  const role: Dependent = { kind: 'role', role: ground.role, theme: ground.theme };
  if (doc.ground === null || !letsThrough(doc, ground.role, ground.theme)) return [base, role];
  return [base, role, { kind: 'role', role: doc.ground, theme: ground.theme }];
}

/** Whether a role is translucent in a theme, so that what lies beneath the page is seen through it. */
function letsThrough(doc: Linked, id: string, theme: string): boolean {
  let link = rolesOf(doc.roles).get(id)?.links[theme];
  for (const seen = new Set([id]); link; ) {
    if (link.to === 'gradient') return false;
    if ((link.opacity ?? 1) < 1) return true;
    if (link.to === 'color') return (readColor(link.color).alpha ?? 1) < 1;
    if (link.to === 'base') return false;
    if (link.to === 'shade') {
      const own = familyOf(doc, link.family)?.handSet[link.shade];
      return own !== undefined && (readColor(own).alpha ?? 1) < 1;
    }
    if (seen.has(link.role)) return false;
    seen.add(link.role);
    link = rolesOf(doc.roles).get(link.role)?.links[theme];
  }
  return false;
}

function nameOf(doc: Linked, one: Dependent): string {
  if (one.kind === 'role') {
    const role = rolesOf(doc.roles).get(one.role);
    return role ? writeRoleName(role) : 'a removed role';
  }
  return familyOf(doc, one.family)?.name ?? 'a removed family';
}

/**
 * Refuses a document in which one of these, or what it comes of, or a family that is grown on a role, comes of itself: roles that point to each other,
 * families that follow each other, a family grown on a role that shows one of its shades. The reason names the circle.
 */
export function refuseCircles(doc: Linked, starts: readonly Dependent[]): void {
  const sound = new Set<string>();
  const way: Dependent[] = [];
  const onWay = new Set<string>();
  const visit = (one: Dependent): void => {
    const key = keyOf(one);
    if (sound.has(key)) return;
    if (onWay.has(key)) {
      const circle = [...way.slice(way.findIndex((other) => keyOf(other) === key)), one];
      // A family's shades come of its base: that is one family to a reader.
      const names = circle.map((other) => nameOf(doc, other)).filter((name, i, all) => name !== all[i - 1]);
      if (names.length === 1) names.push(names[0]!);
      throw new Refusal(`${names[0]} would come of itself: ${names.join(' → ')}.`);
    }
    way.push(one);
    onWay.add(key);
    for (const origin of originsOf(doc, one)) visit(origin);
    way.pop();
    onWay.delete(key);
    sound.add(key);
  };
  for (const start of starts) visit(start);
  // What these are seen on changes with a role's opacity and with what lies beneath the page.
  if (anyOnRole(doc.families))
    for (const { id, growth } of doc.families)
      if (groundOfGrowth(growth)?.to === 'role') visit({ kind: 'shades', family: id });
}

/** Whether a link could be part of a circle at all: most cannot, which is told without looking at the others. */
export const canCircle = ({ families }: Linked, link: RoleLink): boolean =>
  link.to === 'role' || anyOnRole(families);

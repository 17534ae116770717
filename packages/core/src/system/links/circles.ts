import { Refusal } from '../commands/refusal.ts';
import type { ProjectDocument } from '../document.ts';
import type { Family } from '../families/family.ts';
import { followedBy } from '../families/following.ts';
import { groundOfGrowth } from '../families/growth-ground.ts';
import { rolesOf } from '../families/resolved-families.ts';
import { writeRoleName } from '../roles/role-name.ts';

/** Something whose colour can come of the colours of others. */
export type Dependent =
  | { readonly kind: 'base'; readonly family: string }
  | { readonly kind: 'shades'; readonly family: string }
  | { readonly kind: 'role'; readonly role: string; readonly theme: string };

const keyOf = (one: Dependent) =>
  one.kind === 'role' ? `role ${one.theme} ${one.role}` : `${one.kind} ${one.family}`;

type Lists = Pick<ProjectDocument, 'families' | 'roles' | 'ground'>;

const familyOf = (doc: Lists, id: string): Family | undefined => doc.families.find((one) => one.id === id);

/** What the colour of something comes of, directly. */
function originsOf(doc: Lists, one: Dependent): Dependent[] {
  if (one.kind === 'role') {
    const link = rolesOf(doc.roles).get(one.role)?.links[one.theme];
    if (!link || link.to === 'color') return [];
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
  // A translucent one is seen on what lies beneath the page.
  return doc.ground === null
    ? [base, role]
    : [base, role, { kind: 'role', role: doc.ground, theme: ground.theme }];
}

function nameOf(doc: Lists, one: Dependent): string {
  if (one.kind === 'role') {
    const role = rolesOf(doc.roles).get(one.role);
    return role ? writeRoleName(role) : 'a role that is gone';
  }
  return familyOf(doc, one.family)?.name ?? 'a family that is gone';
}

/**
 * Refuses a document in which one of these, or what it comes of, comes of itself: roles that point to each other,
 * families that follow each other, a family grown on a role that shows one of its shades. The reason names the circle.
 */
export function refuseCircles(doc: Lists, starts: readonly Dependent[]): void {
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
}

/** The shades of the families that are grown on a role. */
export const grownOnRoles = ({ families }: Lists): Dependent[] =>
  families
    .filter(({ growth }) => groundOfGrowth(growth)?.to === 'role')
    .map(({ id }) => ({ kind: 'shades', family: id }));

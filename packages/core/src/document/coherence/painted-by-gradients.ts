import { Refusal } from '../commands/refusal.ts';
import type { ProjectDocument } from '../document.ts';
import type { Family } from '../families/family.ts';
import { pointersOf } from '../gradients/pointers.ts';
import { groundOfGrowth } from '../links/growth-ground.ts';
import { writeRoleName } from '../naming/role-name.ts';
import type { Pair } from '../pairs/pair.ts';
import type { Role } from '../roles/role.ts';
import { usageOf } from './role-use.ts';

/** A role that a gradient paints in some theme, with one such gradient and whether an opacity is laid over it on the way. */
interface PaintedRole {
  readonly role: Role;
  readonly theme: string;
  readonly gradient: string;
  readonly faded: boolean;
}

const linksToGradient = new WeakMap<Role, boolean>();

/** Whether a role itself points to a gradient in some theme. */
function pointsToGradient(role: Role): boolean {
  let points = linksToGradient.get(role);
  if (points === undefined) {
    points = Object.values(role.links).some(({ to }) => to === 'gradient');
    linksToGradient.set(role, points);
  }
  return points;
}

// A list of roles never changes, only its successor does.
const known = new WeakMap<readonly Role[], ReadonlyMap<string, PaintedRole>>();
const NONE: ReadonlyMap<string, PaintedRole> = new Map();

/** The roles that gradients paint in some theme, directly or by way of other roles, by id. */
export function paintedByGradients(roles: readonly Role[]): ReadonlyMap<string, PaintedRole> {
  const before = known.get(roles);
  if (before) return before;
  let found: ReadonlyMap<string, PaintedRole> = NONE;
  if (roles.some(pointsToGradient)) {
    const out = new Map<string, PaintedRole>();
    const byId = new Map(roles.map((role) => [role.id, role]));
    for (const role of roles)
      for (const theme of Object.keys(role.links)) {
        let link = role.links[theme];
        let faded = false;
        for (const seen = new Set<string>(); link?.to === 'role' && !seen.has(link.role); ) {
          faded ||= (link.opacity ?? 1) < 1;
          seen.add(link.role);
          link = byId.get(link.role)?.links[theme];
        }
        if (link?.to !== 'gradient') continue;
        const one = { role, theme, gradient: link.gradient, faded };
        if (faded || !out.has(role.id)) out.set(role.id, one);
      }
    found = out;
  }
  known.set(roles, found);
  return found;
}

type Lists = Pick<ProjectDocument, 'roles' | 'gradients' | 'pairs' | 'families' | 'ground'>;

const veils = new WeakMap<readonly Pair[], ReadonlySet<string>>();

/** The roles that are veils of pairs. */
function veilsOf(pairs: readonly Pair[]): ReadonlySet<string> {
  let found = veils.get(pairs);
  if (!found) {
    found = new Set(pairs.flatMap(({ veil }) => veil ?? []));
    veils.set(pairs, found);
  }
  return found;
}

/** What is looked at again for every role, by role. */
interface Needs {
  readonly veils: ReadonlySet<string>;
  /** Families that are grown on a role. */
  readonly grown: ReadonlyMap<string, Family>;
}

function needsOf({ pairs, families }: Lists): Needs {
  const grown = new Map<string, Family>();
  for (const family of families) {
    const ground = groundOfGrowth(family.growth);
    if (ground?.to === 'role' && !grown.has(ground.role)) grown.set(ground.role, family);
  }
  return { veils: veilsOf(pairs), grown };
}

/** Why something needs one colour of a role; null where nothing does. */
function plainNeed(doc: Lists, needs: Needs, { role, faded }: PaintedRole): string | null {
  if (faded) return 'it is shown through an opacity; give the gradient’s stops one instead';
  const use = usageOf(role, doc.pairs);
  if (use === 'line') return 'it draws lines and borders';
  if (use === 'ring') return 'it draws a ring';
  if (doc.ground === role.id) return 'it lies beneath the page, and everything is measured on it';
  if (needs.veils.has(role.id)) return 'it is the veil of a pair';
  const grown = needs.grown.get(role.id);
  if (grown) return `${grown.name} is grown on it`;
  const gradient = doc.gradients.find((one) => pointersOf(one).byRole.has(role.id));
  return gradient ? `a stop of ${gradient.name} takes its colour from it` : null;
}

/**
 * Refuses a document in which a gradient paints a role of which one colour is needed: for lines and rings, beneath the
 * page, as a veil, for a stop, for a growth, through an opacity. The reason names the role, the gradient and the need.
 */
export function refuseGradients(doc: Lists): void {
  const painted = paintedByGradients(doc.roles);
  if (!painted.size) return;
  const needs = needsOf(doc);
  for (const one of painted.values()) {
    const need = plainNeed(doc, needs, one);
    if (!need) continue;
    const gradient = doc.gradients.find(({ id }) => id === one.gradient)?.name ?? 'a gradient';
    throw new Refusal(`${writeRoleName(one.role)} needs one colour and not ${gradient}: ${need}.`);
  }
}

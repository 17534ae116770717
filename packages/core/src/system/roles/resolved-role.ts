import type { RoleLink } from '../../document/links/link.ts';
import type { Role } from '../../document/roles/role.ts';
import { ById } from '../by-id.ts';
import type { Families } from '../families/resolved-family.ts';
import { type Followed, follow, LOOP, NO_ROLE, type Target, UNSET } from '../follow.ts';
import type { Painted } from '../painted.ts';
import { placesAfter } from './role-pointers.ts';

/** A role in one theme. */
export interface ResolvedRole extends Target {
  readonly role: Role;
  readonly link: RoleLink | null;
}

/** What is known of the same theme at an earlier state. */
export interface RolesBefore {
  /** What they were worked out from. */
  readonly list: readonly Role[];
  readonly roles: ById<ResolvedRole>;
  /** Ids of the families whose shades are not what they were then. */
  readonly changedFamilies: ReadonlySet<string>;
  /** The gradients that there were. */
  readonly gradients: ReadonlySet<string>;
}

/** How far a role is worked out. */
const [OPEN, DONE] = [1, 2];

const sameTarget = (a: Target, b: Target) =>
  a === b ||
  (a.color === b.color &&
    a.problem === b.problem &&
    a.gradient === b.gradient &&
    a.source === b.source &&
    a.opacity === b.opacity);

const sameLink = (a: Target, b: Target) => a.color === b.color && a.gradient === b.gradient;
const sameLook = (a: Painted | null, b: Painted | null) =>
  a === b || (a !== null && b !== null && a.css === b.css && a.alpha === b.alpha && a.outside === b.outside);

/** The target as it was, where it comes to the same; so that what follows it need not be worked out again. */
function steady(now: Target, before: Target | undefined): Target {
  const same =
    before &&
    before.problem === now.problem &&
    before.opacity === now.opacity &&
    before.gradient === now.gradient &&
    before.source?.family === now.source?.family &&
    before.source?.shade === now.source?.shade &&
    sameLook(before.color, now.color);
  return same ? before : now;
}

/**
 * All roles in one theme; `index` has their places by id, `gradients` the ids of those that there are. Given an earlier state, roles whose link and whose link's target are as they were stay
 * the same objects.
 */
export function resolveRoles(
  list: readonly Role[],
  theme: string,
  families: Families,
  gradients: ReadonlySet<string>,
  index: ReadonlyMap<string, number>,
  before?: RolesBefore,
): ById<ResolvedRole> {
  // Where nothing but families has changed, just what points to them is looked at.
  const onlyFamilies =
    before?.list === list && before.gradients === gradients && before.roles.index === index;
  const touched = onlyFamilies ? placesAfter(list, theme, before.changedFamilies) : null;
  const out: ResolvedRole[] = onlyFamilies ? [...before.roles.values()] : new Array(list.length);
  const state = new Uint8Array(list.length);
  let changed = !before || before.roles.index !== index;

  const roleOf = (id: string): Target => {
    const at = index.get(id);
    return at === undefined ? NO_ROLE : resolveAt(at);
  };
  /** Whether what the link leads to is as it was; a role that it leads to is worked out first. */
  const isSteady = (link: RoleLink | null, { roles, changedFamilies, gradients: old }: RolesBefore) => {
    if (!link || link.to === 'color') return true;
    if (link.to === 'gradient') return gradients.has(link.gradient) === old.has(link.gradient);
    if (link.to === 'shade' || link.to === 'base') return !changedFamilies.has(link.family);
    return sameTarget(roleOf(link.role), roles.get(link.role) ?? NO_ROLE);
  };
  const resolveAt = (at: number): Target => {
    if (state[at] === DONE || (touched && !touched.has(at))) return out[at]!;
    if (state[at]) return LOOP;
    state[at] = OPEN;
    const role = list[at]!;
    const old = before && (before.roles.index === index ? before.roles.at(at) : before.roles.get(role.id));
    const link = old?.role === role ? old.link : (role.links[theme] ?? null);
    let resolved: ResolvedRole;
    if (old && old.link === link && isSteady(link, before))
      resolved = old.role === role ? old : { ...old, role };
    else {
      const { color, problem, gradient, source, opacity } = steady(
        link ? follow(link, followed) : UNSET,
        old,
      );
      resolved =
        old?.role === role &&
        old.color === color &&
        old.source === source &&
        old.problem === problem &&
        old.gradient === gradient
          ? old
          : { role, link, color, problem, gradient, source, opacity };
    }
    if (resolved !== old) changed = true;
    out[at] = resolved;
    state[at] = DONE;
    return resolved;
  };
  const followed: Followed = { families, hasGradient: (id) => gradients.has(id), roleOf };
  if (touched) for (const at of touched) resolveAt(at);
  else for (let at = 0; at < list.length; at++) resolveAt(at);
  return changed ? new ById(index, out) : before!.roles;
}

/** Ids of the roles that are not painted as they were, those that came or went among them. Gradients count by their ids. */
export function recoloredRoles(before: ById<ResolvedRole>, now: ById<ResolvedRole>): string[] {
  if (before === now) return [];
  const out: string[] = [];
  if (before.index === now.index) {
    const [old, list] = [before.values(), now.values()];
    for (let i = 0; i < list.length; i++)
      if (list[i] !== old[i] && !sameLink(list[i]!, old[i]!)) out.push(list[i]!.role.id);
    return out;
  }
  for (const [id, role] of now) {
    const old = before.get(id);
    if (!old || !sameLink(old, role)) out.push(id);
  }
  for (const [id] of before) if (!now.get(id)) out.push(id);
  return out;
}

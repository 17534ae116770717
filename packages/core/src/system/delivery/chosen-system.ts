import type { LeftOut } from '../../document/delivery/delivery.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Family } from '../../document/families/family.ts';
import { type Gradient, stopsOf } from '../../document/gradients/gradient.ts';
import { followedBy } from '../../document/links/following.ts';
import { groundOfGrowth } from '../../document/links/growth-ground.ts';
import type { Link, RoleLink } from '../../document/links/link.ts';
import type { Role } from '../../document/roles/role.ts';
import type { Painted } from '../painted.ts';
import { paint } from '../painted.ts';
import { resolveSystem, type System } from '../resolve.ts';

/** What goes out: the system of it, and what goes with it since something that was chosen needs it. */
export interface ChosenSystem {
  readonly system: System;
  /** Ids that were left out and go all the same. */
  readonly needed: { readonly roles: readonly string[]; readonly gradients: readonly string[] };
}

const NOTHING_NEEDED = { roles: [], gradients: [] };

/** The gradients that roles are painted by in some themes. */
const gradientsOf = (role: Role, themes: ReadonlySet<string>): string[] =>
  Object.entries(role.links).flatMap(([theme, link]) =>
    themes.has(theme) && link.to === 'gradient' ? [link.gradient] : [],
  );

/**
 * Adds what the chosen ones cannot do without: a gradient that paints a role, a role that a stop points to, since either is
 * another colour in each theme.
 */
function withNeeded(
  doc: ProjectDocument,
  roles: Set<string>,
  gradients: Set<string>,
  themes: ReadonlySet<string>,
) {
  const byId = new Map(doc.roles.map((role) => [role.id, role]));
  const gradientById = new Map(doc.gradients.map((gradient) => [gradient.id, gradient]));
  const needed = { roles: [] as string[], gradients: [] as string[] };
  const waitingRoles = [...roles];
  const waitingGradients = [...gradients];
  while (waitingRoles.length || waitingGradients.length) {
    const gradient = gradientById.get(waitingGradients.pop() ?? '');
    for (const { color } of gradient ? stopsOf(gradient) : [])
      if (color.to === 'role' && byId.has(color.role) && !roles.has(color.role)) {
        roles.add(color.role);
        needed.roles.push(color.role);
        waitingRoles.push(color.role);
      }
    const role = byId.get(waitingRoles.pop() ?? '');
    for (const id of role ? gradientsOf(role, themes) : [])
      if (gradientById.has(id) && !gradients.has(id)) {
        gradients.add(id);
        needed.gradients.push(id);
        waitingGradients.push(id);
      }
  }
  return needed;
}

const plain = (color: Painted): Link => ({ to: 'color', color: color.css });

/** A family that stands by itself where others that it goes by are left out. */
function byItself(
  family: Family,
  system: System,
  families: ReadonlySet<string>,
  roles: ReadonlySet<string>,
): Family {
  const resolved = system.families.get(family.id)!;
  const ground = groundOfGrowth(family.growth);
  const isOut =
    ground &&
    ((ground.to === 'role' && !roles.has(ground.role)) ||
      ((ground.to === 'shade' || ground.to === 'base') && !families.has(ground.family)));
  const follows = followedBy(family.follows).every((id) => families.has(id)) ? family.follows : null;
  const growth = isOut
    ? { ...family.growth, ground: { to: 'color' as const, color: resolved.ground ?? '#ffffff' } }
    : family.growth;
  if (follows === family.follows && growth === family.growth) return family;
  return { ...family, base: resolved.base.text, follows, growth: growth as Family['growth'] };
}

/**
 * The part of a system that is handed over: all but what is left out. Every colour stays what it was: a link to what is left
 * out becomes the colour that it came to, a family that followed one stands by itself. The same system where nothing is left
 * out; where all themes are, the first one goes.
 */
export function chosenSystem(system: System, leftOut: LeftOut): ChosenSystem {
  const { document } = system;
  const stays = <T extends { readonly id: string }>(list: readonly T[], out: readonly string[]) => {
    const gone = new Set(out);
    return list.filter(({ id }) => !gone.has(id));
  };
  const staying = stays(document.themes, leftOut.theme);
  const themes = staying.length ? staying : document.themes.slice(0, 1);
  const keptThemes = new Set(themes.map(({ id }) => id));
  const families = new Set(stays(document.families, leftOut.family).map(({ id }) => id));
  const roles = new Set(stays(document.roles, leftOut.role).map(({ id }) => id));
  const gradients = new Set(stays(document.gradients, leftOut.gradient).map(({ id }) => id));
  const needed = withNeeded(document, roles, gradients, keptThemes);
  const isWhole =
    themes.length === document.themes.length &&
    families.size === document.families.length &&
    roles.size === document.roles.length &&
    gradients.size === document.gradients.length;
  if (isWhole) return { system, needed: NOTHING_NEEDED };

  const isKept = (link: RoleLink): boolean => {
    if (link.to === 'role') return roles.has(link.role);
    return link.to === 'shade' || link.to === 'base' ? families.has(link.family) : true;
  };
  const linkIn = (role: Role, theme: string, link: RoleLink): RoleLink => {
    if (isKept(link)) return link;
    const { color = null, gradient = null } = system.themes.get(theme)!.roles.get(role.id)!;
    if (gradient) return { to: 'gradient', gradient };
    // What is broken stays so, with its reason.
    return color ? plain(color) : link;
  };
  const firstTheme = system.themes.get(themes[0]!.id)!;
  const stopColor = (gradient: Gradient, index: number, link: Link): Link => {
    if (isKept(link)) return link;
    const color = firstTheme.gradients.get(gradient.id)!.colors[index];
    return color ? plain(color) : link;
  };

  const chosen: ProjectDocument = {
    ...document,
    themes,
    families: document.families
      .filter(({ id }) => families.has(id))
      .map((family) => byItself(family, system, families, roles)),
    roles: document.roles
      .filter(({ id }) => roles.has(id))
      .map((role) => ({
        ...role,
        links: Object.fromEntries(
          Object.entries(role.links)
            .filter(([theme]) => keptThemes.has(theme))
            .map(([theme, link]) => [theme, linkIn(role, theme, link)]),
        ),
      })),
    gradients: document.gradients
      .filter(({ id }) => gradients.has(id))
      .map((gradient) => {
        let index = -1;
        const stops = gradient.stops.map((item) => {
          if (item.kind === 'hint') return item;
          index += 1;
          return { ...item, color: stopColor(gradient, index, item.color) };
        });
        return { ...gradient, stops };
      }),
    pairs: document.pairs.filter(
      ({ foreground, background, veil, backdrop }) =>
        roles.has(foreground) &&
        roles.has(background) &&
        (veil === undefined || roles.has(veil)) &&
        (backdrop?.kind !== 'gradient' || gradients.has(backdrop.gradient)),
    ),
    ground: document.ground !== null && roles.has(document.ground) ? document.ground : null,
    notes: document.notes,
  };
  return { system: resolveSystem(withSameShades(chosen, system), undefined, system.regions), needed };
}

/** The document with those families' shades set by hand that would grow to other colours than they had. */
function withSameShades(chosen: ProjectDocument, system: System): ProjectDocument {
  const now = resolveSystem(chosen);
  const families = chosen.families.map((family) => {
    const before = system.families.get(family.id)!;
    const after = now.families.get(family.id)!;
    const moved = before.shades.filter(({ label, css }) => after.byLabel.get(label)?.css !== css);
    if (!moved.length) return family;
    const set = Object.fromEntries(moved.map(({ label, css }) => [label, paint(css).css]));
    return { ...family, handSet: { ...family.handSet, ...set } };
  });
  return families.every((family, i) => family === chosen.families[i]) ? chosen : { ...chosen, families };
}

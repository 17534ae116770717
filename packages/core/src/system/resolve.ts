import { readColor } from '../color/parse.ts';
import { growShades } from '../family/growth.ts';
import type { Family, Gradient, Link, ProjectDocument, Role, Theme } from './document.ts';
import { fade, type Painted, paint } from './painted.ts';

export interface ResolvedShade extends Painted {
  readonly label: string;
  readonly isBase: boolean;
  readonly handSet: boolean;
}

export interface ResolvedFamily {
  readonly family: Family;
  /** Lightest first. */
  readonly shades: readonly ResolvedShade[];
  readonly byLabel: ReadonlyMap<string, ResolvedShade>;
}

export interface ResolvedRole {
  readonly role: Role;
  readonly link: Link | null;
  /** Null when the link is broken or missing; `problem` then says why. */
  readonly color: Painted | null;
  readonly problem: string | null;
  /** The shade that the chain of links ends at, if it ends at one. */
  readonly source: { readonly family: string; readonly shade: string } | null;
  /** Product of the opacities along the chain. */
  readonly opacity: number;
}

export interface ResolvedGradient {
  readonly gradient: Gradient;
  /** Colours of the stops, in the gradient's order; null where the link is broken. */
  readonly colors: readonly (Painted | null)[];
  /** How many stops have no colour. */
  readonly lost: number;
}

export interface ResolvedTheme {
  readonly theme: Theme;
  readonly roles: ReadonlyMap<string, ResolvedRole>;
  readonly gradients: ReadonlyMap<string, ResolvedGradient>;
  /** Roles whose chain ends in a family, by family, a role after the roles that it points to. */
  readonly byFamily: ReadonlyMap<string, readonly string[]>;
}

/** A document with every role, link and gradient turned into colours, in every theme. */
export interface System {
  readonly document: ProjectDocument;
  readonly families: ReadonlyMap<string, ResolvedFamily>;
  readonly themes: ReadonlyMap<string, ResolvedTheme>;
}

// A family never changes, only its successor does; so its shades are worked out once.
const grown = new WeakMap<Family, ResolvedFamily>();

function resolveFamily(family: Family): ResolvedFamily {
  let resolved = grown.get(family);
  if (!resolved) {
    const baseOutside = paint(family.base).outside;
    const shades = growShades(readColor(family.base), family.growth).map((shade): ResolvedShade => {
      const own = family.handSet[shade.label];
      return own === undefined
        ? {
            label: shade.label,
            isBase: shade.isBase,
            handSet: false,
            r: shade.r,
            g: shade.g,
            b: shade.b,
            alpha: 1,
            css: shade.hex,
            outside: shade.isBase && baseOutside,
          }
        : { label: shade.label, isBase: shade.isBase, handSet: true, ...paint(own) };
    });
    resolved = { family, shades, byLabel: new Map(shades.map((shade) => [shade.label, shade])) };
    grown.set(family, resolved);
  }
  return resolved;
}

type Families = ReadonlyMap<string, ResolvedFamily>;
type Target = Pick<ResolvedRole, 'color' | 'problem' | 'source' | 'opacity'>;

const broken = (problem: string): Target => ({ color: null, problem, source: null, opacity: 1 });

function follow(link: Link, families: Families, roleOf: (id: string) => Target): Target {
  const opacity = link.opacity ?? 1;
  if (link.to === 'color')
    return { color: fade(paint(link.color), opacity), problem: null, source: null, opacity };
  if (link.to === 'shade') {
    const family = families.get(link.family);
    if (!family) return broken('It points to a family that does not exist any more.');
    const shade = family.byLabel.get(link.shade);
    if (!shade) return broken(`${family.family.name} has no shade ${link.shade}.`);
    return {
      color: fade(shade, opacity),
      problem: null,
      source: { family: link.family, shade: link.shade },
      opacity,
    };
  }
  const target = roleOf(link.role);
  if (!target.color) return target;
  return opacity === 1
    ? target
    : { ...target, color: fade(target.color, opacity), opacity: target.opacity * opacity };
}

const NO_ROLE = broken('It points to a role that does not exist any more.');
const LOOP = broken('It points to itself.');
const UNSET = broken('It has no value in this theme yet.');

function resolveRoles(doc: ProjectDocument, theme: Theme, families: Families) {
  const byId = new Map(doc.roles.map((role) => [role.id, role]));
  const roles = new Map<string, ResolvedRole>();
  const byFamily = new Map<string, string[]>();
  const open = new Set<string>();
  const resolveRole = (id: string): Target => {
    const known = roles.get(id);
    if (known) return known;
    const role = byId.get(id);
    if (!role) return NO_ROLE;
    if (open.has(id)) return LOOP;
    open.add(id);
    const link = role.links[theme.id] ?? null;
    const target = link ? follow(link, families, resolveRole) : UNSET;
    open.delete(id);
    const { color, problem, source, opacity } = target;
    roles.set(id, { role, link, color, problem, source, opacity });
    if (source) {
      const dependents = byFamily.get(source.family);
      if (dependents) dependents.push(id);
      else byFamily.set(source.family, [id]);
    }
    return target;
  };
  for (const role of doc.roles) resolveRole(role.id);
  return { roles, byFamily };
}

/** The colour that a stop's link leads to; as `follow`, but for the many stops that only want the colour. */
function colorOfStop(
  link: Link,
  families: Families,
  roles: ReadonlyMap<string, ResolvedRole>,
): Painted | null {
  const opacity = link.opacity ?? 1;
  if (link.to === 'color') return fade(paint(link.color), opacity);
  const color =
    link.to === 'shade' ? families.get(link.family)?.byLabel.get(link.shade) : roles.get(link.role)?.color;
  return color ? fade(color, opacity) : null;
}

const countLost = (colors: readonly (Painted | null)[]) => {
  let lost = 0;
  for (const color of colors) if (!color) lost++;
  return lost;
};

const NO_ROLES: ReadonlyMap<string, ResolvedRole> = new Map();

/** A gradient as far as it is the same in every theme: colours of the stops that point to no role. */
interface SharedGradient {
  readonly gradient: Gradient;
  readonly colors: readonly (Painted | null)[];
  readonly byRole: readonly number[];
}

function shareGradients(gradients: readonly Gradient[], families: Families): SharedGradient[] {
  return gradients.map((gradient) => {
    const byRole: number[] = [];
    gradient.stops.forEach((stop, i) => {
      if (stop.link.to === 'role') byRole.push(i);
    });
    return {
      gradient,
      byRole,
      colors: gradient.stops.map((stop) => colorOfStop(stop.link, families, NO_ROLES)),
    };
  });
}

function resolveTheme(
  doc: ProjectDocument,
  theme: Theme,
  families: Families,
  shared: readonly SharedGradient[],
): ResolvedTheme {
  const { roles, byFamily } = resolveRoles(doc, theme, families);
  const gradients = new Map<string, ResolvedGradient>();
  for (const { gradient, colors: same, byRole } of shared) {
    const colors = byRole.length ? [...same] : same;
    for (const i of byRole)
      (colors as (Painted | null)[])[i] = colorOfStop(gradient.stops[i]!.link, families, roles);
    gradients.set(gradient.id, { gradient, colors, lost: countLost(colors) });
  }
  return { theme, roles, gradients, byFamily };
}

/** Places of stops, as gradient and stop index, by the family or role that they point to. */
interface StopIndex {
  readonly byFamily: ReadonlyMap<string, readonly [number, number][]>;
  readonly byRole: ReadonlyMap<string, readonly [number, number][]>;
}

const stopIndexes = new WeakMap<readonly Gradient[], StopIndex>();

function indexStops(gradients: readonly Gradient[]): StopIndex {
  let index = stopIndexes.get(gradients);
  if (!index) {
    const byFamily = new Map<string, [number, number][]>();
    const byRole = new Map<string, [number, number][]>();
    const note = (map: Map<string, [number, number][]>, key: string, place: [number, number]) => {
      const places = map.get(key);
      if (places) places.push(place);
      else map.set(key, [place]);
    };
    gradients.forEach((gradient, g) => {
      gradient.stops.forEach(({ link }, s) => {
        if (link.to === 'shade') note(byFamily, link.family, [g, s]);
        else if (link.to === 'role') note(byRole, link.role, [g, s]);
      });
    });
    index = { byFamily, byRole };
    stopIndexes.set(gradients, index);
  }
  return index;
}

/** A theme after some families have changed: only what depends on them is worked out again. */
function updateTheme(
  doc: ProjectDocument,
  old: ResolvedTheme,
  changed: readonly string[],
  families: Families,
): ResolvedTheme {
  const roles = new Map(old.roles);
  const stops = indexStops(doc.gradients);
  const places: (readonly [number, number])[] = [];
  for (const family of changed) {
    places.push(...(stops.byFamily.get(family) ?? []));
    for (const id of old.byFamily.get(family) ?? []) {
      const before = roles.get(id)!;
      const target = follow(before.link!, families, (other) => roles.get(other) ?? NO_ROLE);
      roles.set(id, { ...before, color: target.color, problem: target.problem });
      places.push(...(stops.byRole.get(id) ?? []));
    }
  }
  if (!places.length) return { ...old, roles };
  const gradients = new Map(old.gradients);
  const fresh = new Map<string, (Painted | null)[]>();
  for (const [g, s] of places) {
    const gradient = doc.gradients[g]!;
    let colors = fresh.get(gradient.id);
    if (!colors) {
      colors = [...old.gradients.get(gradient.id)!.colors];
      fresh.set(gradient.id, colors);
      // The same links lead to the same kinds of things, so that none is lost or found by this.
      gradients.set(gradient.id, { gradient, colors, lost: old.gradients.get(gradient.id)!.lost });
    }
    colors[s] = colorOfStop(gradient.stops[s]!.link, families, roles);
  }
  return { ...old, roles, gradients };
}

/**
 * Turns a document into colours. Given the system of an earlier state of the same document it is incremental:
 * when only bases, growths or hand-set shades differ, just what depends on those families is computed again,
 * and everything else is the same object as before. Broken links never throw; they are reported where they are.
 */
export function resolveSystem(document: ProjectDocument, previous?: System): System {
  if (previous?.document === document) return previous;
  const families = new Map(document.families.map((family) => [family.id, resolveFamily(family)]));
  const before = previous?.document;
  if (
    previous &&
    before &&
    before.themes === document.themes &&
    before.roles === document.roles &&
    before.gradients === document.gradients &&
    sameShades(previous.families, families)
  ) {
    const changed = document.families
      .filter((family) => previous.families.get(family.id)!.family !== family)
      .map((family) => family.id);
    if (!changed.length) return { document, families, themes: previous.themes };
    const themes = new Map<string, ResolvedTheme>();
    for (const [id, theme] of previous.themes)
      themes.set(id, updateTheme(document, theme, changed, families));
    return { document, families, themes };
  }
  indexStops(document.gradients);
  const shared = shareGradients(document.gradients, families);
  const themes = new Map(
    document.themes.map((theme) => [theme.id, resolveTheme(document, theme, families, shared)]),
  );
  return { document, families, themes };
}

/** Whether both have the same families with the same labels, so that no link can break or mend between them. */
function sameShades(old: Families, now: Families): boolean {
  if (old.size !== now.size) return false;
  for (const [id, { shades }] of now) {
    const before = old.get(id);
    if (!before || before.shades.length !== shades.length) return false;
    if (before.shades !== shades && shades.some((shade, i) => shade.label !== before.shades[i]!.label))
      return false;
  }
  return true;
}

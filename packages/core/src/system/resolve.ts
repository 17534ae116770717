import { readColor } from '../color/parse.ts';
import { grow } from '../family/grow.ts';
import { ById, indexById } from './by-id.ts';
import type { Family, Link, ProjectDocument, Role, Theme } from './document.ts';
import { fade, type Painted, paint } from './painted.ts';
import {
  countLostShades,
  type LostStops,
  lostStops,
  type ResolvedGradient,
  ThemeGradients,
} from './resolve-gradients.ts';

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

export class ResolvedTheme {
  readonly theme: Theme;
  readonly roles: ById<ResolvedRole>;
  /** Roles whose chain ends in a family, by family, a role after the roles that it points to. */
  readonly byFamily: ReadonlyMap<string, readonly string[]>;
  /** Stops that have no colour. */
  readonly lost: LostStops;
  private readonly fades: ThemeGradients;

  constructor(
    theme: Theme,
    roles: ById<ResolvedRole>,
    byFamily: ReadonlyMap<string, readonly string[]>,
    lost: LostStops,
    fades: ThemeGradients,
  ) {
    this.theme = theme;
    this.roles = roles;
    this.byFamily = byFamily;
    this.lost = lost;
    this.fades = fades;
  }

  get gradients(): ById<ResolvedGradient> {
    return this.fades.all;
  }

  /** The theme after some families have changed: only what depends on them is worked out again. */
  after(changed: readonly string[], families: Families): ResolvedTheme {
    const list = [...this.roles.values()];
    const roles = this.roles.with(list);
    const moved: string[] = [];
    for (const family of changed)
      for (const id of this.byFamily.get(family) ?? []) {
        const before = roles.get(id)!;
        const target = follow(before.link!, families, (other) => roles.get(other) ?? NO_ROLE);
        list[roles.place(id)!] = { ...before, color: target.color, problem: target.problem };
        moved.push(id);
      }
    const fades = this.fades.after({ families: changed, roles: moved }, families, roles);
    // The same links lead to the same kinds of things, so that no stop is lost or found by this.
    return new ResolvedTheme(this.theme, roles, this.byFamily, this.lost, fades);
  }
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
    const shades = grow(readColor(family.base), family.growth).map((shade): ResolvedShade => {
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

const roleIndexes = new WeakMap<readonly Role[], ReadonlyMap<string, number>>();

function roleIndex(roles: readonly Role[]): ReadonlyMap<string, number> {
  const index = roleIndexes.get(roles) ?? indexById(roles);
  roleIndexes.set(roles, index);
  return index;
}

function resolveRoles(doc: ProjectDocument, theme: Theme, families: Families) {
  const index = roleIndex(doc.roles);
  const roles = new Array<ResolvedRole>(doc.roles.length);
  const byFamily = new Map<string, string[]>();
  const open = new Set<string>();
  const resolveRole = (id: string): Target => {
    const at = index.get(id);
    if (at === undefined) return NO_ROLE;
    const known = roles[at];
    if (known) return known;
    const role = doc.roles[at]!;
    if (open.has(id)) return LOOP;
    open.add(id);
    const link = role.links[theme.id] ?? null;
    const target = link ? follow(link, families, resolveRole) : UNSET;
    open.delete(id);
    const { color, problem, source, opacity } = target;
    roles[at] = { role, link, color, problem, source, opacity };
    if (source) {
      const dependents = byFamily.get(source.family);
      if (dependents) dependents.push(id);
      else byFamily.set(source.family, [id]);
    }
    return target;
  };
  for (const role of doc.roles) resolveRole(role.id);
  return { roles: new ById(index, roles), byFamily };
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
    for (const [id, theme] of previous.themes) themes.set(id, theme.after(changed, families));
    return { document, families, themes };
  }
  const lostShades = countLostShades(document.gradients, families);
  const themes = new Map(
    document.themes.map((theme): [string, ResolvedTheme] => {
      const { roles, byFamily } = resolveRoles(document, theme, families);
      const lost = lostStops(document.gradients, roles, lostShades);
      const fades = new ThemeGradients(document.gradients, families, roles);
      return [theme.id, new ResolvedTheme(theme, roles, byFamily, lost, fades)];
    }),
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

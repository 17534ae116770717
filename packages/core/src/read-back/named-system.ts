import { luminance } from '../contrast/ratio.ts';
import { emptyDocument, type ProjectDocument } from '../document/document.ts';
import type { Family } from '../document/families/family.ts';
import { isLabel } from '../document/families/family.ts';
import type { Gradient } from '../document/gradients/gradient.ts';
import { LEAST_SHADES, MOST_SHADES } from '../document/limits.ts';
import type { Following } from '../document/links/following.ts';
import type { FamilyGrowth, GrowthGround } from '../document/links/growth-ground.ts';
import type { Link, RoleLink } from '../document/links/link.ts';
import { freeName, slug } from '../document/naming/names.ts';
import { type FullName, readNames, roleSlug, writeRoleName } from '../document/naming/role-name.ts';
import type { Pair } from '../document/pairs/pair.ts';
import type { Role } from '../document/roles/role.ts';
import { gradientFromCss } from '../edits/gradients/gradient-from-css.ts';
import type { ColorStop, CssGradient } from '../gradient/model.ts';
import { spelledFamily } from '../sheet/spelled-families.ts';
import { paint } from '../system/painted.ts';

/** Shades as they stand in a family: the lightest first. */
export const lightestFirst = <T extends { readonly css: string }>(shades: readonly T[]): T[] =>
  [...shades].sort((a, b) => luminance(paint(b.css)) - luminance(paint(a.css)));

/** What something in a file points to, by names. */
export type NamedLink =
  | { readonly to: 'shade'; readonly family: string; readonly shade: string; readonly opacity?: number }
  | { readonly to: 'base'; readonly family: string; readonly opacity?: number }
  | { readonly to: 'role'; readonly role: string; readonly opacity?: number }
  | { readonly to: 'color'; readonly color: string; readonly opacity?: number };

export type NamedRoleLink = NamedLink | { readonly to: 'gradient'; readonly gradient: string };

/** The recipe of a family, with what it goes by under its name. */
interface NamedRecipe {
  readonly base: string;
  readonly growth: unknown;
  readonly follows: unknown;
  readonly handSet: Readonly<Record<string, string>>;
}

export interface NamedFamily {
  readonly name: string;
  /** In the order in which they grow: the lightest first. */
  readonly shades: readonly { readonly label: string; readonly css: string }[];
  /** The label of the base, where the file says it. */
  readonly base: string | null;
  readonly recipe: NamedRecipe | null;
}

export interface NamedRole extends FullName {
  readonly use?: Role['use'];
  readonly about?: string;
  readonly retired?: string;
  /** By the name of the theme. */
  readonly links: ReadonlyMap<string, NamedRoleLink>;
}

export interface NamedGradient {
  readonly name: string;
  readonly group?: string;
  readonly favourite?: true;
  readonly gradient: CssGradient<ColorStop<NamedLink>>;
}

export type NamedPair = Omit<Pair, 'id' | 'foreground' | 'background' | 'veil' | 'backdrop'> & {
  readonly text: string;
  readonly ground: string;
  readonly veil?: string;
  readonly backdrop?: {
    readonly gradient: string;
    readonly width: number;
    readonly height: number;
    readonly text: unknown;
  };
};

/** A colour system as a file has it: everything by its name. */
export interface NamedSystem {
  readonly project: string | null;
  readonly themes: readonly string[];
  readonly families: readonly NamedFamily[];
  readonly roles: readonly NamedRole[];
  readonly gradients: readonly NamedGradient[];
  /** Null where the file does not say which there are. */
  readonly pairs: readonly NamedPair[] | null;
  readonly ground: string | null;
}

/** Puts a document together from names; what does not fit is told and left out. */
class Building {
  readonly losses: string[] = [];
  private readonly named: NamedSystem;
  private readonly newId: () => string;
  private readonly families = new Map<string, Family>();
  private readonly themes = new Map<string, string>();
  private readonly roles = new Map<string, string>();
  private readonly gradients = new Map<string, string>();

  constructor(named: NamedSystem, newId: () => string) {
    this.named = named;
    this.newId = newId;
  }

  private lost(what: string): void {
    this.losses.push(what);
  }

  build(): ProjectDocument {
    const { named, newId } = this;
    for (const name of named.themes.length ? named.themes : ['Light']) this.themes.set(slug(name), newId());
    const themes = (named.themes.length ? named.themes : ['Light']).map((name) => ({
      id: this.themes.get(slug(name))!,
      name: fit(name, 'Theme'),
    }));
    for (const role of named.roles) this.roles.set(roleKey(role), newId());
    for (const { name } of named.gradients) this.gradients.set(slug(name), newId());
    const families = this.allFamilies();
    const roles = this.allRoles();
    const gradients = named.gradients.flatMap((one) => this.gradientOf(one) ?? []);
    const pairs = (named.pairs ?? []).flatMap((one) => this.pairOf(one) ?? []);
    const ground = named.ground === null ? null : (this.roleId(named.ground) ?? null);
    return {
      ...emptyDocument(fit(named.project ?? 'From a file', 'From a file'), themes),
      families,
      roles,
      gradients,
      pairs,
      ground,
    };
  }

  private allFamilies(): Family[] {
    const taken = new Set<string>();
    const made = this.named.families.flatMap((one): [NamedFamily, Family][] => {
      const labels = one.shades.filter(({ label }) => isLabel(label));
      if (labels.length < Math.max(1, LEAST_SHADES) || labels.length > MOST_SHADES) {
        this.lost(
          `The family ${one.name}: it has ${labels.length} shades, and one here has ${LEAST_SHADES} to ${MOST_SHADES}.`,
        );
        return [];
      }
      const scale = {
        name: one.name,
        base: one.base,
        baseProperty: null,
        shades: labels.map(({ label, css }) => ({ label, property: label, color: paint(css).css })),
      };
      const { base, growth, handSet } = spelledFamily(scale, one.name);
      const name = freeName(fit(one.name, 'Family'), taken);
      return [[one, { id: this.newId(), name, base, follows: null, growth, handSet }]];
    });
    for (const [one, family] of made) this.families.set(slug(one.name), family);
    const byId = new Map(made.map(([one, family]) => [family.id, this.withRecipe(one, family)]));
    return made.map(([, { id }]) => byId.get(id)!);
  }

  private withRecipe({ name, recipe }: NamedFamily, family: Family): Family {
    if (!recipe) return family;
    const { base, handSet } = recipe;
    const growth = this.growthOf(recipe.growth);
    if (!growth) {
      this.lost(`The growth of ${name}, which goes by something that is not in the file; its colours stay.`);
      return family;
    }
    const follows = recipe.follows ? this.followingOf(recipe.follows) : null;
    return { ...family, base, growth, handSet, follows };
  }

  private growthOf(growth: unknown): FamilyGrowth | null {
    const own = growth as FamilyGrowth & {
      ground?: { to: string; family?: string; role?: string; theme?: string };
    };
    if (own.kind !== 'opacity' && own.kind !== 'contrast') return own;
    const ground = own.ground as unknown as {
      to: string;
      family?: string;
      role?: string;
      theme?: string;
    } | null;
    if (!ground) return null;
    let linked: GrowthGround | null = null;
    if (ground.to === 'color') linked = ground as unknown as GrowthGround;
    else if (ground.to === 'role') {
      const [role, theme] = [this.roleId(ground.role ?? ''), this.themes.get(slug(ground.theme ?? ''))];
      linked = role && theme ? { to: 'role', role, theme } : null;
    } else {
      const family = this.families.get(slug(ground.family ?? ''))?.id;
      linked = family ? ({ ...ground, family } as unknown as GrowthGround) : null;
    }
    return linked && ({ ...own, ground: linked } as FamilyGrowth);
  }

  private followingOf(follows: unknown): Following | null {
    const own = follows as Following;
    const family = this.families.get(slug(own.family))?.id;
    if (!family) return null;
    if (own.by !== 'between') return { ...own, family };
    const other = this.families.get(slug(own.other))?.id;
    return other ? { ...own, family, other } : null;
  }

  private roleId(written: string): string | undefined {
    return this.roles.get(slug(written));
  }

  /** A link by ids; null where it points to what is not in the file. */
  link(link: NamedLink, from: string): Link | null {
    const opacity = link.opacity === undefined ? {} : { opacity: link.opacity };
    if (link.to === 'color') return { to: 'color', color: link.color, ...opacity };
    if (link.to === 'role') {
      const role = this.roleId(link.role);
      if (role) return { to: 'role', role, ...opacity };
    } else {
      const family = this.families.get(slug(link.family));
      if (family && link.to === 'base') return { to: 'base', family: family.id, ...opacity };
      if (family && link.to === 'shade')
        return { to: 'shade', family: family.id, shade: link.shade, ...opacity };
    }
    const target = link.to === 'role' ? link.role : link.family;
    this.lost(`${from} points to ${target}, which is not in the file.`);
    return null;
  }

  private allRoles(): Role[] {
    const taken = new Set<string>();
    return this.named.roles.flatMap(({ group, name, use, about, retired, links }): Role[] => {
      const written = writeRoleName({ group, name });
      if (taken.has(slug(written))) {
        this.lost(`The role ${written}, of which there are two.`);
        return [];
      }
      taken.add(slug(written));
      const own: Record<string, RoleLink> = {};
      for (const [theme, link] of links) {
        const id = this.themes.get(slug(theme));
        if (id === undefined) continue;
        if (link.to !== 'gradient') {
          const found = this.link(link, written);
          if (found) own[id] = found;
          continue;
        }
        const gradient = this.gradients.get(slug(link.gradient));
        if (gradient) own[id] = { to: 'gradient', gradient };
        else this.lost(`${written} points to ${link.gradient}, which is not in the file.`);
      }
      return [
        {
          id: this.roles.get(slug(written))!,
          group,
          name,
          ...(use === undefined ? {} : { use }),
          ...(about === undefined ? {} : { about }),
          ...(retired === undefined ? {} : { retired }),
          links: own,
        },
      ];
    });
  }

  private gradientOf({ name, gradient, group, favourite }: NamedGradient): Gradient | null {
    const id = this.gradients.get(slug(name))!;
    let lost = false;
    const made = gradientFromCss(gradient, { id, name: fit(name, 'Gradient') }, (color): Link => {
      const link = this.link(color, name);
      lost ||= link === null;
      return link ?? { to: 'color', color: '#00000000' };
    });
    if (!made) this.lost(`The gradient ${name}, which lies beyond what one here can be.`);
    if (!made || lost) return made && lost ? made : null;
    return { ...made, ...(group === undefined ? {} : { group }), ...(favourite ? { favourite } : {}) };
  }

  private pairOf({ text, ground, veil, backdrop, ...rest }: NamedPair): Pair | null {
    const [foreground, background] = [this.roleId(text), this.roleId(ground)];
    const over = veil === undefined ? undefined : this.roleId(veil);
    const gradient = backdrop && this.gradients.get(slug(backdrop.gradient));
    if (!foreground || !background || (veil !== undefined && !over) || (backdrop && !gradient)) {
      this.lost(`The pair ${text} on ${ground}, of which something is not in the file.`);
      return null;
    }
    return {
      id: this.newId(),
      foreground,
      background,
      ...rest,
      ...(over === undefined ? {} : { veil: over }),
      ...(backdrop ? { backdrop: { ...backdrop, gradient: gradient! } as unknown as Pair['backdrop'] } : {}),
    } as Pair;
  }
}

const roleKey = (role: FullName) => roleSlug(role);

/** A name as a document holds one. */
function fit(text: string, otherwise: string): string {
  const plain = text.replace(/[\p{Cc}\p{Cs}\u202a-\u202e\u2066-\u2069]+/gu, ' ').trim();
  const short = [...plain].join('').slice(0, 80).trim();
  return slug(short) ? short : otherwise;
}

/** The names of a role from the parts of a path; what no role can be called is left out of them. */
export function roleNamesFrom(parts: readonly string[]): FullName | null {
  const names = parts
    .map((part) => part.replace(/[\s.{}/$\p{Cc}\p{Cs}]+/gu, '-').replace(/^-+|-+$/g, ''))
    .filter((part) => slug(part));
  const read = readNames(names.join('.'));
  if (!read.ok || names.join('.').length > 80) return null;
  return { group: read.names.slice(0, -1), name: read.names[read.names.length - 1]! };
}

/** The document that a named system is, with new ids, and what of the file it cannot hold. */
export function documentFrom(
  named: NamedSystem,
  newId: () => string,
): { readonly document: ProjectDocument; readonly losses: readonly string[] } {
  const building = new Building(named, newId);
  const document = building.build();
  return { document, losses: building.losses };
}

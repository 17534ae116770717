import { readColor } from '../color/parse.ts';
import { canonical } from '../color/write.ts';
import type { Command, SimpleCommand } from '../document/commands/command.ts';
import type { ProjectDocument } from '../document/document.ts';
import type { Family } from '../document/families/family.ts';
import type { Link, RoleLink } from '../document/links/link.ts';
import { slug, slugsOf } from '../document/naming/names.ts';
import { roleSlug, writeRoleName } from '../document/naming/role-name.ts';
import { MOST_PAIRS } from '../document/pairs/pair.ts';
import type { Role } from '../document/roles/role.ts';
import { gradientFromCss } from '../edits/gradients/gradient-from-css.ts';
import type { StopSource } from './linked-gradient.ts';
import { freeFound } from './sheet-names.ts';
import type { SheetSystem } from './sheet-system.ts';
import type { SheetFamily } from './spelled-families.ts';

/** What of a proposal is taken: families by key, roles and gradients by property, themes by key. */
export interface SheetChoice {
  readonly themes: ReadonlySet<string>;
  readonly families: ReadonlySet<string>;
  readonly roles: ReadonlySet<string>;
  readonly gradients: ReadonlySet<string>;
  /** By key; one whose roles are not both taken is left out. */
  readonly pairs: ReadonlySet<string>;
  /** Colours that are not snapped to a shade and stay as they are. */
  readonly unsnapped: ReadonlySet<string>;
}

/** Everything of a proposal. */
export const wholeOf = (system: SheetSystem): SheetChoice => ({
  themes: new Set(system.themes.map(({ key }) => key)),
  families: new Set(system.families.map(({ key }) => key)),
  roles: new Set(system.roles.map(({ property }) => property)),
  gradients: new Set(system.gradients.map(({ property }) => property)),
  pairs: new Set(system.pairs.map(({ key }) => key)),
  unsnapped: new Set(),
});

/** A shade, by its family's id. */
interface At {
  readonly family: string;
  readonly shade: string;
}

/** The edit that takes a choice, and what ids the things have in it: themes by key, roles and gradients by property. */
export interface Adoption {
  readonly command: Command;
  /** By the custom properties that are one. */
  readonly shades: ReadonlyMap<string, At>;
  /** Families, by the custom property that is their base. */
  readonly bases: ReadonlyMap<string, string>;
  /** By the opaque colours that become one. */
  readonly colors: ReadonlyMap<string, At>;
  readonly themes: ReadonlyMap<string, string>;
  readonly roles: ReadonlyMap<string, string>;
  readonly gradients: ReadonlyMap<string, string>;
}

/** The edit that takes a choice, put together step by step: themes first, then what roles and gradients point to. */
class Adopting {
  readonly commands: SimpleCommand[] = [];
  readonly themes = new Map<string, string>();
  readonly roles = new Map<string, string>();
  readonly gradients = new Map<string, string>();
  readonly shades = new Map<string, At>();
  readonly bases = new Map<string, string>();
  readonly snapped = new Map<string, At>();
  private readonly byProperty: ReadonlyMap<string, SheetSystem['roles'][number]>;
  private readonly document: ProjectDocument;
  private readonly system: SheetSystem;
  private readonly choice: SheetChoice;
  private readonly newId: () => string;

  constructor(document: ProjectDocument, system: SheetSystem, choice: SheetChoice, newId: () => string) {
    this.document = document;
    this.system = system;
    this.choice = choice;
    this.newId = newId;
    this.byProperty = new Map(system.roles.map((role) => [role.property, role]));
  }

  addThemes(): void {
    const { document, system, choice, themes, commands } = this;
    const taken = system.themes.filter((theme) => choice.themes.has(theme.key));
    const ownOf = (name: string) => document.themes.find((theme) => slug(theme.name) === slug(name));
    const kept = new Set(taken.flatMap(({ name }) => ownOf(name)?.id ?? []));
    const isNew = !document.roles.length && !document.families.length;
    let leaving = isNew && taken.length ? document.themes.filter(({ id }) => !kept.has(id)) : [];
    const leave = () => {
      for (const { id } of leaving) commands.push({ type: 'removeTheme', theme: id });
      leaving = [];
    };
    // As soon as another is there, so that there is room for all.
    if (kept.size) leave();
    for (const { key, name } of taken) {
      const own = ownOf(name);
      themes.set(key, own?.id ?? this.newId());
      if (!own) commands.push({ type: 'addTheme', theme: { id: themes.get(key)!, name }, links: {} });
      leave();
    }
  }

  addFamilies(): void {
    const { document, system, choice } = this;
    const names = slugsOf(document.families);
    for (const family of system.families.filter(({ key }) => choice.families.has(key))) {
      const added = familyOf(family, this.newId(), freeFound(family.name, names));
      this.commands.push({ type: 'addFamily', family: added });
      for (const [property, shade] of family.shades) this.shades.set(property, { family: added.id, shade });
      if (family.baseProperty) this.bases.set(family.baseProperty, added.id);
      for (const { color, shade } of family.snapped)
        if (!choice.unsnapped.has(color)) this.snapped.set(color, { family: added.id, shade });
    }
  }

  nameRoles(): void {
    for (const { property } of this.system.roles)
      if (this.choice.roles.has(property)) this.roles.set(property, this.newId());
  }

  /** The gradients that are taken; they are added after the roles, which their stops may point to. */
  madeGradients(): SimpleCommand[] {
    const names = slugsOf(this.document.gradients);
    const [firstTheme = ''] = this.choice.themes;
    const added: SimpleCommand[] = [];
    for (const { property, name, gradient } of this.system.gradients) {
      if (!this.choice.gradients.has(property)) continue;
      const made = gradientFromCss(
        gradient,
        { id: this.newId(), name: freeFound(name, names) },
        (source) => this.linkOf(source, firstTheme) ?? { to: 'color', color: '#00000000' },
      );
      if (!made) continue;
      this.gradients.set(property, made.id);
      added.push({ type: 'addGradient', gradient: made });
    }
    return added;
  }

  addRoles(): void {
    const taken = new Set(this.document.roles.map(roleSlug));
    for (const role of this.system.roles) {
      const id = this.roles.get(role.property);
      if (id === undefined) continue;
      const links: Record<string, RoleLink> = {};
      for (const [key, source] of role.sources) {
        const link = this.themes.has(key) ? this.roleLinkOf(source, key) : null;
        if (link) links[this.themes.get(key)!] = link;
      }
      const name = freeRoleName(role, taken);
      const { about, retired, origin } = role;
      const one: Role = {
        id,
        group: role.group,
        name,
        ...(about === undefined ? {} : { about }),
        ...(retired === undefined ? {} : { retired }),
        ...(origin === undefined ? {} : { origin }),
        links,
      };
      taken.add(roleSlug(one));
      this.commands.push({ type: 'addRole', role: one });
    }
  }

  addPairs(): void {
    const room = MOST_PAIRS - this.document.pairs.length;
    const taken = this.system.pairs.filter(({ key }) => this.choice.pairs.has(key)).slice(0, room);
    for (const { text, ground } of taken) {
      const [foreground, background] = [this.roles.get(text), this.roles.get(ground)];
      if (foreground === undefined || background === undefined) continue;
      const target = { level: 'AA', content: 'body' } as const;
      const pair = { id: this.newId(), foreground, background, target, size: 16, weight: 400 };
      this.commands.push({ type: 'addPair', pair });
    }
  }

  /** A plain colour as a link: to the shade that it was snapped to, under its own opacity. */
  private linkOfColor(text: string, opacity: number): Link {
    const c = readColor(text);
    const alpha = c.alpha ?? 0;
    // What nothing is seen of is no shade's.
    const at = alpha === 0 ? undefined : this.snapped.get(alpha === 1 ? text : canonical({ ...c, alpha: 1 }));
    if (!at) return withOpacity({ to: 'color', color: text }, opacity);
    return withOpacity({ to: 'shade', ...at }, opacity * alpha);
  }

  /** Where a source leads in a theme; through roles that are not taken to what they point to. Null when nowhere. */
  private linkOf(source: StopSource, theme: string, opacity = 1, depth = 0): Link | null {
    if (source.to === 'color') return this.linkOfColor(source.color, opacity);
    const under = opacity * source.opacity;
    const at = this.shades.get(source.property);
    if (at) return withOpacity({ to: 'shade', ...at }, under);
    const base = this.bases.get(source.property);
    if (base) return withOpacity({ to: 'base', family: base }, under);
    const role = this.roles.get(source.property);
    if (role) return withOpacity({ to: 'role', role }, under);
    const next =
      this.byProperty.get(source.property)?.sources.get(theme) ?? plainOf(this.system, source.property);
    return next && depth < 100 ? this.linkOf(next, theme, under, depth + 1) : null;
  }

  private roleLinkOf(source: StopSource, theme: string): RoleLink | null {
    const gradient = source.to === 'property' ? this.gradients.get(source.property) : undefined;
    return gradient === undefined ? this.linkOf(source, theme) : { to: 'gradient', gradient };
  }
}

/**
 * What puts what is taken of a style sheet's proposal into a document, as one edit. A theme of a name that
 * the document has is that theme; other names that are taken get a number. A document without roles and families gives
 * up its own themes for those of the sheet. Null when nothing is taken. `newId` makes ids.
 */
export function adoptSheet(
  document: ProjectDocument,
  system: SheetSystem,
  choice: SheetChoice,
  newId: () => string,
): Adoption | null {
  const adopting = new Adopting(document, system, choice, newId);
  adopting.addThemes();
  adopting.addFamilies();
  adopting.nameRoles();
  const made = adopting.madeGradients();
  adopting.addRoles();
  const { themes, roles, gradients, shades, bases, snapped: colors } = adopting;
  adopting.commands.push(...made);
  adopting.addPairs();
  const { commands } = adopting;
  if (!commands.length) return null;
  const command: Command = { type: 'batch', label: 'read a style sheet', commands };
  return { command, themes, roles, gradients, shades, bases, colors };
}

function familyOf(family: SheetFamily, id: string, name: string): Family {
  const { base, growth, handSet } = family;
  return { id, name, base, follows: null, growth, handSet };
}

/** The name of a role in its group, with a number behind it where `taken` has it already. */
export function freeRoleName(
  { group, name }: Pick<Role, 'group' | 'name'>,
  taken: ReadonlySet<string>,
): string {
  let free = name;
  for (let n = 2; taken.has(slug(writeRoleName({ group, name: free }))); n++) free = `${name}-${n}`;
  return free;
}

/** A link under an opacity (0–1), to four decimals. */
export const withOpacity = (link: Link, opacity: number): Link => {
  const share = Math.round(opacity * 1e4) / 1e4;
  return share >= 1 ? link : { ...link, opacity: share };
};

/** The colour of a shade, or a base, whose family is not taken. */
function plainOf(system: SheetSystem, property: string): StopSource | null {
  for (const { shades, colors, base, baseProperty } of system.families) {
    if (baseProperty === property) return { to: 'color', color: base };
    const label = shades.get(property);
    if (label !== undefined) return { to: 'color', color: colors.get(label)! };
  }
  return null;
}

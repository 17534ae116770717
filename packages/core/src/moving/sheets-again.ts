import { readColor } from '../color/parse.ts';
import { canonical } from '../color/write.ts';
import type { Command, SimpleCommand } from '../document/commands/command.ts';
import type { ProjectDocument } from '../document/document.ts';
import type { Link, RoleLink } from '../document/links/link.ts';
import { slug } from '../document/naming/names.ts';
import { roleSlug, writeRoleName } from '../document/naming/role-name.ts';
import type { Role } from '../document/roles/role.ts';
import { freeRoleName, withOpacity } from '../sheet/adopt.ts';
import { opaque } from '../sheet/counted-colors.ts';
import type { StopSource } from '../sheet/linked-gradient.ts';
import type { SheetRole } from '../sheet/sheet-roles.ts';
import type { SheetSystem } from '../sheet/sheet-system.ts';
import { paint } from '../system/painted.ts';
import { resolveSystem } from '../system/resolve.ts';
import { roleColors } from './role-colors.ts';

/** A colour in a theme that a project and the sheets both have, as CSS; null where it has none. */
interface AgainColor {
  readonly theme: string;
  readonly was: string | null;
  readonly is: string | null;
}

/** Something that the sheets have otherwise than a project that was taken from them. */
export interface AgainThing {
  /** Unique among all. */
  readonly key: string;
  readonly name: string;
  readonly colors: readonly AgainColor[];
}

/** How sheets that come again differ from what was taken of them. */
export interface SheetsAgain {
  readonly fresh: readonly AgainThing[];
  readonly changed: readonly AgainThing[];
  readonly gone: readonly AgainThing[];
  /** Roles and shades that are as they were. */
  readonly same: number;
}

const isSame = (a: string | null, b: string | null): boolean => {
  if (a === null || b === null) return a === b;
  const [x, y] = [paint(a), paint(b)];
  return x.r === y.r && x.g === y.g && x.b === y.b && Math.round(x.alpha * 255) === Math.round(y.alpha * 255);
};
const shadeKey = (family: string, label: string) => `shade ${family} ${label}`;

/** What of a project is known by what it was in the sheets. */
class Known {
  readonly document: ProjectDocument;
  readonly system: SheetSystem;
  private readonly resolved;
  private readonly byProperty = new Map<string, Role>();
  readonly families;

  constructor(document: ProjectDocument, system: SheetSystem) {
    this.document = document;
    this.system = system;
    this.resolved = resolveSystem(document);
    for (const role of document.roles) if (role.origin) this.byProperty.set(role.origin.property, role);
    this.families = new Map(document.families.map((family) => [slug(family.name), family]));
  }

  role(property: string): Role | undefined {
    return this.byProperty.get(property);
  }

  /** Themes of both, by key in the sheets. */
  themes(): { readonly key: string; readonly id: string; readonly name: string }[] {
    return this.system.themes.flatMap(({ key, name }) => {
      const own = this.document.themes.find((theme) => slug(theme.name) === slug(name));
      return own ? [{ key, id: own.id, name: own.name }] : [];
    });
  }

  colorOf(role: Role, theme: string): string | null {
    return this.resolved.themes.get(theme)?.roles.get(role.id)?.color?.css ?? null;
  }

  shadeColor(family: string, label: string): string | null {
    return this.resolved.families.get(family)?.shades.find((shade) => shade.label === label)?.css ?? null;
  }

  /** The shades of the project by their colours. */
  shades(): Map<string, { readonly family: string; readonly shade: string }> {
    const found = new Map<string, { family: string; shade: string }>();
    for (const { family, shades } of this.resolved.families.values())
      for (const { css, label } of shades)
        if (!found.has(css)) found.set(css, { family: family.id, shade: label });
    return found;
  }

  /** Shades that the sheets spell out and that the project has by family and label. */
  spelled(): { family: string; label: string; property: string; name: string; was: string; is: string }[] {
    return this.system.families.flatMap(({ name, shades, colors }) => {
      const own = this.families.get(slug(name));
      if (!own) return [];
      return [...shades].flatMap(([property, label]) => {
        const was = this.shadeColor(own.id, label);
        const is = colors.get(label);
        return was === null || is === undefined
          ? []
          : [{ family: own.id, label, property, name: `${own.name} ${label}`, was, is }];
      });
    });
  }
}

/**
 * Compares sheets with what was taken of them before: roles by the custom properties that they were, shades by family and
 * label. `files` are the sheets' names; what was in others is not missed. Null where the project has nothing of them.
 */
export function sheetsAgain(
  document: ProjectDocument,
  system: SheetSystem,
  files: readonly string[],
): SheetsAgain | null {
  const known = new Known(document, system);
  if (!system.roles.some(({ property }) => known.role(property))) return null;
  const colorOf = roleColors(system);
  const themes = known.themes();
  const fresh: AgainThing[] = [];
  const changed: AgainThing[] = [];
  let same = 0;
  for (const role of system.roles) {
    const own = known.role(role.property);
    const colors = themes.map(({ key, id, name }) => ({
      theme: name,
      was: own ? known.colorOf(own, id) : null,
      is: colorOf(role.property, key),
    }));
    if (!own) fresh.push({ key: role.property, name: writeRoleName(role), colors });
    else if (colors.every(({ was, is }) => is === null || isSame(was, is))) same += 1;
    else changed.push({ key: role.property, name: writeRoleName(own), colors });
  }
  for (const { family, label, name, was, is } of known.spelled())
    if (isSame(was, is)) same += 1;
    else changed.push({ key: shadeKey(family, label), name, colors: [{ theme: '', was, is }] });
  const there = new Set(system.roles.map(({ property }) => property));
  const names = new Set(files);
  const gone = document.roles.flatMap((role): AgainThing[] =>
    role.origin &&
    role.retired === undefined &&
    names.has(role.origin.file) &&
    !there.has(role.origin.property)
      ? [
          {
            key: role.id,
            name: writeRoleName(role),
            colors: themes.map(({ id, name }) => ({ theme: name, was: known.colorOf(role, id), is: null })),
          },
        ]
      : [],
  );
  return { fresh, changed, gone, same };
}

/** What of a comparison is taken, by keys. */
export interface AgainChoice {
  readonly fresh: ReadonlySet<string>;
  readonly changed: ReadonlySet<string>;
  readonly gone: ReadonlySet<string>;
}

/**
 * The edit that takes some of a comparison: new roles are added, changed ones and shades come to what the sheets say, those
 * that are gone are retired. Null when nothing is taken. `newId` makes ids.
 */
export function takeAgain(
  document: ProjectDocument,
  system: SheetSystem,
  { fresh, changed, gone }: AgainChoice,
  newId: () => string,
): Command | null {
  const known = new Known(document, system);
  const colorOf = roleColors(system);
  const themes = known.themes();
  const shades = known.shades();
  const commands: SimpleCommand[] = [];
  const spelled = known.spelled();
  for (const { family, label, is } of spelled)
    if (changed.has(shadeKey(family, label)))
      commands.push({ type: 'setShade', family, shade: label, color: opaque(is) });
  const shadeOf = new Map(spelled.map(({ property, family, label }) => [property, { family, shade: label }]));
  const added = new Map<string, string>();
  for (const role of system.roles)
    if (fresh.has(role.property) && !known.role(role.property)) added.set(role.property, newId());

  const linkOfColor = (color: string): Link => {
    const alpha = readColor(color).alpha ?? 0;
    const at = alpha === 0 ? undefined : shades.get(paint(opaque(color)).css);
    // A shade that becomes another colour is none for it any more.
    const stays = at && !changed.has(shadeKey(at.family, at.shade));
    return stays ? withOpacity({ to: 'shade', ...at }, alpha) : { to: 'color', color };
  };
  const linkOf = (role: SheetRole, source: StopSource, theme: string): RoleLink | null => {
    if (source.to === 'property') {
      const shade = shadeOf.get(source.property);
      if (shade) return withOpacity({ to: 'shade', ...shade }, source.opacity);
      const id = known.role(source.property)?.id ?? added.get(source.property);
      if (id !== undefined && source.property !== role.property)
        return withOpacity({ to: 'role', role: id }, source.opacity);
    }
    const color = colorOf(role.property, theme);
    return color === null ? null : linkOfColor(canonical(readColor(color)));
  };
  const linksOf = (role: SheetRole) =>
    themes.flatMap(({ key, id }) => {
      const source = role.sources.get(key);
      const link = source ? linkOf(role, source, key) : null;
      return link ? [{ theme: id, link }] : [];
    });

  const taken = new Set(document.roles.map(roleSlug));
  const links: SimpleCommand[] = [];
  for (const role of system.roles) {
    const id = added.get(role.property);
    const own = known.role(role.property);
    if (id !== undefined) {
      const { group, origin } = role;
      const name = freeRoleName(role, taken);
      const one: Role = { id, group, name, ...(origin ? { origin } : {}), links: {} };
      taken.add(roleSlug(one));
      commands.push({ type: 'addRole', role: one });
    } else if (!own || !changed.has(role.property)) continue;
    else if (role.origin) commands.push({ type: 'setOrigin', role: own.id, origin: role.origin });
    for (const { theme, link } of linksOf(role))
      links.push({ type: 'setLink', role: id ?? own!.id, theme, link });
  }
  // Links come once all roles are there.
  commands.push(...links);
  for (const { id } of document.roles)
    if (gone.has(id)) commands.push({ type: 'retireRole', role: id, instead: '' });
  return commands.length ? { type: 'batch', label: 'read a style sheet again', commands } : null;
}

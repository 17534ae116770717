import { slug } from '../document/naming/names.ts';
import { type FullName, readNames, writeRoleName } from '../document/naming/role-name.ts';
import { MOST_ABOUT, type RoleOrigin } from '../document/roles/role.ts';
import { gradientFromCss } from '../edits/gradients/gradient-from-css.ts';
import { type RoleTold, readGradientRemark, readRoleRemark } from '../exchange/css-remarks.ts';
import { readLinkedGradient, type SheetGradient, type StopSource } from './linked-gradient.ts';
import { colorIn, gradientIn, type SheetProperty } from './properties.ts';
import { MOST_FOUND, nameFrom, titleOf, withoutPrefix } from './sheet-names.ts';

/** A custom property that becomes a role, with what it points to in each theme by key. */
export interface SheetRole extends FullName, RoleTold {
  readonly property: string;
  readonly sources: ReadonlyMap<string, StopSource>;
  /** What it was in the sheet; left out where the sheet is the product's own. */
  readonly origin?: RoleOrigin;
}

/** A custom property that is a gradient. */
export interface NamedSheetGradient {
  readonly property: string;
  readonly name: string;
  readonly gradient: SheetGradient;
}

/** How often each first word stands among custom properties. */
function firstWords(properties: readonly SheetProperty[], prefix: string): Map<string, number> {
  const words = new Map<string, number>();
  for (const { name } of properties) {
    const [first] = withoutPrefix(name, prefix).split('-');
    words.set(first!, (words.get(first!) ?? 0) + 1);
  }
  return words;
}

/**
 * The names of a role: what the comment after its custom property says, else what the property says, its first word a
 * group where others begin so too.
 */
function roleNames(
  { name: property, declaration: { remark } }: SheetProperty,
  prefix: string,
  firsts: ReadonlyMap<string, number>,
): FullName & RoleTold {
  const text = withoutPrefix(property, prefix);
  const said = remark ? readRoleRemark(remark) : null;
  const written = said && slug(said.name) === slug(text) ? readNames(said.name) : null;
  if (written?.ok && said!.name.length <= MOST_FOUND)
    return {
      ...(said!.about && said!.about.length <= MOST_ABOUT ? { about: said!.about } : {}),
      ...(said!.retired !== undefined && said!.retired.length <= MOST_ABOUT
        ? { retired: said!.retired }
        : {}),
      group: written.names.slice(0, -1),
      name: written.names[written.names.length - 1]!,
    };
  const words = text
    .replace(/[^\p{L}\p{N}\p{M}_-]+/gu, '-')
    .split('-')
    .filter((word) => slug(word));
  const [first, ...others] = words;
  const grouped = others.length > 0 && (firsts.get(first!) ?? 0) > 1;
  const names: FullName = grouped
    ? { group: [first!], name: others.join('-') }
    : { group: [], name: words.join('-') || 'colour' };
  const over = writeRoleName(names).length - MOST_FOUND;
  if (over <= 0) return names;
  return { group: [], name: words.join('-').slice(0, MOST_FOUND) };
}

/** The gradient that a custom property is, in the first theme in which it is one; null when it cannot be read. */
function gradientFrom(property: SheetProperty, prefix: string): NamedSheetGradient | null {
  for (const value of property.values.values()) {
    if (value.to !== 'gradient') continue;
    const gradient = readLinkedGradient(value.text);
    const { remark: whole, property: own } = property.declaration;
    const remark = whole && readGradientRemark(whole);
    const text = withoutPrefix(own, prefix).replace(/^gradient-/, '');
    const name = nameFrom(remark && slug(remark) === slug(text) ? remark : titleOf(text), 'Gradient');
    const fits =
      gradient && gradientFromCss(gradient, { id: 'any', name }, () => ({ to: 'color', color: '#000000' }));
    return fits ? { property: own, name, gradient } : null;
  }
  return null;
}

/** The roles and gradients that custom properties come to. What leads in a circle or to what is gone has no value. */
export function rolesAndGradients(
  properties: readonly SheetProperty[],
  all: ReadonlyMap<string, SheetProperty>,
  themes: readonly string[],
  prefix: string,
): { readonly roles: SheetRole[]; readonly gradients: NamedSheetGradient[] } {
  const roles: SheetRole[] = [];
  const gradients: NamedSheetGradient[] = [];
  const firsts = firstWords(properties, prefix);
  for (const property of properties) {
    if ([...property.values.values()].some(({ to }) => to === 'gradient')) {
      const gradient = gradientFrom(property, prefix);
      if (gradient) gradients.push(gradient);
      continue;
    }
    const sources = new Map<string, StopSource>();
    for (const key of themes) {
      const value = property.values.get(key);
      if (!value || value.to === 'gradient') continue;
      const isWhole = value.to === 'property' && value.opacity === 1;
      if (
        colorIn(all, property.name, key) !== null ||
        (isWhole && gradientIn(all, property.name, key) !== null)
      )
        sources.set(key, value);
    }
    if (sources.size)
      roles.push({ property: property.name, ...roleNames(property, prefix, firsts), sources });
  }
  return { roles, gradients };
}

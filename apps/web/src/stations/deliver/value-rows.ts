import { writeHex } from '@mint-lamp/core/color/write';
import { writeGroup } from '@mint-lamp/core/document/naming/role-name';
import { cssNames } from '@mint-lamp/core/exchange/css';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import { colorOf, type Painted } from '@mint-lamp/core/system/painted';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';

/** A value to hand over: what it is called, what it looks like, and what is copied. */
interface Value {
  readonly name: string;
  readonly css: string;
  readonly hex: string;
  readonly property: string;
}

/** A row of the list of values: a heading, the name of a group of roles, or a value. */
export type ValueRow =
  | { readonly kind: 'heading'; readonly key: string; readonly text: string }
  | { readonly kind: 'group'; readonly key: string; readonly text: string }
  | { readonly kind: 'value'; readonly key: string; readonly value: () => Value };

/** A role's colour as hex; a gradient as it is. */
const hexOf = (paint: string, color: Painted | null) => (color ? writeHex(colorOf(color)) : paint);

/** All values of a theme: roles by group, gradients, families. Values are worked out when they are shown. */
export function valueRows(system: System, theme: ResolvedTheme): ValueRow[] {
  const { document, families } = system;
  const names = cssNames(document);
  const rows: ValueRow[] = [];
  const heading = (text: string) => rows.push({ kind: 'heading', key: `heading ${text}`, text });
  const value = (key: string, of: () => Value) => rows.push({ kind: 'value', key, value: of });

  if (document.roles.length) heading(`Roles in ${theme.theme.name}`);
  let last = '';
  for (const role of document.roles) {
    const paint = rolePaint(theme, role.id);
    if (!paint) continue;
    const group = writeGroup(role.group);
    if (group !== last) rows.push({ kind: 'group', key: `group ${role.id}`, text: group || 'in no group' });
    last = group;
    value(role.id, () => ({
      name: role.name,
      css: paint,
      hex: hexOf(paint, theme.roles.get(role.id)?.color ?? null),
      property: names.role(role.id),
    }));
  }
  if (document.gradients.length) heading('Gradients');
  for (const resolved of theme.gradients.values()) {
    const { id, name } = resolved.gradient;
    if (resolved.colors.filter(Boolean).length < 2) continue;
    value(id, () => {
      const css = gradientCss(resolved) ?? '';
      return { name, css, hex: css, property: names.gradient(id) };
    });
  }
  for (const { family, shades } of families.values()) {
    heading(family.name);
    for (const { label, css } of shades)
      value(`${family.id} ${label}`, () => ({
        name: label,
        css,
        hex: css,
        property: names.shade(family.id, label),
      }));
  }
  return rows;
}

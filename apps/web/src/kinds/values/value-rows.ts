import { NOTATIONS } from '@mint-lamp/core/color/notations';
import type { CopiedAs } from '@mint-lamp/core/document/delivery/delivery';
import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import { writeGroup, writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { cssNames } from '@mint-lamp/core/exchange/css-names';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import { colorOf, type Painted } from '@mint-lamp/core/system/painted';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';

/** A value to hand over: what it is called, what it looks like, and what is copied. */
interface Value {
  readonly name: string;
  readonly css: string;
  /** As it is copied. */
  readonly copied: string;
  readonly property: string;
}

/** A row of the list of values: a heading, the name of a group of roles, or a value. */
export type ValueRow =
  | { readonly kind: 'heading'; readonly key: string; readonly text: string }
  | { readonly kind: 'group'; readonly key: string; readonly text: string }
  | { readonly kind: 'value'; readonly key: string; readonly value: () => Value };

/** A value as it is copied: a colour in the notation, a gradient as it is; or by its name. */
function copiedAs(
  as: CopiedAs,
  paint: string,
  color: Painted | null,
  property: string,
  name: string,
): string {
  if (as === 'property') return `var(${property})`;
  if (as === 'name') return name;
  return color ? NOTATIONS.find(({ id }) => id === as)!.write(colorOf(color)) : paint;
}

/** All values of a theme: roles by group, gradients, families. Values are worked out when they are shown. */
export function valueRows(system: System, theme: ResolvedTheme, as: CopiedAs): ValueRow[] {
  const { document, families } = system;
  const names = cssNames(document, choicesOf(document.delivery.choices, 'css').prefix);
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
      copied: copiedAs(
        as,
        paint,
        theme.roles.get(role.id)?.color ?? null,
        names.role(role.id),
        writeRoleName(role),
      ),
      property: names.role(role.id),
    }));
  }
  if (document.gradients.length) heading('Gradients');
  for (const resolved of theme.gradients.values()) {
    const { id, name } = resolved.gradient;
    if (resolved.colors.filter(Boolean).length < 2) continue;
    value(id, () => {
      const css = gradientCss(resolved) ?? '';
      const property = names.gradient(id);
      return { name, css, copied: copiedAs(as, css, null, property, name), property };
    });
  }
  for (const { family, shades } of families.values()) {
    heading(family.name);
    for (const shade of shades) {
      const { label, css } = shade;
      value(`${family.id} ${label}`, () => {
        const property = names.shade(family.id, label);
        return {
          name: label,
          css,
          copied: copiedAs(as, css, shade, property, `${family.name} ${label}`),
          property,
        };
      });
    }
  }
  return rows;
}

import type { RoleLink } from '../document/links/link.ts';
import { linkName } from '../document/naming/link-name.ts';
import { writeRoleName } from '../document/naming/role-name.ts';
import { gradientCss } from '../system/gradients/gradient-css.ts';
import type { System } from '../system/resolve.ts';
import { cssNames } from './css-names.ts';
import { isPaintedOtherwise, plainGradient } from './css-values.ts';
import { inOrder } from './in-order.ts';
import { notationsOf } from './notations-of.ts';

/**
 * The system as plain JSON for whatever program: families with shades, themes with roles and gradients, pairs; every colour in
 * every notation, every thing under its name and the custom property that it has in the style sheet. Not read back.
 */
export function writeJsonTable(system: System): string {
  const { document } = system;
  const names = cssNames(document);
  const said = (link: RoleLink | null) => (link ? linkName(document, link) : null);
  const table = {
    project: document.name,
    families: [...system.families.values()].map(({ family, shades, base }) => ({
      name: family.name,
      base: base.label,
      shades: shades.map((shade) => ({
        label: shade.label,
        property: names.shade(family.id, shade.label),
        ...(shade.handSet ? { handSet: true } : {}),
        ...notationsOf(shade),
      })),
    })),
    themes: [...system.themes.values()].map((theme) => ({
      name: theme.theme.name,
      attribute: names.theme(theme.theme.id),
      roles: document.roles.map((role) => {
        const { color, gradient, link, problem } = theme.roles.get(role.id)!;
        const painted = gradient ? theme.gradients.get(gradient) : undefined;
        return {
          name: writeRoleName(role),
          property: names.role(role.id),
          ...(role.about === undefined ? {} : { about: role.about }),
          ...(role.retired === undefined ? {} : { retired: role.retired }),
          link: said(link),
          ...(color ? notationsOf(color) : {}),
          ...(painted ? { gradient: painted.gradient.name } : {}),
          ...(problem ? { problem } : {}),
        };
      }),
      gradients: [...theme.gradients.values()].flatMap((resolved) => {
        const css = gradientCss(resolved);
        const { id, name } = resolved.gradient;
        return css
          ? [
              {
                name,
                property: names.gradient(id),
                css,
                plain: isPaintedOtherwise(resolved) ? plainGradient(resolved) : null,
              },
            ]
          : [];
      }),
    })),
    pairs: document.pairs.map(({ foreground, background, size, weight, target }) => {
      const nameOf = (id: string) =>
        document.roles.filter((role) => role.id === id).map(writeRoleName)[0] ?? null;
      return { text: nameOf(foreground), ground: nameOf(background), size, weight, target: inOrder(target) };
    }),
  };
  return `${JSON.stringify(table, null, 2)}\n`;
}

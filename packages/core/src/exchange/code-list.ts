import { NOTATIONS } from '../color/notations.ts';
import type { ChoicesOf } from '../document/delivery/forms.ts';
import { writeRoleName } from '../document/naming/role-name.ts';
import { gradientCss } from '../system/gradients/gradient-css.ts';
import { colorOf } from '../system/painted.ts';
import type { System } from '../system/resolve.ts';

/**
 * The system as a plain list for reading and pasting: a line for each shade and, theme by theme, each role,
 * code first; translucent colours have their opacity. Roles that gradients paint have the gradient as CSS, roles without
 * a colour are left out.
 */
export function writeCodeList(system: System, { code }: ChoicesOf<'hex'> = { code: 'hex' }): string {
  const { write } = NOTATIONS.find(({ id }) => id === code)!;
  const parts = [system.document.name];
  for (const { family, shades } of system.families.values())
    parts.push(
      [family.name, ...shades.map((s) => `${write(colorOf(s))}  ${family.name} ${s.label}`)].join('\n'),
    );
  for (const theme of system.themes.values()) {
    const lines = system.document.roles.flatMap((role) => {
      const { color = null, gradient = null } = theme.roles.get(role.id) ?? {};
      const painted = gradient === null ? undefined : theme.gradients.get(gradient);
      const written = color ? write(colorOf(color)) : painted && gradientCss(painted);
      return written ? [`${written}  ${writeRoleName(role)}`] : [];
    });
    parts.push([theme.theme.name, ...lines].join('\n'));
  }
  return `${parts.join('\n\n')}\n`;
}

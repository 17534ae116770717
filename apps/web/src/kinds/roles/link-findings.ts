import type { RoleLink } from '@mint-lamp/core/document/links/link';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import type { Finding, FindingGroup, FindingTools } from '../finding.ts';

/** What a role can be linked to in the theme that is switched on: shades and bases first, then other roles and gradients. */
export function linkFindings(
  { system, theme }: FindingTools,
  role: string,
  onLink: (link: RoleLink) => void,
): FindingGroup {
  const own = system.document.roles.find(({ id }) => id === role);
  if (!own) return { title: '', findings: [] };
  const families = [...system.families.values()].flatMap(({ family, shades, base }): Finding[] => [
    ...shades.map((shade) => ({
      key: `link ${family.id} ${shade.label}`,
      name: `${family.name} ${shade.label}`,
      css: () => shade.css,
      act: () => onLink({ to: 'shade', family: family.id, shade: shade.label }),
    })),
    {
      key: `link ${family.id} base`,
      name: `${family.name} base`,
      css: () => base.color.css,
      act: () => onLink({ to: 'base', family: family.id }),
    },
  ]);
  const roles = system.document.roles.flatMap((other): Finding[] =>
    other.id === role
      ? []
      : [
          {
            key: `link ${other.id}`,
            name: writeRoleName(other),
            css: () => rolePaint(theme, other.id),
            act: () => onLink({ to: 'role', role: other.id }),
          },
        ],
  );
  const gradients = theme.gradients.values().map(
    (resolved): Finding => ({
      key: `link ${resolved.gradient.id}`,
      name: `${resolved.gradient.name} (gradient)`,
      css: () => gradientCss(resolved),
      act: () => onLink({ to: 'gradient', gradient: resolved.gradient.id }),
    }),
  );
  return {
    title: `Link ${writeRoleName(own)} in ${theme.theme.name} to`,
    findings: [...families, ...roles, ...gradients],
  };
}

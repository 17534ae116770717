import { plainLink } from '@mint-lamp/core/document/links/link';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { type Light, litLink } from '../lit-color.ts';

export const lightRole: Light<'role'> = (_system, theme, selection) => {
  const resolved = theme.roles.get(selection.role);
  if (!resolved) return null;
  const { role, color, link, problem, gradient } = resolved;
  const { id, name } = theme.theme;
  const linked = litLink(
    {
      key: `role ${role.id} ${id}`,
      title: writeRoleName(role),
      kind: `role in ${name}`,
      painted: color,
      problem,
      link: plainLink(link),
    },
    (next) => ({ type: 'setLink', role: role.id, theme: id, link: next }),
  );
  return {
    ...linked,
    gradient: (gradient && theme.gradients.get(gradient)) || null,
    paintBy: (next) => ({
      type: 'setLink',
      role: role.id,
      theme: id,
      link: { to: 'gradient', gradient: next },
    }),
  };
};

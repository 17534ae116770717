import { writeRoleName } from '@mint-lamp/core/system/roles/role-name';
import { type Light, litLink } from '../lit-color.ts';

export const lightRole: Light<'role'> = (_system, theme, selection) => {
  const resolved = theme.roles.get(selection.role);
  if (!resolved) return null;
  const { role, color, link, problem } = resolved;
  const { id, name } = theme.theme;
  return litLink(
    {
      key: `role ${role.id} ${id}`,
      title: writeRoleName(role),
      kind: `role in ${name}`,
      painted: color,
      problem,
      link,
    },
    (next) => ({ type: 'setLink', role: role.id, theme: id, link: next }),
  );
};

import type { KindSchemas } from '../kind.ts';
import { MOST_ROLES, MOST_THEMES } from '../limits.ts';
import { ROLE_NAME_PATTERN } from '../naming/role-name.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import { MOST_ABOUT, MOST_GROUPS, MOST_ORIGIN, type Role, type RoleOrigin } from './role.ts';
import type { RoleCommand } from './role-commands.ts';
import { ROLE_USES } from './use-names.ts';

export function roleSchemas(parts: SchemaParts): KindSchemas<{ roles: readonly Role[] }, RoleCommand> {
  const { Joi, objectOf, optional, id, index, record, roleLink } = parts;
  const name = parts.name.pattern(ROLE_NAME_PATTERN, 'a name without dots, spaces, slashes, braces and $');
  const use = Joi.valid(...ROLE_USES);
  const about = parts.text(MOST_ABOUT);
  const instead = about.allow('');
  const group = Joi.array().items(name).max(MOST_GROUPS);

  const said = Joi.string().max(MOST_ORIGIN).required();
  const origin = objectOf<RoleOrigin>({
    property: said,
    value: said.allow(''),
    file: said.allow(''),
    line: Joi.number().integer().min(1).max(1e8).required(),
  });

  const roleSchema = objectOf<Role>({
    id,
    group,
    name,
    use: optional(use),
    about: optional(about),
    retired: optional(instead),
    origin: optional(origin),
    links: record(roleLink, MOST_THEMES),
  });

  const roleCommandSchemas: CommandSchemas<RoleCommand> = {
    addRole: { role: roleSchema, index: optional(index) },
    removeRole: { role: id },
    renameRole: { role: id, group, name },
    renameRoleGroup: { from: group.min(1), to: group.min(1) },
    moveRole: { role: id, index },
    tellOfRole: { role: id, about: about.allow(null) },
    retireRole: { role: id, instead: instead.allow(null) },
    setOrigin: { role: id, origin: origin.allow(null) },
    setUse: { role: id, use: use.allow(null) },
    setLink: { role: id, theme: id, link: roleLink.allow(null) },
  };

  return { parts: { roles: parts.listOf(roleSchema, MOST_ROLES) }, commands: roleCommandSchemas };
}

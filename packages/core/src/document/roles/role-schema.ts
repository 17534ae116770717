import Joi from 'joi';
import { roleLinkSchema } from '../links/link-schema.ts';
import { type CommandSchemas, objectOf, optional } from '../schema/keys.ts';
import { name as anyName, id, index, record } from '../schema/parts.ts';
import { MOST_THEMES } from '../themes/theme.ts';
import { MOST_GROUPS, type Role } from './role.ts';
import type { RoleCommand } from './role-commands.ts';
import { ROLE_NAME_PATTERN } from './role-name.ts';
import { ROLE_USES } from './use-names.ts';

const name = anyName.pattern(ROLE_NAME_PATTERN, 'a name without dots, spaces, slashes, braces and $');
const use = Joi.valid(...ROLE_USES);
const group = Joi.array().items(name).max(MOST_GROUPS);

export const roleSchema = objectOf<Role>({
  id,
  group,
  name,
  use: optional(use),
  links: record(roleLinkSchema, MOST_THEMES),
});

export const roleCommandSchemas: CommandSchemas<RoleCommand> = {
  addRole: { role: roleSchema, index: optional(index) },
  removeRole: { role: id },
  renameRole: { role: id, group, name },
  renameRoleGroup: { from: group.min(1), to: group.min(1) },
  moveRole: { role: id, index },
  setUse: { role: id, use: use.allow(null) },
  setLink: { role: id, theme: id, link: roleLinkSchema.allow(null) },
};

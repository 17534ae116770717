import { linkSchema } from '../links/link-schema.ts';
import { MOST_ROLES } from '../roles/role.ts';
import { type CommandSchemas, objectOf, optional } from '../schema/keys.ts';
import { id, index, name, record } from '../schema/parts.ts';
import type { Theme } from './theme.ts';
import type { ThemeCommand } from './theme-commands.ts';

export const themeSchema = objectOf<Theme>({ id, name });

export const themeCommandSchemas: CommandSchemas<ThemeCommand> = {
  addTheme: { theme: themeSchema, index: optional(index), links: record(linkSchema, MOST_ROLES) },
  removeTheme: { theme: id },
  renameTheme: { theme: id, name },
  moveTheme: { theme: id, index },
};

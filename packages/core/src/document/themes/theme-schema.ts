import type { KindSchemas } from '../kind.ts';
import { MOST_ROLES, MOST_THEMES } from '../limits.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import type { Theme } from './theme.ts';
import type { ThemeCommand } from './theme-commands.ts';

export function themeSchemas(parts: SchemaParts): KindSchemas<{ themes: readonly Theme[] }, ThemeCommand> {
  const { objectOf, optional, id, index, name, record, roleLink } = parts;
  const themeSchema = objectOf<Theme>({ id, name });

  const themeCommandSchemas: CommandSchemas<ThemeCommand> = {
    addTheme: { theme: themeSchema, index: optional(index), links: record(roleLink, MOST_ROLES) },
    removeTheme: { theme: id },
    renameTheme: { theme: id, name },
    moveTheme: { theme: id, index },
  };

  return { parts: { themes: parts.listOf(themeSchema, MOST_THEMES, 1) }, commands: themeCommandSchemas };
}

import { kindOf } from '../kind.ts';
import { checkName } from '../naming/names.ts';
import type { Theme } from './theme.ts';
import { type ThemeCommand, type ThemeLists, themeSteps, themeWords } from './theme-commands.ts';
import { themeSchemas } from './theme-schema.ts';

export const themes = kindOf<{ readonly themes: readonly Theme[] }, ThemeCommand, ThemeLists>()({
  empty: { themes: [] },
  steps: themeSteps,
  words: themeWords,
  schemas: themeSchemas,
  check({ themes }) {
    for (const { id, name } of themes) checkName(name, themes, id, 'theme');
  },
  compared: {
    themes: {
      as: 'things',
      word: 'theme',
      add: (theme, index) => ({ type: 'addTheme', theme, index, links: {} }),
      remove: (theme) => ({ type: 'removeTheme', theme }),
      differs: () => [],
    },
  },
});

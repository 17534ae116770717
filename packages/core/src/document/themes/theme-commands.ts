import type { Step, StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, moved, omit, replaced, without } from '../commands/lists.ts';
import { Refusal } from '../commands/refusal.ts';
import { MOST_THEMES } from '../limits.ts';
import { canCircle, type Linked, refuseCircles } from '../links/circles.ts';
import type { RoleLink } from '../links/link.ts';
import { checkName, nameIn } from '../naming/names.ts';
import type { Theme } from './theme.ts';

/** What these commands look at. */
export interface ThemeLists extends Linked {
  readonly themes: readonly Theme[];
}

export type ThemeCommand =
  | {
      readonly type: 'addTheme';
      readonly theme: Theme;
      readonly index?: number;
      /** Links of the new theme by role id. */
      readonly links: Readonly<Record<string, RoleLink>>;
    }
  | { readonly type: 'removeTheme'; readonly theme: string }
  | { readonly type: 'renameTheme'; readonly theme: string; readonly name: string }
  | { readonly type: 'moveTheme'; readonly theme: string; readonly index: number };

export const themeSteps: StepsOf<ThemeCommand, ThemeLists> = {
  addTheme(doc, { theme, index, links }) {
    checkName(theme.name, doc.themes, theme.id, 'theme');
    const themes = inserted(doc.themes, theme, index, MOST_THEMES, 'theme');
    const roles = doc.roles.map((role) => {
      const link = links[role.id];
      return link ? { ...role, links: { ...role.links, [theme.id]: link } } : role;
    });
    const next = { ...doc, themes, roles };
    const linked = Object.keys(links).filter((role) => canCircle(next, links[role]!));
    refuseCircles(
      next,
      linked.map((role) => ({ kind: 'role', role, theme: theme.id })),
    );
    return [next, { type: 'removeTheme', theme: theme.id }];
  },

  removeTheme(doc, { theme }) {
    const index = indexOf(doc.themes, theme, 'theme');
    if (doc.themes.length === 1)
      throw new Refusal(`${doc.themes[0]!.name} is the only theme that is left; a project needs one.`);
    const links: Record<string, RoleLink> = {};
    const roles = doc.roles.map((role) => {
      const link = role.links[theme];
      if (!link) return role;
      links[role.id] = link;
      return { ...role, links: omit(role.links, theme) };
    });
    return [
      { themes: without(doc.themes, index), roles },
      { type: 'addTheme', theme: doc.themes[index]!, index, links },
    ];
  },

  renameTheme(doc, { theme, name }) {
    const index = indexOf(doc.themes, theme, 'theme');
    checkName(name, doc.themes, theme, 'theme');
    const old = doc.themes[index]!;
    return changed(doc, index, { ...old, name }, { type: 'renameTheme', theme, name: old.name });
  },

  moveTheme(doc, { theme, index }) {
    const from = indexOf(doc.themes, theme, 'theme');
    return [{ themes: moved(doc.themes, from, index) }, { type: 'moveTheme', theme, index: from }];
  },
};

const changed = (
  doc: ThemeLists,
  index: number,
  theme: Theme,
  back: ThemeCommand,
): Step<ThemeCommand, ThemeLists> => [{ themes: replaced(doc.themes, index, theme) }, back];

export const themeWords: WordsOf<ThemeCommand, ThemeLists> = {
  addTheme: (_, { theme }) => `add the theme ${theme.name}`,
  removeTheme: (doc, { theme }) => `remove the theme ${nameIn(doc.themes, theme)}`,
  renameTheme: (doc, { theme, name }) => `rename ${nameIn(doc.themes, theme)} to ${name}`,
  moveTheme: (doc, { theme }) => `move the theme ${nameIn(doc.themes, theme)}`,
};

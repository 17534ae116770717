import { opposite, otherScheme, schemeOf } from '../system/delivery/schemes.ts';
import type { ResolvedTheme, System } from '../system/resolve.ts';
import type { CssNames } from './css-names.ts';

/** How a page gets its theme. */
type ThemeChoice = 'attribute' | 'class' | 'scheme' | 'both' | 'function';

export interface ThemeStyle {
  readonly themes: ThemeChoice;
  /** The theme for the other scheme; null for the one that is found. */
  readonly other: string | null;
  /** The theme for those who ask for more contrast; null for none. */
  readonly contrast: string | null;
}

/** A rule that sets a theme. */
interface ThemeRule {
  readonly theme: ResolvedTheme;
  readonly heading: string;
  readonly selectors: readonly string[];
  readonly media?: string;
}

export interface ThemeRules {
  readonly rules: readonly ThemeRule[];
  /** Themes that no rule sets. */
  readonly unreached: readonly ResolvedTheme[];
}

/** The rules that set the themes of a system, the one that a page has without asking first. */
export function themeRules(
  system: System,
  names: CssNames,
  { themes, other, contrast }: ThemeStyle,
): ThemeRules {
  const [first, ...rest] = system.themes.values();
  if (!first) return { rules: [], unreached: [] };
  const attribute = ({ theme }: ResolvedTheme) => `[data-theme="${names.theme(theme.id)}"]`;
  const className = ({ theme }: ResolvedTheme) => `.theme-${names.theme(theme.id)}`;
  const second = otherScheme(system, other);
  const rules: ThemeRule[] = [];
  const rule = (theme: ResolvedTheme, selectors: readonly string[], media?: string, why = '') =>
    rules.push({ theme, selectors, heading: `${theme.theme.name}${why}`, ...(media ? { media } : {}) });
  const byScheme = `@media (prefers-color-scheme: ${opposite(schemeOf(system, first))})`;

  const named = themes === 'class' ? className : attribute;
  const isNamed = themes === 'attribute' || themes === 'class' || themes === 'both';
  rule(first, isNamed ? [':root', named(first)] : [':root']);
  const untouched = themes === 'class' ? ':root:not([class*="theme-"])' : ':root:not([data-theme])';
  if (second && themes === 'both') rule(second, [untouched], byScheme, ', by the system');
  if (second && themes === 'scheme') rule(second, [':root'], byScheme);
  if (isNamed) for (const theme of rest) rule(theme, [named(theme)]);
  const more = [...system.themes.values()].find(({ theme }) => theme.id === contrast);
  if (more)
    rule(
      more,
      [isNamed ? untouched : ':root'],
      '@media (prefers-contrast: more)',
      ', where more contrast is asked for',
    );
  const reached = new Set(rules.map(({ theme }) => theme));
  if (second && themes === 'function') reached.add(second);
  return { rules, unreached: [...system.themes.values()].filter((theme) => !reached.has(theme)) };
}

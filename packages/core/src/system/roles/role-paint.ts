import { gradientCss } from '../gradients/gradient-css.ts';
import type { ResolvedTheme } from '../resolve.ts';

/** What a role is painted with in a theme, as CSS of a background: a colour or a gradient; null where it comes to nothing. */
export function rolePaint(theme: ResolvedTheme, id: string): string | null {
  const resolved = theme.roles.get(id);
  if (!resolved?.gradient) return resolved?.color?.css ?? null;
  const gradient = theme.gradients.get(resolved.gradient);
  return gradient ? gradientCss(gradient) : null;
}

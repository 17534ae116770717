import type { Rgba } from '../../contrast/ratio.ts';
import { ResolvedGradient } from '../../system/gradients/resolved-gradient.ts';
import type { ResolvedTheme } from '../../system/resolve.ts';
import type { ResolvedRole } from '../../system/roles/resolved-role.ts';

/** What a role is painted with in a theme: one colour, or a gradient. */
export type Surface = Rgba | ResolvedGradient;

/** Whether a gradient paints it. */
export const isGradient = (surface: Surface | null): surface is ResolvedGradient =>
  surface instanceof ResolvedGradient;

function surfaceIn(theme: ResolvedTheme, role: ResolvedRole | undefined): Surface | null {
  if (!role) return null;
  if (role.color) return role.color;
  return role.gradient === null ? null : (theme.gradients.get(role.gradient) ?? null);
}

/** What a role is painted with; null where its link is broken. */
export const surfaceOf = (theme: ResolvedTheme, role: string): Surface | null =>
  surfaceIn(theme, theme.roles.get(role));

/** The same of the role at a place among those of the theme. */
export const surfaceAt = (theme: ResolvedTheme, place: number): Surface | null =>
  surfaceIn(theme, theme.roles.at(place));

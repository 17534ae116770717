import type { Rgba } from '../../contrast/ratio.ts';
import type { ResolvedGradient } from '../gradients/resolved-gradient.ts';
import type { ResolvedTheme } from '../resolve/resolve.ts';

/** What a role is painted with in a theme: one colour, or a gradient. */
export type Surface =
  | { readonly kind: 'color'; readonly color: Rgba }
  | { readonly kind: 'gradient'; readonly gradient: ResolvedGradient };

/** What a role is painted with; null where its link is broken. */
export function surfaceOf(theme: ResolvedTheme, role: string): Surface | null {
  const resolved = theme.roles.get(role);
  if (resolved?.color) return { kind: 'color', color: resolved.color };
  const gradient = resolved?.gradient ? theme.gradients.get(resolved.gradient) : undefined;
  return gradient ? { kind: 'gradient', gradient } : null;
}

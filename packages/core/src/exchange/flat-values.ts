import { writeRoleName } from '../document/naming/role-name.ts';
import type { Role } from '../document/roles/role.ts';
import type { ResolvedGradient } from '../system/gradients/resolved-gradient.ts';
import type { ResolvedTheme, System } from '../system/resolve.ts';
import type { ResolvedRole } from '../system/roles/resolved-role.ts';
import { type Code, codeOf } from './codes.ts';
import { type GradientChoice, gradientValue } from './css-values.ts';

/** What a role comes to in a theme, as plain CSS without links; null where it comes to nothing. */
function roleValueOf(
  theme: ResolvedTheme,
  { color, gradient }: Pick<ResolvedRole, 'color' | 'gradient'>,
  code: Code,
  gradients: GradientChoice,
): string | null {
  if (color) return codeOf(color, code);
  const painted = gradient ? theme.gradients.get(gradient) : undefined;
  return painted ? flatGradient(painted, code, gradients) : null;
}

/** A gradient as plain CSS without links; in plain stops where the choice says so. */
function flatGradient(resolved: ResolvedGradient, code: Code, gradients: GradientChoice): string | null {
  const style = { links: null, code };
  return gradientValue(resolved, gradients === 'fallback' ? 'mixed' : gradients, style)?.value ?? null;
}

/** A role with its written name, its resolved form and its value in a theme; only those that have one. */
export interface FlatRole {
  readonly role: Role;
  readonly name: string;
  readonly value: string;
}

export function flatRoles(
  system: System,
  theme: ResolvedTheme,
  code: Code,
  gradients: GradientChoice,
): FlatRole[] {
  return system.document.roles.flatMap((role) => {
    const value = roleValueOf(theme, theme.roles.get(role.id)!, code, gradients);
    return value === null ? [] : [{ role, name: writeRoleName(role), value }];
  });
}

export function flatGradients(
  theme: ResolvedTheme,
  code: Code,
  gradients: GradientChoice,
): { readonly resolved: ResolvedGradient; readonly value: string }[] {
  return [...theme.gradients.values()].flatMap((resolved) => {
    const value = flatGradient(resolved, code, gradients);
    return value === null ? [] : [{ resolved, value }];
  });
}

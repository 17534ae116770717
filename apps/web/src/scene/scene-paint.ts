import { slug } from '@mint-lamp/core/document/naming/names';
import { roleSlug } from '@mint-lamp/core/document/naming/role-name';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';

/** What paints one part of a scene. */
export interface PartPaint {
  /** A colour, or a gradient. */
  readonly css: string | undefined;
  /** Id of the role at work; undefined when the project has none for this part. */
  readonly role: string | undefined;
  /** Whether another role stands in for the one that the scene is made for. */
  readonly standsIn?: boolean;
}

export interface ScenePaint {
  /** What the first of these roles, written with their groups, that the project has is painted with. */
  readonly role: (...names: readonly string[]) => PartPaint;
  /** The same where one colour is needed, as of lines. */
  readonly line: (...names: readonly string[]) => PartPaint;
  /** A gradient by its name. */
  readonly gradient: (name: string) => { readonly css: string; readonly id: string } | undefined;
  /** Ids of the roles at work, in the order in which they were asked for. */
  readonly used: ReadonlySet<string>;
  /** Roles that were asked for first and that the project has not. */
  readonly missing: ReadonlySet<string>;
}

/** Paints a scene by the roles of a theme, and keeps account of which are at work. */
export function scenePaint(theme: ResolvedTheme): ScenePaint {
  const byName = new Map([...theme.roles.values()].map((resolved) => [roleSlug(resolved.role), resolved]));
  const used = new Set<string>();
  const missing = new Set<string>();
  const paintWith = (names: readonly string[], needsColor: boolean): PartPaint => {
    const found = names
      .map((name) => byName.get(slug(name)))
      .find((resolved) => resolved?.color || (resolved?.gradient && !needsColor));
    if (!byName.has(slug(names[0]!))) missing.add(names[0]!);
    if (found) used.add(found.role.id);
    const standsIn = found !== undefined && found !== byName.get(slug(names[0]!));
    return { css: (found && rolePaint(theme, found.role.id)) ?? undefined, role: found?.role.id, standsIn };
  };
  return {
    used,
    missing,
    role: (...names) => paintWith(names, false),
    line: (...names) => paintWith(names, true),
    gradient: (name) => {
      for (const resolved of theme.gradients.values())
        if (slug(resolved.gradient.name) === slug(name)) {
          const css = gradientCss(resolved);
          return css ? { css, id: resolved.gradient.id } : undefined;
        }
      return undefined;
    },
  };
}

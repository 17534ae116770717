import { gradientCss } from '@mint-lamp/core/exchange/css';
import { slug } from '@mint-lamp/core/system/names';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve/resolve';
import { roleSlug } from '@mint-lamp/core/system/roles/role-name';

/** What paints one part of a scene. */
export interface PartPaint {
  readonly css: string | undefined;
  /** Id of the role at work; undefined when the project has none for this part. */
  readonly role: string | undefined;
  /** Whether another role stands in for the one that the scene is made for. */
  readonly standsIn?: boolean;
}

export interface ScenePaint {
  /** The colour of the first of these roles, written with their groups, that the project has. */
  readonly role: (...names: readonly string[]) => PartPaint;
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
  return {
    used,
    missing,
    role: (...names) => {
      const found = names.map((name) => byName.get(slug(name))).find((resolved) => resolved?.color);
      if (!byName.has(slug(names[0]!))) missing.add(names[0]!);
      if (found) used.add(found.role.id);
      const standsIn = found !== undefined && found !== byName.get(slug(names[0]!));
      return { css: found?.color?.css, role: found?.role.id, standsIn };
    },
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

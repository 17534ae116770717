import type { ProjectDocument } from '@mint-lamp/core/system/document';
import { resolveSystem } from '@mint-lamp/core/system/resolve';

/** What the list of projects shows of one: its families' shades and the colours of its roles in each theme. */
export interface ProjectPreview {
  readonly families: readonly { readonly name: string; readonly shades: readonly string[] }[];
  readonly themes: readonly { readonly name: string; readonly colors: readonly string[] }[];
}

const MOST_FAMILIES = 8;
const MOST_ROLES = 24;
const MOST_THEMES = 4;

export function previewOf(document: ProjectDocument): ProjectPreview {
  const system = resolveSystem({
    ...document,
    families: document.families,
    gradients: [],
    themes: document.themes.slice(0, MOST_THEMES),
  });
  return {
    families: [...system.families.values()]
      .slice(0, MOST_FAMILIES)
      .map(({ family, shades }) => ({ name: family.name, shades: shades.map((shade) => shade.css) })),
    themes: [...system.themes.values()].map(({ theme, roles }) => ({
      name: theme.name,
      colors: document.roles.slice(0, MOST_ROLES).flatMap((role) => roles.get(role.id)?.color?.css ?? []),
    })),
  };
}

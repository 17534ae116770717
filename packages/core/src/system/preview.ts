import type { ProjectDocument } from '../document/document.ts';
import { familiesOf } from './families/resolved-families.ts';
import { follow, LOOP, NO_ROLE, type Target, UNSET } from './follow.ts';

/** What the list of projects shows of one: its families' shades and the colours of its roles in each theme. */
export interface ProjectPreview {
  readonly families: readonly { readonly name: string; readonly shades: readonly string[] }[];
  readonly themes: readonly { readonly name: string; readonly colors: readonly string[] }[];
  /** Colours of the tray, the newest first; previews of before had none. */
  readonly tray?: readonly string[];
}

const MOST_FAMILIES = 8;
const MOST_ROLES = 24;
const MOST_THEMES = 4;
const MOST_SWATCHES = 16;

/** The preview of a project. Only what it shows is worked out, so that it costs the same however large the project is. */
export function previewOf(document: ProjectDocument): ProjectPreview {
  const { families, roles, themes, tray } = document;
  const byId = familiesOf(document);
  const hasGradient = (id: string) => document.gradients.some((gradient) => gradient.id === id);
  const colorsIn = (theme: string) => {
    const open = new Set<string>();
    const roleOf = (id: string): Target => {
      const role = roles.find((other) => other.id === id);
      if (!role) return NO_ROLE;
      if (open.has(id)) return LOOP;
      open.add(id);
      const link = role.links[theme];
      const target = link ? follow(link, { families: byId, hasGradient, roleOf }) : UNSET;
      open.delete(id);
      return target;
    };
    return roles.slice(0, MOST_ROLES).flatMap(({ id }) => roleOf(id).color?.css ?? []);
  };
  return {
    families: families
      .slice(0, MOST_FAMILIES)
      .map(({ id, name }) => ({ name, shades: byId.get(id)!.shades.map(({ css }) => css) })),
    tray: tray
      .slice(-MOST_SWATCHES)
      .map(({ color }) => color)
      .reverse(),
    themes: themes.slice(0, MOST_THEMES).map(({ id, name }) => ({ name, colors: colorsIn(id) })),
  };
}

import type { ProjectDocument } from '../document/document.ts';
import { gradientIds } from '../document/gradients/gradient-ids.ts';
import type { Theme } from '../document/themes/theme.ts';
import { type ById, indexById } from './by-id.ts';
import { type FamilyMap, resolveFamilies } from './families/resolved-families.ts';
import type { ResolvedGradient } from './gradients/resolved-gradient.ts';
import { ThemeGradients } from './gradients/theme-gradients.ts';
import { NO_REGIONS, type Regions } from './pictures/regions.ts';
import { type ResolvedRole, recoloredRoles, resolveRoles } from './roles/resolved-role.ts';

export class ResolvedTheme {
  readonly theme: Theme;
  readonly roles: ById<ResolvedRole>;
  readonly lazyGradients: ThemeGradients;

  constructor(theme: Theme, roles: ById<ResolvedRole>, lazyGradients: ThemeGradients) {
    this.theme = theme;
    this.roles = roles;
    this.lazyGradients = lazyGradients;
  }

  get gradients(): ById<ResolvedGradient> {
    return this.lazyGradients.all;
  }
}

/** A document with every role, link and gradient turned into colours, in every theme. */
export interface System {
  readonly document: ProjectDocument;
  readonly families: FamilyMap;
  readonly themes: ReadonlyMap<string, ResolvedTheme>;
  /** Stands for the families and labels that there are: the same object as long as no link to a shade can break or mend. */
  readonly shape: object;
  /** The colours of the regions of pictures that texts lie over, as far as they are known. */
  readonly regions: Regions;
}

/**
 * Turns a document into colours. Given the system of an earlier state of the same project it is incremental,
 * whatever the change: just what depends on things that are not the same objects any more is worked out again,
 * and everything else is the same object as before. Broken links never throw; they are reported where they are.
 */
export function resolveSystem(
  document: ProjectDocument,
  previous?: System,
  regions: Regions = previous?.regions ?? NO_REGIONS,
): System {
  if (previous?.document === document)
    return previous.regions === regions ? previous : { ...previous, regions };
  const families = resolveFamilies(document, previous);
  if (!previous) {
    const index = indexById(document.roles);
    const themes = new Map<string, ResolvedTheme>();
    for (const theme of document.themes) themes.set(theme.id, newTheme(document, theme, families, index));
    return { document, families, themes, shape: {}, regions };
  }
  const anyTheme: ResolvedTheme | undefined = previous.themes.values().next().value;
  // One table of places for all themes, and the same one for as long as no role comes, goes or moves.
  const index = anyTheme?.roles.sameIds(document.roles) ? anyTheme.roles.index : indexById(document.roles);
  const changed = changedFamilies(previous.families, families);
  const themes = new Map<string, ResolvedTheme>();
  for (const theme of document.themes) {
    const before = previous.themes.get(theme.id);
    themes.set(
      theme.id,
      before
        ? themeAfter(before, { document, old: previous.document, families, changed, index }, theme)
        : newTheme(document, theme, families, index),
    );
  }
  const shape = sameShades(previous.families, families) ? previous.shape : {};
  return { document, families, themes, shape, regions };
}

type Index = ReadonlyMap<string, number>;

function newTheme(document: ProjectDocument, theme: Theme, families: FamilyMap, index: Index): ResolvedTheme {
  const roles = resolveRoles(document.roles, theme.id, families, gradientIds(document.gradients), index);
  return new ResolvedTheme(theme, roles, new ThemeGradients(document.gradients, families, roles));
}

/** What a theme is worked out again from. */
interface Change {
  readonly document: ProjectDocument;
  readonly old: ProjectDocument;
  readonly families: FamilyMap;
  readonly changed: ReadonlySet<string>;
  readonly index: Index;
}

function themeAfter(before: ResolvedTheme, change: Change, theme: Theme): ResolvedTheme {
  const { document, old, families, changed, index } = change;
  const sameGradients = document.gradients === old.gradients;
  const gradients = gradientIds(document.gradients, old.gradients);
  const oldGradients = gradientIds(old.gradients);
  const roles =
    document.roles === old.roles && gradients === oldGradients && !changed.size
      ? before.roles
      : resolveRoles(document.roles, theme.id, families, gradients, index, {
          list: old.roles,
          roles: before.roles,
          changedFamilies: changed,
          gradients: oldGradients,
        });
  if (roles === before.roles && theme === before.theme && sameGradients && !changed.size) return before;
  const recolored = { families: changed, roles: recoloredRoles(before.roles, roles) };
  const lazyGradients =
    sameGradients && !changed.size && !recolored.roles.length
      ? before.lazyGradients
      : before.lazyGradients.after(document.gradients, recolored, families, roles);
  return new ResolvedTheme(theme, roles, lazyGradients);
}

/** Ids of the families that are not what they were, those that came or went among them. */
function changedFamilies(old: FamilyMap, now: FamilyMap): ReadonlySet<string> {
  const changed = new Set<string>();
  if (old === now) return changed;
  for (const [id, resolved] of now) if (old.get(id) !== resolved) changed.add(id);
  for (const id of old.keys()) if (!now.has(id)) changed.add(id);
  return changed;
}

/** Whether both have the same families with the same labels, so that no link can break or mend between them. */
function sameShades(old: FamilyMap, now: FamilyMap): boolean {
  if (old === now) return true;
  if (old.size !== now.size) return false;
  for (const [id, { shades }] of now) {
    const before = old.get(id);
    if (!before || before.shades.length !== shades.length) return false;
    if (before.shades !== shades && shades.some((shade, i) => shade.label !== before.shades[i]!.label))
      return false;
  }
  return true;
}

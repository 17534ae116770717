import { gradientCss } from '../exchange/css.ts';
import { applyCommand } from '../system/commands/apply.ts';
import { emptyDocument } from '../system/document.ts';
import { linkName } from '../system/links/link-name.ts';
import { slug } from '../system/names.ts';
import { resolveSystem } from '../system/resolve/resolve.ts';
import { roleSlug, writeRoleName } from '../system/roles/role-name.ts';
import { adoptSheet, type SheetChoice } from './adopt.ts';
import type { SheetSystem } from './sheet-system.ts';

/** What a proposed role comes to in a theme: its colour as CSS, and what it points to in words. */
export interface PaintedSource {
  readonly css: string;
  readonly points: string;
}

/** What is proposed as it would be if the choice were taken. */
export interface PaintedSheet {
  /** By property and theme key. */
  readonly roles: ReadonlyMap<string, ReadonlyMap<string, PaintedSource>>;
  /** CSS in the first theme, by property. */
  readonly gradients: ReadonlyMap<string, string>;
}

/** Paints all roles and gradients of a proposal, those that are not chosen too, as the chosen families and snaps make them. */
export function paintSheet(system: SheetSystem, choice: SheetChoice): PaintedSheet {
  const painted = new Map<string, Map<string, PaintedSource>>();
  const gradients = new Map<string, string>();
  const everything: SheetChoice = {
    ...choice,
    themes: new Set(system.themes.map(({ key }) => key)),
    roles: new Set(system.roles.map(({ property }) => property)),
    gradients: new Set(system.gradients.map(({ property }) => property)),
  };
  let ids = 0;
  const command = adoptSheet(
    emptyDocument('', [{ id: 'none', name: '·' }]),
    system,
    everything,
    () => `n${++ids}`,
  );
  const result = command && applyCommand(emptyDocument('', [{ id: 'none', name: '·' }]), command);
  if (!result?.ok) return { roles: painted, gradients };
  const { document } = result;
  const themeOf = new Map(document.themes.map(({ id, name }) => [id, slug(name)]));
  const keyOf = new Map(system.themes.map(({ key, name }) => [slug(name), key]));
  const properties = new Map(system.roles.map((role) => [slug(writeRoleName(role)), role.property]));
  const { themes } = resolveSystem(document);
  const first = themes.values().next().value;
  document.gradients.forEach(({ id }, i) => {
    const resolved = first?.gradients.get(id);
    const css = resolved && gradientCss(resolved);
    if (css) gradients.set(system.gradients[i]!.property, css);
  });
  for (const { theme, roles } of themes.values()) {
    const key = keyOf.get(themeOf.get(theme.id)!);
    if (key === undefined) continue;
    for (const { role, link, color } of roles.values()) {
      const property = properties.get(roleSlug(role));
      if (property === undefined || !color || !link) continue;
      const byTheme = painted.get(property) ?? new Map<string, PaintedSource>();
      painted.set(property, byTheme.set(key, { css: color.css, points: linkName(document, link) }));
    }
  }
  return { roles: painted, gradients };
}

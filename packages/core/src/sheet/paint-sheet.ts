import { contrastRatio } from '../contrast/ratio.ts';
import { applyCommand } from '../document/commands/apply.ts';
import { emptyDocument } from '../document/document.ts';
import { linkName } from '../document/naming/link-name.ts';
import { gradientCss } from '../system/gradients/gradient-css.ts';
import { paint } from '../system/painted.ts';
import { resolveSystem } from '../system/resolve.ts';
import { castOf } from '../system/scenes/cast.ts';
import { isImage } from '../system/scenes/is-image.ts';
import { type ScenePaints, scenePaints } from '../system/scenes/scene-paints.ts';
import { adoptSheet, type SheetChoice, wholeOf } from './adopt.ts';
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
  /** A page as scenes paint it in the first theme; null where there is none. */
  readonly page: ScenePaints | null;
}

/** Paints all roles and gradients of a proposal, those that are not chosen too, as the chosen families and snaps make them. */
export function paintSheet(system: SheetSystem, choice: SheetChoice): PaintedSheet {
  const roles = new Map<string, Map<string, PaintedSource>>();
  const gradients = new Map<string, string>();
  const { themes: themeKeys, roles: roleKeys, gradients: gradientKeys } = wholeOf(system);
  const empty = emptyDocument('', [{ id: 'none', name: 'none' }]);
  let ids = 0;
  const adoption = adoptSheet(
    empty,
    system,
    { ...choice, themes: themeKeys, roles: roleKeys, gradients: gradientKeys },
    () => `n${++ids}`,
  );
  const result = adoption && applyCommand(empty, adoption.command);
  if (!result?.ok) return { roles, gradients, page: null };
  const { document } = result;
  const { themes } = resolveSystem(document);
  for (const [property, id] of adoption!.roles) {
    const sources = new Map<string, PaintedSource>();
    roles.set(property, sources);
    for (const [key, themeId] of adoption!.themes) {
      const role = themes.get(themeId)?.roles.get(id);
      if (role?.color) sources.set(key, { css: role.color.css, points: linkName(document, role.link) });
    }
  }
  const first = themes.values().next().value;
  for (const [property, id] of adoption!.gradients) {
    const resolved = first?.gradients.get(id);
    const css = resolved && gradientCss(resolved);
    if (css) gradients.set(property, css);
  }
  const page = first ? wholePage(scenePaints(castOf(document), first, () => null)) : null;
  return { roles, gradients, page };
}

/** A page in which what no role paints is as what is nearest to it, so that what is there can be seen. */
function wholePage(paints: ScenePaints): ScenePaints {
  const { page = '#ffffff', text = '#000000', action = text } = paints;
  const plain: ScenePaints = {
    page,
    raised: page,
    text,
    quiet: text,
    link: action,
    line: text,
    action,
    'action-text': page,
    accent: action,
    'accent-text': page,
    hero: page,
    'hero-text': text,
  };
  const { hero, 'hero-text': heroText } = paints;
  const isRead =
    hero !== undefined &&
    heroText !== undefined &&
    (isImage(hero) || contrastRatio(paint(heroText), paint(hero)) >= 2);
  return { ...plain, ...paints, ...(isRead ? {} : { hero: page, 'hero-text': text }) };
}

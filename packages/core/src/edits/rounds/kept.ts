import { hexOfRgb8 } from '../../color/write.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Round } from '../../document/rounds/round.ts';
import { familiesOf } from '../../system/families/resolved-families.ts';
import { paint } from '../../system/painted.ts';

/** What a designer keeps, by ids; the rest is free. */
export interface Keeping {
  readonly families: readonly string[];
  readonly swatches: readonly string[];
  readonly roles: readonly string[];
}

/** What a role leads to in a theme: a family, or a plain colour; null where its link is broken or a gradient. */
function endOf(
  document: ProjectDocument,
  id: string,
  theme: string,
): { family: string } | { color: string } | null {
  let role = id;
  // Roles never lead in a circle, but what is stored is not trusted to the end.
  for (let steps = 0; steps <= document.roles.length; steps++) {
    const link = document.roles.find((one) => one.id === role)?.links[theme];
    if (link?.to === 'role') role = link.role;
    else if (link?.to === 'shade' || link?.to === 'base') return { family: link.family };
    else return link?.to === 'color' ? { color: link.color } : null;
  }
  return null;
}

const opaque = (text: string) => {
  const { r, g, b } = paint(text);
  return hexOfRgb8(r, g, b);
};

/**
 * The colours that stay, each once, and the families that are free; those that follow others are neither. A role is kept by keeping the families that it
 * leads to in any theme, so that none of its shades moves, and the plain colours too.
 */
export function keptAndFree(document: ProjectDocument, keeping: Keeping): Pick<Round, 'kept' | 'free'> {
  const families = new Set(keeping.families);
  const colors = document.tray
    .filter(({ id }) => keeping.swatches.includes(id))
    .map(({ color }) => opaque(color));
  for (const role of keeping.roles)
    for (const theme of document.themes) {
      const end = endOf(document, role, theme.id);
      if (end && 'family' in end) families.add(end.family);
      else if (end) colors.push(opaque(end.color));
    }
  const resolved = familiesOf(document);
  const bases = document.families
    .filter(({ id }) => families.has(id))
    .map(({ id }) => opaque(resolved.get(id)!.base.text));
  return {
    kept: [...new Set([...bases, ...colors])],
    free: document.families
      .filter(({ id, follows }) => !follows && !families.has(id))
      .map(({ id, base }) => ({ family: id, base: opaque(base) })),
  };
}

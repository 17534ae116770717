import type { Artwork } from '../document/artworks/artwork.ts';
import { gradientIds } from '../document/gradients/gradient-ids.ts';
import type { Link } from '../document/links/link.ts';
import { pagePieces, paintPage } from '../page/page-colors.ts';
import { paintSvg, svgPieces } from '../svg/svg-colors.ts';
import { follow, NO_ROLE } from './follow.ts';
import { fade, type Painted, paint } from './painted.ts';
import type { ResolvedTheme, System } from './resolve.ts';

/** What a colour of an artwork becomes in a theme: its link's, as translucent as it was; null where that is broken. */
export function artColor(system: System, theme: ResolvedTheme, original: string, link: Link): Painted | null {
  const { color } = follow(link, {
    families: system.families,
    hasGradient: (id) => gradientIds(system.document.gradients).has(id),
    roleOf: (id) => theme.roles.get(id) ?? NO_ROLE,
  });
  return color && fade(color, paint(original).alpha);
}

/**
 * A drawing or page in a theme. `value` says how a linked colour is written, in CSS: as it is painted, where it is left out.
 * What is not linked, or whose link is broken, stays as it was.
 */
export function paintArtwork(
  system: System,
  theme: ResolvedTheme,
  { kind, content, links }: Pick<Artwork, 'kind' | 'content' | 'links'>,
  value: (color: Painted, link: Link, original: string) => string = ({ css }) => css,
): string {
  const made = new Map<string, string>();
  const painted = (key: string, original: string) => {
    let css = made.get(`${key} ${original}`);
    if (css === undefined) {
      const link = links[key];
      const color = link ? artColor(system, theme, original, link) : null;
      css = link && color ? value(color, link, original) : original;
      made.set(`${key} ${original}`, css);
    }
    return css;
  };
  return kind === 'page'
    ? paintPage(pagePieces(content), ({ key, color }) => painted(key, color))
    : paintSvg(svgPieces(content), (color) => painted(color, color));
}

import type { Artwork } from '../document/artworks/artwork.ts';
import { paintArtwork } from '../system/painted-artwork.ts';
import type { ResolvedTheme, System } from '../system/resolve.ts';
import { cssNames } from './css-names.ts';

/**
 * A drawing that takes its colours from the exported custom properties, each with the colour of a theme for where they are
 * not: `fill="var(--deepwater-700, #0b5f6b)"`. What was translucent is written as it is in that theme.
 */
export function writeArtworkByProperties(system: System, theme: ResolvedTheme, artwork: Artwork): string {
  const names = cssNames(system.document);
  return paintArtwork(system, theme, artwork, (color, link) => {
    if (color.alpha < 1 || link.opacity !== undefined) return color.css;
    if (link.to === 'role') return `var(${names.role(link.role)}, ${color.css})`;
    return link.to === 'shade' ? `var(${names.shade(link.family, link.shade)}, ${color.css})` : color.css;
  });
}

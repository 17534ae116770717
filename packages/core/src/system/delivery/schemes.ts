import { luminance, paintedOver } from '../../contrast/ratio.ts';
import type { ResolvedTheme, System } from '../resolve.ts';
import { castOf } from '../scenes/cast.ts';

export type Scheme = 'light' | 'dark';

const WHITE = { r: 255, g: 255, b: 255, alpha: 1 };
/** Luminance at which black and white stand out alike. */
const MIDDLE = 0.179;

/** Whether the pages of a theme are light or dark, by what paints them; light where nothing does. */
export function schemeOf(system: System, theme: ResolvedTheme): Scheme {
  const link = castOf(system.document).get('page')?.link;
  const page = link?.to === 'role' ? theme.roles.get(link.role)?.color : null;
  return page && luminance(paintedOver(page, WHITE)) < MIDDLE ? 'dark' : 'light';
}

/**
 * The theme for those whose system asks for the scheme that the first theme is not: the chosen one, else the first of the
 * other scheme; null where there is none.
 */
export function otherScheme(system: System, chosen: string | null): ResolvedTheme | null {
  const [first, ...rest] = system.themes.values();
  if (!first) return null;
  const asked = rest.find(({ theme }) => theme.id === chosen);
  if (asked) return asked;
  const own = schemeOf(system, first);
  return rest.find((theme) => schemeOf(system, theme) !== own) ?? null;
}

export const opposite = (scheme: Scheme): Scheme => (scheme === 'light' ? 'dark' : 'light');

import { oklchToRgb8, rgb8ToOklch } from '../../color/gamut.ts';
import { fromRgb8 } from '../../color/parse.ts';
import { canonical } from '../../color/write.ts';
import type { Link } from '../../document/links/link.ts';
import { clamp01 } from '../../numbers/clamp.ts';
import type { ById } from '../by-id.ts';
import { opacityOf, placeOf } from '../families/family-place.ts';
import type { FamilyMap } from '../families/resolved-families.ts';
import type { Painted } from '../painted.ts';
import type { ResolvedRole } from '../roles/resolved-role.ts';

/** What a stop's link is looked up in. */
export interface Walking {
  readonly families: FamilyMap;
  readonly roles: ById<ResolvedRole>;
}

/** OKLCH lightness, 0–1, by which a plain colour goes with one step. */
const STEP = 0.01;

const lightnessOf = ({ r, g, b }: Pick<Painted, 'r' | 'g' | 'b'>) => rgb8ToOklch(r, g, b)[0];

/** The link itself, or where it is to a role, to the shade that the role comes to. */
export function alongFamily(link: Link, { roles }: Walking): Link {
  if (link.to !== 'role') return link;
  const source = roles.get(link.role)?.source;
  return source ? { to: 'shade', ...source, ...opacityOf(link) } : link;
}

/** A plain colour of another OKLCH lightness, 0–1, inside sRGB; with the opacity of the link that it comes of. */
function plainAt(link: Link, { r, g, b }: Painted, lightness: number): Link {
  const [, chroma, hue] = rgb8ToOklch(r, g, b);
  const held = clamp01(lightness);
  const color = canonical(fromRgb8(...oklchToRgb8(held, chroma, hue), 1));
  return { to: 'color', color, ...opacityOf(link) };
}

/**
 * The link of a stop when it is brought to a place on the lightness lane (OKLCH lightness 0–1): the shade of its family
 * that lies nearest, or its plain colour as light as that. `color` is what it comes to now.
 */
export function stopAtLightness(walking: Walking, link: Link, color: Painted, lightness: number): Link {
  const own = alongFamily(link, walking);
  const place = placeOf(walking.families, own);
  if (!place) return plainAt(link, color, lightness);
  const { shades } = walking.families.get(place.family)!;
  const far = (shade: Painted) => Math.abs(lightnessOf(shade) - lightness);
  const nearest = shades.reduce((a, b) => (far(b) < far(a) ? b : a));
  // Where it stands already it stays the link that it is.
  if (nearest === shades[place.at]) return link;
  return { to: 'shade', family: place.family, shade: nearest.label, ...opacityOf(own) };
}

/** The link one step lighter or darker: the next shade of its family, or a plain colour; null at the end of a family. */
export function stopStepped(
  walking: Walking,
  link: Link,
  color: Painted,
  way: 'lighter' | 'darker',
): Link | null {
  const own = alongFamily(link, walking);
  const place = placeOf(walking.families, own);
  if (!place) return plainAt(link, color, lightnessOf(color) + (way === 'lighter' ? STEP : -STEP));
  const next = walking.families.get(place.family)!.shades[place.at + (way === 'darker' ? 1 : -1)];
  return next ? { to: 'shade', family: place.family, shade: next.label, ...opacityOf(own) } : null;
}

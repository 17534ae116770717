import { opacityOf, placeOf } from '@mint-lamp/core/system/links/family-place';
import type { Link } from '@mint-lamp/core/system/links/link';
import type { System } from '@mint-lamp/core/system/resolve/resolve';

/** The link to the next darker or lighter shade of the family that a link points to; null at its end, and for others. */
export function besideInFamily({ families }: System, link: Link, way: 'darker' | 'lighter'): Link | null {
  const place = placeOf(families, link);
  const next = place && families.get(place.family)!.shades[place.at + (way === 'darker' ? 1 : -1)];
  return next ? { to: 'shade', family: place.family, shade: next.label, ...opacityOf(link) } : null;
}

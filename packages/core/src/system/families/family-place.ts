import type { Link, RoleLink } from '../../document/links/link.ts';
import type { FamilyMap } from './resolved-families.ts';

/** A place of a link in a family: the shade's number, lightest first. */
export interface FamilyPlace {
  readonly family: string;
  readonly at: number;
  readonly last: number;
}

/** Where in its family a link leads to; null for links to no family, and to what is gone. */
export function placeOf(families: FamilyMap, link: RoleLink | undefined): FamilyPlace | null {
  if (link?.to !== 'shade' && link?.to !== 'base') return null;
  const family = families.get(link.family);
  const label = link.to === 'shade' ? link.shade : family?.base.label;
  const at = family?.shades.findIndex((shade) => shade.label === label) ?? -1;
  return at < 0 ? null : { family: link.family, at, last: family!.shades.length - 1 };
}

/** The opacity of a link as a part of another. */
export const opacityOf = (link: RoleLink): { readonly opacity?: number } =>
  link.to === 'gradient' || link.opacity === undefined ? {} : { opacity: link.opacity };

/** The link to the next darker or lighter shade of the family that a link points to; null at its end, and for others. */
export function besideInFamily(families: FamilyMap, link: RoleLink, way: 'darker' | 'lighter'): Link | null {
  const place = placeOf(families, link);
  const next = place && families.get(place.family)!.shades[place.at + (way === 'darker' ? 1 : -1)];
  return next ? { to: 'shade', family: place.family, shade: next.label, ...opacityOf(link) } : null;
}

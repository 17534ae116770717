import type { Link } from '@mint-lamp/core/system/links/link';
import type { System } from '@mint-lamp/core/system/resolve/resolve';

/** The link to the next darker or lighter shade of the family that a link points to; null at its end, and for others. */
export function besideInFamily({ families }: System, link: Link, way: 'darker' | 'lighter'): Link | null {
  if (link.to !== 'shade' && link.to !== 'base') return null;
  const family = families.get(link.family);
  const label = link.to === 'shade' ? link.shade : family?.base.label;
  const at = family?.shades.findIndex((shade) => shade.label === label) ?? -1;
  const next = at < 0 ? undefined : family?.shades[at + (way === 'darker' ? 1 : -1)];
  if (!next) return null;
  const opacity = link.opacity === undefined ? {} : { opacity: link.opacity };
  return { to: 'shade', family: link.family, shade: next.label, ...opacity };
}

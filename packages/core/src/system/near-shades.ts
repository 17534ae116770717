import type { Link } from '../document/links/link.ts';
import { differenceOf, paint } from './painted.ts';
import type { System } from './resolve.ts';

/** A shade or base near a colour. */
export interface NearShade {
  readonly link: Link;
  readonly name: string;
  readonly css: string;
  /** ΔE OK. */
  readonly difference: number;
}

/** Farther shades are no longer the same colour to anyone. */
const NEAR = 0.1;

/** The bases and shades nearest to an opaque colour, nearest first, up to ΔE OK 0.1; a base before its own shade. */
export function nearShades(system: System, color: string, most = 3): NearShade[] {
  const painted = paint(color);
  if (painted.alpha < 1) return [];
  const out: NearShade[] = [];
  for (const { family, base, shades } of system.families.values())
    for (const shade of shades) {
      if (shade.alpha < 1) continue;
      const difference = differenceOf(shade, painted);
      if (difference > NEAR) continue;
      const isBase = shade.isBase && !shade.handSet;
      out.push({
        link: isBase
          ? { to: 'base', family: family.id }
          : { to: 'shade', family: family.id, shade: shade.label },
        name: `${family.name} ${isBase ? 'base' : shade.label}`,
        css: isBase ? base.color.css : shade.css,
        difference,
      });
    }
  return out.sort((x, y) => x.difference - y.difference).slice(0, most);
}

import { readColor } from '../../color/parse.ts';
import { canonical } from '../../color/write.ts';
import { atLightness, lightnessOfLuminance } from '../../contrast/light-axis.ts';
import { luminance } from '../../contrast/ratio.ts';
import type { Link } from '../../document/links/link.ts';
import type { ResolvedRole } from '../roles/resolved-role.ts';
import type { FamilyMap } from './resolved-families.ts';

/**
 * The link that brings a role nearest to a place on the light axis (L* 0–100): the shade of its own family that lies
 * nearest, or its plain colour as light as that. Its opacity stays. Null for a role without a colour.
 */
export function movedOnAxis(
  families: FamilyMap,
  { link, source, opacity }: Pick<ResolvedRole, 'link' | 'source' | 'opacity'>,
  lightness: number,
): Link | null {
  const own = opacity === 1 ? {} : { opacity };
  if (source) {
    const shades = families.get(source.family)?.shades ?? [];
    let best: { readonly label: string; readonly far: number } | null = null;
    for (const shade of shades) {
      const far = Math.abs(lightnessOfLuminance(luminance(shade)) - lightness);
      if (!best || far < best.far) best = { label: shade.label, far };
    }
    return best && { to: 'shade', family: source.family, shade: best.label, ...own };
  }
  if (link?.to !== 'color') return null;
  const color = canonical(atLightness(readColor(link.color), lightness));
  return { to: 'color', color, ...(link.opacity === undefined ? {} : { opacity: link.opacity }) };
}

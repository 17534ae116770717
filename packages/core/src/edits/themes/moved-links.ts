import { oklchToRgb8, rgb8ToOklch } from '../../color/gamut.ts';
import { hexOfRgb8 } from '../../color/write.ts';
import { luminance, paintedOver, type Rgba } from '../../contrast/ratio.ts';
import { usageOf } from '../../document/coherence/role-use.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { type Link, plainLink, type RoleLink } from '../../document/links/link.ts';
import type { Role } from '../../document/roles/role.ts';
import { clamp } from '../../numbers/clamp.ts';
import { type FamilyPlace, opacityOf, placeOf } from '../../system/families/family-place.ts';
import type { FamilyMap } from '../../system/families/resolved-families.ts';
import { differenceOf, type Painted, paint } from '../../system/painted.ts';
import type { System } from '../../system/resolve.ts';
import type { Derivation } from './derivation.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };
/** Luminance above which a page is a light one: black and white text are as good on it. */
const LIGHT = 0.179;
/** Surfaces that are up to so many steps from the page belong to it, and keep their distance. */
const NEAR_PAGE = 3;
/** How near (ΔE OK) a plain colour has to be to a shade to stand for it. */
const NEAR_SHADE = 0.06;

/** Follows links from role to role to something that is none; undefined where it is no colour. */
function endOf(roles: ReadonlyMap<string, Role>, role: Role, theme: string): Link | undefined {
  let link = role.links[theme];
  for (let steps = 0; link?.to === 'role' && steps < roles.size; steps++)
    link = roles.get(link.role)?.links[theme];
  return plainLink(link) ?? undefined;
}

function nearestOf(shades: readonly Painted[], color: Painted): { at: number; difference: number } {
  let at = 0;
  let difference = Number.POSITIVE_INFINITY;
  shades.forEach((shade, i) => {
    const far = differenceOf(shade, color);
    if (far < difference) {
      at = i;
      difference = far;
    }
  });
  return { at, difference };
}

/** Moves every link of a theme along its family. */
class Moving {
  private readonly doc: ProjectDocument;
  private readonly families: FamilyMap;
  private readonly roles: ReadonlyMap<string, Role>;
  private readonly from: string;
  private readonly way: Derivation;

  constructor({ document, families }: System, from: string, way: Derivation) {
    this.doc = document;
    this.families = families;
    this.roles = new Map(document.roles.map((role) => [role.id, role]));
    this.from = from;
    this.way = way;
  }

  /** Whether the theme that it comes of is the other way round. */
  private turns(): boolean {
    if (this.way === 'glare') return false;
    const ground = this.doc.ground === null ? undefined : this.roles.get(this.doc.ground);
    const link = ground && endOf(this.roles, ground, this.from);
    const color = link && this.sourceColor(link);
    const isLight = luminance(color ? paintedOver(color, WHITE) : WHITE) > LIGHT;
    return isLight === (this.way === 'down');
  }

  private sourceColor(link: Link): Painted | null {
    if (link.to === 'color') return paint(link.color);
    if (link.to === 'role') return null;
    const family = this.families.get(link.family);
    return (link.to === 'base' ? family?.base.color : family?.byLabel.get(link.shade)) ?? null;
  }

  links(): Map<string, RoleLink> {
    const out = new Map<string, RoleLink>();
    const turns = this.turns();
    const page = this.doc.ground === null ? undefined : this.roles.get(this.doc.ground);
    const pageLink = page && endOf(this.roles, page, this.from);
    const pagePlace = placeOf(this.families, pageLink);
    const surfaces = new Map<string, number>();
    if (turns && page && pagePlace)
      for (const role of this.doc.roles) {
        const offset = this.stepsFromPage(role, pagePlace);
        if (offset !== null) surfaces.set(role.id, offset);
      }
    // The page leaves room for the surfaces that are deeper than it.
    const deepest = Math.max(0, ...surfaces.values());
    const highest = Math.min(0, ...surfaces.values());
    for (const role of this.doc.roles) {
      const link = role.links[this.from];
      if (!link) continue;
      const offset = surfaces.get(role.id);
      if (offset !== undefined && pagePlace) {
        const mirrored = pagePlace.last - pagePlace.at;
        const own = clamp(mirrored, -highest, pagePlace.last - deepest);
        out.set(role.id, this.shadeLink(pagePlace.family, own + offset, link));
      } else out.set(role.id, turns && link.to !== 'gradient' ? this.turned(link) : link);
    }
    return out;
  }

  /** How many steps darker than the page a surface near it is; null for what is none. */
  private stepsFromPage(role: Role, page: FamilyPlace): number | null {
    if (usageOf(role, this.doc.pairs) !== 'ground') return null;
    const link = endOf(this.roles, role, this.from);
    if (!link || (link.opacity ?? 1) < 1 || role.links[this.from]?.to === 'role') return null;
    let place = placeOf(this.families, link);
    if (link.to === 'color') {
      // A plain white is the page's own family beyond its lightest.
      const color = paint(link.color);
      const shades = this.families.get(page.family)!.shades;
      if (color.alpha < 1) return null;
      const lighter = luminance(color) > luminance(shades[page.at]!);
      const near = nearestOf(shades, color);
      const at = near.at === page.at && lighter && near.difference > 0 ? page.at - 1 : near.at;
      if (near.difference > NEAR_SHADE) return null;
      place = { family: page.family, at, last: page.last };
    }
    if (!place || place.family !== page.family) return null;
    const offset = place.at - page.at;
    return Math.abs(offset) <= NEAR_PAGE ? offset : null;
  }

  private shadeLink(family: string, at: number, like: RoleLink): Link {
    const shades = this.families.get(family)!.shades;
    const shade = shades[clamp(at, 0, shades.length - 1)]!;
    return { to: 'shade', family, shade: shade.label, ...opacityOf(like) };
  }

  /** A link at the other end of its family; a plain colour as light as it was dark. */
  private turned(link: Link): Link {
    const place = placeOf(this.families, link);
    if (place) return this.shadeLink(place.family, place.last - place.at, link);
    if (link.to !== 'color') return link;
    const { r, g, b, alpha } = paint(link.color);
    const [l, c, h] = rgb8ToOklch(r, g, b);
    const color = hexOfRgb8(...oklchToRgb8(clamp(1.12 - l, 0.16, 0.98), c * 0.8, h));
    return alpha < 1 ? link : { to: 'color', color, ...opacityOf(link) };
  }
}

/**
 * The links of a theme moved along their families, by role: to the other end where light and dark change places,
 * surfaces keeping their distance from the page, and plain colours as light as they were dark; else as they are, as what
 * is painted by a gradient is.
 */
export const movedLinks = (system: System, from: string, way: Derivation): Map<string, RoleLink> =>
  new Moving(system, from, way).links();

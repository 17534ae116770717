import {
  contrastRatio,
  luminance,
  paintedOver,
  type Rgba,
  ratioOfLuminances,
  reaches,
} from '../../contrast/ratio.ts';
import { effectiveTarget, requiredRatio } from '../../contrast/targets.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { type Link, plainLink, type RoleLink } from '../../document/links/link.ts';
import { isLayered, type Pair } from '../../document/pairs/pair.ts';
import { opacityOf, placeOf } from '../../system/families/family-place.ts';
import type { FamilyMap } from '../../system/families/resolved-families.ts';
import { differenceOf, fade, type Painted, paint } from '../../system/painted.ts';
import type { System } from '../../system/resolve.ts';
import type { Derivation } from './derivation.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };

/** What a pair must reach in the theme; glare asks for AAA where that is another ratio. */
function required(pair: Pair, way: Derivation): number {
  const target = effectiveTarget(pair.target, pair.size, pair.weight);
  const usual = requiredRatio(target);
  if (way !== 'glare') return usual;
  return target.content === 'graphics' ? Math.max(4.5, usual) : requiredRatio({ ...target, level: 'AAA' });
}

/** A ground as it is seen, its luminance, and the ratio that is asked on it. */
interface Demand {
  readonly ground: Rgba;
  readonly y: number;
  readonly required: number;
}

/** What a shade is looked for by. */
interface Search {
  readonly id: string;
  readonly link: Link;
  readonly now: Painted;
  /** The one family to look in; null for all. */
  readonly family: string | null;
  readonly count: (color: Painted) => number;
  readonly least: number;
}

const luminances = new WeakMap<Painted, number>();

/** Whether a colour reaches what is asked on a ground. */
function meets(front: Painted, { ground, y, required: ratio }: Demand): boolean {
  if (front.alpha < 1) return reaches(contrastRatio(paintedOver(front, ground), ground), ratio);
  let own = luminances.get(front);
  if (own === undefined) {
    own = luminance(front);
    luminances.set(front, own);
  }
  return reaches(ratioOfLuminances(own, y), ratio);
}

/** Moves links of a theme that is being made until its pairs pass. */
export class Mending {
  private readonly doc: ProjectDocument;
  private readonly families: FamilyMap;
  private readonly way: Derivation;
  private readonly onForeground = new Map<string, Pair[]>();
  private readonly onBackground = new Map<string, Pair[]>();
  private beneath: Rgba | null = null;
  /** The darkest and the lightest shade of all. */
  private readonly ends: readonly Painted[];
  /** By role; what is given is changed. */
  readonly links: Map<string, RoleLink>;

  constructor({ document, families }: System, links: Map<string, RoleLink>, way: Derivation) {
    this.doc = document;
    this.families = families;
    this.links = links;
    this.way = way;
    const shades = [...families.values()].flatMap((family) =>
      family.shades.filter(({ alpha }) => alpha === 1),
    );
    const byLight = [...shades].sort((a, b) => luminance(a) - luminance(b));
    this.ends = byLight.length ? [byLight[0]!, byLight[byLight.length - 1]!] : [];
    const put = (map: Map<string, Pair[]>, id: string, pair: Pair) => {
      const list = map.get(id);
      if (list) list.push(pair);
      else map.set(id, [pair]);
    };
    for (const pair of document.pairs) {
      // What lies on a gradient or a picture, or is painted by one, is left to Check.
      if (!this.known(pair) || pair.exempt || isLayered(pair)) continue;
      put(this.onForeground, pair.foreground, pair);
      put(this.onBackground, pair.background, pair);
    }
  }

  /** Whether both of its roles have a link. None comes or goes. */
  private known({ foreground, background }: Pair): boolean {
    return this.links.has(foreground) && this.links.has(background);
  }

  /** The colour that a link comes to in the theme that is made. */
  private colorOf(link: RoleLink | undefined, depth = 0): Painted | null {
    if (!link || link.to === 'gradient' || depth > this.links.size) return null;
    const opacity = link.opacity ?? 1;
    if (link.to === 'color') return fade(paint(link.color), opacity);
    if (link.to === 'role') {
      const color = this.colorOf(this.links.get(link.role), depth + 1);
      return color && fade(color, opacity);
    }
    const family = this.families.get(link.family);
    const color = link.to === 'base' ? family?.base.color : family?.byLabel.get(link.shade);
    return color ? fade(color, opacity) : null;
  }

  /** What lies beneath the page; worked out again when its role changes. */
  private page(): Rgba {
    if (!this.beneath) {
      const color = this.doc.ground === null ? null : this.colorOf(this.links.get(this.doc.ground));
      this.beneath = color ? paintedOver(color, WHITE) : WHITE;
    }
    return this.beneath;
  }

  private put(role: string, link: Link): void {
    this.links.set(role, link);
    // Others may point to it, the page's role among them.
    this.beneath = null;
  }

  /** A ground as it is seen, with what is asked on it. */
  private demand(pair: Pair, background: Painted | null): Demand | null {
    if (!background) return null;
    const ground = paintedOver(background, this.page());
    return { ground, y: luminance(ground), required: required(pair, this.way) };
  }

  private demandOf(pair: Pair): Demand | null {
    return this.demand(pair, this.colorOf(this.links.get(pair.background)));
  }

  private passes(pair: Pair): boolean {
    const front = this.colorOf(this.links.get(pair.foreground));
    const demand = this.demandOf(pair);
    return !front || !demand || meets(front, demand);
  }

  /** Moves what does not pass to the nearest shade that does: fills first, so that their texts have room. */
  *repair(): Generator<number, void> {
    const fronts = [...this.onForeground.keys()];
    const isFill = (id: string) => this.onBackground.has(id);
    const order = [...fronts.filter(isFill), ...fronts.filter((id) => !isFill(id))];
    for (const [done, id] of order.entries()) {
      this.mend(id);
      if (done % 16 === 15) yield done / order.length;
    }
    // A ground whose text has no shade that passes gives way itself.
    for (const pair of this.doc.pairs) if (this.known(pair) && !this.passes(pair)) this.mendGround(pair);
    for (const id of order) this.mend(id);
  }

  /**
   * Moves a foreground to the shade that passes in most of its pairs: the nearest of its own family where one passes in
   * all of them, else the nearest of all. Fills keep room for their texts.
   */
  private mend(id: string): void {
    const pairs = this.onForeground.get(id) ?? [];
    const link = plainLink(this.links.get(id));
    const now = this.colorOf(link ?? undefined);
    if (!now || !link) return;
    const demands = pairs.flatMap((pair) => this.demandOf(pair) ?? []);
    const count = (color: Painted) => demands.reduce((sum, one) => sum + (meets(color, one) ? 1 : 0), 0);
    let most = count(now);
    const own = placeOf(this.families, link)?.family;
    for (const family of own === undefined ? [null] : [own, null]) {
      if (most === demands.length) return;
      const best = this.bestShade({ id, link, now, family, count, least: most + 1 });
      if (!best) continue;
      this.put(id, best.link);
      most = best.passing;
    }
  }

  /** The shade of a family, or of any, that passes most, at least so many; of several the nearest to what is there. */
  private bestShade({ id, link, now, family, count, least }: Search): { link: Link; passing: number } | null {
    const from = placeOf(this.families, link);
    let best: { link: Link; passing: number; far: number } | null = null;
    for (const [other, { shades }] of this.families) {
      if (family !== null && other !== family) continue;
      shades.forEach((shade, at) => {
        const color = fade(shade, link.opacity ?? 1);
        const passing = count(color);
        if (passing < (best?.passing ?? least)) return;
        const far = from?.family === other ? Math.abs(at - from.at) / 1000 : 1 + differenceOf(color, now);
        if (best && passing === best.passing && far >= best.far) return;
        if (!this.carriesItsText(id, color)) return;
        best = { link: { to: 'shade', family: other, shade: shade.label, ...opacityOf(link) }, passing, far };
      });
    }
    return best;
  }

  /** Whether every text on a fill would still have a shade that passes on it: the darkest there is, or the lightest. */
  private carriesItsText(id: string, ground: Painted): boolean {
    return (this.onBackground.get(id) ?? []).every((pair) => {
      const link = plainLink(this.links.get(pair.foreground));
      const front = this.colorOf(link ?? undefined);
      const demand = this.demand(pair, ground);
      if (!front || !demand || meets(front, demand)) return true;
      return this.ends.some((shade) => meets(fade(shade, link?.opacity ?? 1), demand));
    });
  }

  /** Moves the ground of a failing pair so that all that stands on it passes, and it itself where it is in front. */
  private mendGround({ background }: Pair): void {
    if (background === this.doc.ground) return;
    const link = plainLink(this.links.get(background));
    const now = this.colorOf(link ?? undefined);
    const place = placeOf(this.families, link ?? undefined);
    if (!link || !now || !place) return;
    const above = this.onBackground.get(background) ?? [];
    const fronts = above.map((pair) => this.colorOf(this.links.get(pair.foreground)));
    const own = this.onForeground.get(background) ?? [];
    const demands = own.flatMap((pair) => this.demandOf(pair) ?? []);
    const count = (ground: Painted) => {
      const carried = above.filter((pair, i) => {
        const front = fronts[i];
        const demand = this.demand(pair, ground);
        return !front || !demand || meets(front, demand);
      }).length;
      return carried + demands.filter((one) => meets(ground, one)).length;
    };
    let most = count(now);
    const { shades } = this.families.get(place.family)!;
    const nearest = shades
      .map((shade, at) => ({ shade, far: Math.abs(at - place.at) }))
      .sort((a, b) => a.far - b.far);
    for (const { shade } of nearest) {
      const passing = count(fade(shade, link.opacity ?? 1));
      if (passing <= most) continue;
      most = passing;
      this.put(background, { to: 'shade', family: place.family, shade: shade.label, ...opacityOf(link) });
      if (most === above.length + demands.length) return;
    }
  }

  /** Ids of the pairs that fail. */
  failing(): string[] {
    return this.doc.pairs.filter((pair) => this.known(pair) && !this.passes(pair)).map(({ id }) => id);
  }
}

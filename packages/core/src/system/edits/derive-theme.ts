import { oklchToRgb8, rgb8ToOklch } from '../../color/gamut.ts';
import { hexOfRgb8 } from '../../color/write.ts';
import {
  contrastRatio,
  luminance,
  paintedOver,
  type Rgba,
  ratioOfLuminances,
  reaches,
} from '../../contrast/ratio.ts';
import { effectiveTarget, requiredRatio } from '../../contrast/targets.ts';
import type { ProjectDocument } from '../document.ts';
import type { FamilyMap } from '../families/resolved-families.ts';
import type { Link } from '../links/link.ts';
import type { Pair } from '../pairs/pair.ts';
import { fade, oklabOf, type Painted, paint } from '../resolve/painted.ts';
import type { System } from '../resolve/resolve.ts';
import type { Role } from '../roles/role.ts';
import { usageOf } from '../roles/role-use.ts';

/** How a theme is derived: a dark one, a light one, or one for glaring light, with as much contrast as there is. */
export const DERIVATIONS = ['down', 'up', 'glare'] as const;
export type Derivation = (typeof DERIVATIONS)[number];

/** A theme that was derived, before it is taken. */
export interface DerivedTheme {
  /** Links by role id. */
  readonly links: Readonly<Record<string, Link>>;
  readonly pairs: number;
  /** Ids of the pairs that no shade could make pass. */
  readonly failing: readonly string[];
}

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };
/** Luminance above which a page is a light one: black and white text are as good on it. */
const LIGHT = 0.179;
/** Surfaces that are up to so many steps from the page belong to it, and keep their distance. */
const NEAR_PAGE = 3;

/** What a pair must reach in the theme; glare asks for AAA where that is another ratio. */
function required(pair: Pair, way: Derivation): number {
  const target = effectiveTarget(pair.target, pair.size, pair.weight);
  const usual = requiredRatio(target);
  if (way !== 'glare') return usual;
  return target.content === 'graphics' ? Math.max(4.5, usual) : requiredRatio({ ...target, level: 'AAA' });
}

/** A place of a link in a family: the shade's number, lightest first. */
interface Place {
  readonly family: string;
  readonly at: number;
  readonly last: number;
}

function placeOf(families: FamilyMap, link: Link | undefined): Place | null {
  if (link?.to !== 'shade' && link?.to !== 'base') return null;
  const family = families.get(link.family);
  const label = link.to === 'shade' ? link.shade : family?.base.label;
  const at = family?.shades.findIndex((shade) => shade.label === label) ?? -1;
  return at < 0 ? null : { family: link.family, at, last: family!.shades.length - 1 };
}

/** Follows links from role to role to something that is none. */
function endOf(roles: ReadonlyMap<string, Role>, role: Role, theme: string): Link | undefined {
  let link = role.links[theme];
  for (let steps = 0; link?.to === 'role' && steps < roles.size; steps++)
    link = roles.get(link.role)?.links[theme];
  return link;
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

const opacityOf = (link: Link) => (link.opacity === undefined ? {} : { opacity: link.opacity });

/** Works out a derived theme in one go; see {@link deriveTheme}. */
class Deriving {
  private readonly doc: ProjectDocument;
  private readonly families: FamilyMap;
  private readonly roles: ReadonlyMap<string, Role>;
  private readonly from: string;
  private readonly way: Derivation;
  private readonly onForeground = new Map<string, Pair[]>();
  private readonly onBackground = new Map<string, Pair[]>();
  private beneath: Rgba | null = null;
  /** The darkest and the lightest shade of all. */
  private readonly ends: readonly Painted[];
  readonly links = new Map<string, Link>();

  constructor({ document, families }: System, from: string, way: Derivation) {
    this.doc = document;
    this.families = families;
    this.roles = new Map(document.roles.map((role) => [role.id, role]));
    this.from = from;
    this.way = way;
    const shades = [...families.values()].flatMap((family) =>
      family.shades.filter(({ alpha }) => alpha === 1),
    );
    const byLight = [...shades].sort((a, b) => luminance(a) - luminance(b));
    this.ends = byLight.length ? [byLight[0]!, byLight[byLight.length - 1]!] : [];
    for (const pair of document.pairs) {
      if (!this.roles.has(pair.foreground) || !this.roles.has(pair.background)) continue;
      const put = (map: Map<string, Pair[]>, id: string) => {
        const list = map.get(id);
        if (list) list.push(pair);
        else map.set(id, [pair]);
      };
      put(this.onForeground, pair.foreground);
      put(this.onBackground, pair.background);
    }
  }

  /** The colour that a link comes to in the theme that is made. */
  private colorOf(link: Link | undefined, depth = 0): Painted | null {
    if (!link || depth > this.roles.size) return null;
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

  /** First, every link moved along its family. */
  move(): void {
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
        const own = Math.min(pagePlace.last - deepest, Math.max(-highest, mirrored));
        this.put(role.id, this.shadeLink(pagePlace.family, own + offset, link));
      } else this.put(role.id, turns ? this.turned(link) : link);
    }
  }

  /** How many steps darker than the page a surface near it is; null for what is none. */
  private stepsFromPage(role: Role, page: Place): number | null {
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
      if (near.difference > 0.06) return null;
      place = { family: page.family, at, last: page.last };
    }
    if (!place || place.family !== page.family) return null;
    const offset = place.at - page.at;
    return Math.abs(offset) <= NEAR_PAGE ? offset : null;
  }

  private shadeLink(family: string, at: number, like: Link): Link {
    const shades = this.families.get(family)!.shades;
    const shade = shades[Math.min(shades.length - 1, Math.max(0, at))]!;
    return { to: 'shade', family, shade: shade.label, ...opacityOf(like) };
  }

  /** A link at the other end of its family; a plain colour as light as it was dark. */
  private turned(link: Link): Link {
    const place = placeOf(this.families, link);
    if (place) return this.shadeLink(place.family, place.last - place.at, link);
    if (link.to !== 'color') return link;
    const { r, g, b, alpha } = paint(link.color);
    const [l, c, h] = rgb8ToOklch(r, g, b);
    const color = hexOfRgb8(...oklchToRgb8(Math.min(0.98, Math.max(0.16, 1.12 - l)), c * 0.8, h));
    return alpha < 1 ? link : { to: 'color', color, ...opacityOf(link) };
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

  /** Then, what does not pass is moved to the nearest shade that does: fills first, so that their texts have room. */
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

  private known = (pair: Pair) => this.links.has(pair.foreground) && this.links.has(pair.background);

  /**
   * Moves a foreground to the shade that passes in most of its pairs: the nearest of its own family where one passes in
   * all of them, else the nearest of all. Fills keep room for their texts.
   */
  private mend(id: string): void {
    const pairs = (this.onForeground.get(id) ?? []).filter(this.known);
    const link = this.links.get(id);
    const now = this.colorOf(link);
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
        const far = from?.family === other ? Math.abs(at - from.at) / 1000 : 1 + distance(color, now);
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
      const link = this.links.get(pair.foreground);
      const front = this.colorOf(link);
      const demand = this.demand(pair, ground);
      if (!front || !demand || meets(front, demand)) return true;
      return this.ends.some((shade) => meets(fade(shade, link?.opacity ?? 1), demand));
    });
  }

  /** Moves the ground of a failing pair so that all that stands on it passes, and it itself where it is in front. */
  private mendGround({ background }: Pair): void {
    if (background === this.doc.ground) return;
    const link = this.links.get(background);
    const now = this.colorOf(link);
    const place = placeOf(this.families, link);
    if (!link || !now || !place) return;
    const above = (this.onBackground.get(background) ?? []).filter(this.known);
    const fronts = above.map((pair) => this.colorOf(this.links.get(pair.foreground)));
    const own = (this.onForeground.get(background) ?? []).filter(this.known);
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

  failing(): string[] {
    return this.doc.pairs.filter((pair) => this.known(pair) && !this.passes(pair)).map(({ id }) => id);
  }
}

const distance = (a: Painted, b: Painted) => {
  const [p, q] = [oklabOf(a), oklabOf(b)];
  return Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
};

function nearestOf(shades: readonly Painted[], color: Painted): { at: number; difference: number } {
  let at = 0;
  let difference = Number.POSITIVE_INFINITY;
  shades.forEach((shade, i) => {
    const far = distance(shade, color);
    if (far < difference) {
      at = i;
      difference = far;
    }
  });
  return { at, difference };
}

/**
 * Derives a theme from another by moving every link along its family: to the other end where light and dark change
 * places, surfaces keeping their distance from the page; then each pair that fails to the nearest shade that passes,
 * within its family where there is one. Stops now and then with the share that is done, 0–1. The document is not
 * changed. Throws a RangeError where there is no such theme.
 */
export function* deriveTheme(system: System, from: string, way: Derivation): Generator<number, DerivedTheme> {
  if (!system.themes.has(from)) throw new RangeError('There is no such theme.');
  const deriving = new Deriving(system, from, way);
  deriving.move();
  yield 0;
  yield* deriving.repair();
  return {
    links: Object.fromEntries(deriving.links),
    pairs: system.document.pairs.length,
    failing: deriving.failing(),
  };
}

/** {@link deriveTheme} to its end. */
export function derivedTheme(system: System, from: string, way: Derivation): DerivedTheme {
  const parts = deriveTheme(system, from, way);
  for (;;) {
    const { done, value } = parts.next();
    if (done) return value;
  }
}

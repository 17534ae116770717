import { canonical } from '../../color/write.ts';
import { type Demand, nearestPassingColor } from '../../contrast/nearest-color.ts';
import { luminance, ratioOfLuminances, reaches } from '../../contrast/ratio.ts';
import { type Link, plainLink } from '../../document/links/link.ts';
import { type Recoloured, ThemePairs } from '../../judged/pairs/theme-pairs.ts';
import { underTexts } from '../../judged/pairs/under-text.ts';
import { opacityOf, placeOf } from '../../system/families/family-place.ts';
import type { FamilyMap } from '../../system/families/resolved-families.ts';
import type { ResolvedShade } from '../../system/families/resolved-family.ts';
import { colorOf, differenceOf, fade, type Painted, paint } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';

/** A link that is changed so that pairs pass. */
export interface LinkRepair {
  readonly theme: string;
  readonly role: string;
  readonly from: Link | null;
  readonly to: Link;
  /** CSS, as it was and as it becomes. */
  readonly before: string | null;
  readonly after: string;
  /** Ids of the pairs that it makes pass. */
  readonly pairs: readonly string[];
}

interface LinkFound {
  readonly role: string;
  readonly link: Link;
  readonly changed: Recoloured;
}

/** Whether any luminance reaches what is asked on all of some grounds. */
function isReachable(demands: readonly Demand[]): boolean {
  const asked = demands.map(({ ground, required }) => ({ y: luminance(ground), required }));
  const edges = asked.flatMap(({ y, required }) => [
    (y + 0.05) / required - 0.05,
    (y + 0.05) * required - 0.05,
  ]);
  return [0, 1, ...edges].some(
    (own) =>
      own >= 0 && own <= 1 && asked.every(({ y, required }) => reaches(ratioOfLuminances(own, y), required)),
  );
}

/** The search for links of one theme that make failing pairs pass, each leaving all that passes as it is. */
class ThemeRepairing {
  private readonly system: System;
  private readonly theme: ResolvedTheme;
  private readonly families: FamilyMap;
  private readonly pairs: ThemePairs;
  private readonly links = new Map<string, Link>();
  private readonly known = new Map<number, ReadonlySet<string>>();

  constructor(system: System, theme: ResolvedTheme) {
    this.system = system;
    this.theme = theme;
    this.families = system.families;
    this.pairs = new ThemePairs(system, theme, underTexts);
    for (const { role, link } of theme.roles.values()) {
      const plain = plainLink(link);
      if (plain) this.links.set(role.id, plain);
    }
  }

  /** The role at the end of the links from role to role, whose change keeps them all; itself where it points to none. */
  private endOf(role: string): string {
    const link = this.links.get(role);
    return link?.to === 'role' && this.links.has(link.role) ? this.endOf(link.role) : role;
  }

  /** The nearest shade of a role's own family that mends a pair, counted in steps. */
  private ownShade(place: number, role: string): LinkFound | null {
    const link = this.links.get(role);
    const at = placeOf(this.families, link);
    if (!link || !at) return null;
    const { shades } = this.families.get(at.family)!;
    for (let step = 1; step < shades.length; step++)
      for (const i of [at.at + step, at.at - step]) {
        const shade = shades[i];
        const found = shade && this.triedShade(place, role, at.family, shade);
        if (found) return found;
      }
    return null;
  }

  /** The shade of any family nearest to what is there that mends a pair. */
  private anyShade(place: number, role: string): LinkFound | null {
    const now = this.pairs.colorOf(role);
    if (!now) return null;
    let best: { readonly found: LinkFound; readonly far: number } | null = null;
    for (const [family, { shades }] of this.families)
      for (const shade of shades) {
        const far = differenceOf(shade, now);
        if (best && far >= best.far) continue;
        const found = this.triedShade(place, role, family, shade);
        if (found) best = { found, far };
      }
    return best?.found ?? null;
  }

  private triedShade(place: number, role: string, family: string, shade: ResolvedShade): LinkFound | null {
    const opacity = opacityOf(this.links.get(role)!);
    const link: Link = { to: 'shade', family, shade: shade.label, ...opacity };
    return this.tried(place, role, fade(shade, opacity.opacity ?? 1), link);
  }

  /** The nearest plain colour of the same hue for the text of a pair, on all grounds on which it passes now. */
  private plainText(place: number, role: string): LinkFound | null {
    const now = this.pairs.colorOf(role);
    if (!now || now.alpha < 1) return null;
    const demands = this.pairs.demandsOn(role, place);
    if (!isReachable(demands)) return null;
    const nearest = nearestPassingColor(colorOf(now), demands);
    if (!nearest.ok) return null;
    const color = canonical(nearest.color);
    return this.tried(place, role, paint(color), { to: 'color', color });
  }

  private tried(place: number, role: string, color: Painted, link: Link): LinkFound | null {
    const changed = this.pairs.recoloured(role, color);
    return this.pairs.mends(place, changed) ? { role, link, changed } : null;
  }

  /**
   * The way that changes least to the eye: within a family, else another family's shade, else a plain colour for the
   * text. A ground counts twice, since it is seen more; links from role to role are kept where they can be.
   */
  private wayFor(place: number): LinkFound | null {
    const { foreground, background } = this.system.document.pairs[place]!;
    const sides = [...new Set([this.endOf(foreground), foreground, this.endOf(background), background])];
    const free = sides.filter((role) => this.links.has(role) && this.pairs.isFree(role));
    const cost = ({ role, changed }: LinkFound) => {
      const far = differenceOf(this.pairs.colorOf(role)!, changed.get(role)!);
      return role === background || role === this.endOf(background) ? far * 2 : far;
    };
    for (const find of [this.ownShade, this.anyShade]) {
      const found = free.flatMap((role) => find.call(this, place, role) ?? []);
      const [best] = found.sort((a, b) => cost(a) - cost(b));
      if (best) return best;
    }
    return free.includes(foreground) ? this.plainText(place, foreground) : null;
  }

  /** The roles whose colours decide whether the pair at a place can be mended; worked out once. */
  private aroundPair(place: number): ReadonlySet<string> {
    let roles = this.known.get(place);
    if (!roles) {
      const { foreground, background } = this.system.document.pairs[place]!;
      roles = new Set([...this.pairs.around(foreground), ...this.pairs.around(background)]);
      this.known.set(place, roles);
    }
    return roles;
  }

  /** Mends pair by pair, the farthest from its target first, until a round mends none. Yields how far it is, 0–1. */
  *run(): Generator<number, LinkRepair[]> {
    const { pairs: list } = this.system.document;
    const repairs = new Map<string, { readonly link: Link; readonly pairs: readonly string[] }>();
    /** When each role was changed last, and each pair looked at last, by a clock that goes on with every change. */
    const changedAt = new Map<string, number>();
    const lookedAt = new Map<number, number>();
    let clock = 1;
    for (let mended = true; mended; ) {
      mended = false;
      const failing = this.pairs.failing();
      for (const [i, place] of failing.entries()) {
        if (i % 8 === 7) yield i / failing.length;
        if (this.pairs.passes(place)) continue;
        // What nothing has changed for is as it was.
        const since = lookedAt.get(place) ?? 0;
        const isNews = (role: string) => (changedAt.get(role) ?? 0) >= since;
        if (since && ![...this.aroundPair(place)].some(isNews)) continue;
        lookedAt.set(place, clock);
        const found = this.wayFor(place);
        if (!found) continue;
        clock += 1;
        for (const changedRole of found.changed.keys()) changedAt.set(changedRole, clock);
        const { role, link, changed } = found;
        const { mended: places } = this.pairs.effect(changed);
        this.pairs.take(changed);
        this.links.set(role, link);
        const before = repairs.get(role)?.pairs ?? [];
        repairs.set(role, { link, pairs: [...before, ...places.map((at) => list[at]!.id)] });
        mended = true;
      }
    }
    const theme = this.theme.theme.id;
    return [...repairs].map(([role, { link, pairs }]): LinkRepair => {
      const resolved = this.theme.roles.get(role);
      return {
        theme,
        role,
        from: plainLink(resolved?.link),
        to: link,
        before: resolved?.color?.css ?? null,
        after: this.pairs.colorOf(role)!.css,
        pairs,
      };
    });
  }
}

/**
 * Links that make the failing pairs of a theme pass, as many as one change of a link each can, without any pair failing
 * that passed. What more depends on than pairs (beneath the page, what a family grows on) stays. Yields how far it
 * is, 0–1.
 */
export const repairTheme = (system: System, theme: ResolvedTheme): Generator<number, LinkRepair[]> =>
  new ThemeRepairing(system, theme).run();

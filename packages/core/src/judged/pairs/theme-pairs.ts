import { endsOfGrounds, type Grounds, worstOnGrounds } from '../../contrast/over-colors.ts';
import {
  contrastRatio,
  luminance,
  paintedOver,
  type Rgba,
  ratioOfLuminances,
  reaches,
} from '../../contrast/ratio.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { stopsOf } from '../../document/gradients/gradient.ts';
import { groundOfGrowth } from '../../document/links/growth-ground.ts';
import { isLayered, type Pair, requiredOf } from '../../document/pairs/pair.ts';
import { fade, type Painted } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import type { LayeredMeasuring } from './layered.ts';
import { gradientRolesOf, groundOf, measurePair } from './measure.ts';

const luminances = new WeakMap<Rgba, number>();

/** The luminance of a painted colour, worked out once. */
function lightOf(color: Rgba): number {
  let y = luminances.get(color);
  if (y === undefined) {
    y = luminance(color);
    luminances.set(color, y);
  }
  return y;
}

/** The ratio of a foreground on a background over what lies beneath; both are composited where they are translucent. */
function ratioOver(front: Rgba, back: Rgba, beneath: Rgba): number {
  const ground = back.alpha === 1 ? back : paintedOver(back, beneath);
  if (front.alpha === 1) return ratioOfLuminances(lightOf(front), lightOf(ground));
  return contrastRatio(paintedOver(front, ground), ground);
}

/** What is asked on the darkest and on the lightest of some grounds. */
const demandsOn = (grounds: Grounds, required: number) =>
  endsOfGrounds(grounds).map((ground) => ({ ground, required }));

/** New colours of some roles, by id. */
export type Recoloured = ReadonlyMap<string, Painted>;

/** What a change of colours does to the pairs of a theme, by their places in the document. */
export interface PairEffect {
  readonly mended: readonly number[];
  readonly broken: readonly number[];
}

/** The pairs of a theme as they stand while roles in it are given other links: which pass, and what a change would do. */
export class ThemePairs {
  private readonly pairs: readonly Pair[];
  private readonly required: readonly number[];
  private readonly beneath: Rgba;
  private readonly places = new Map<string, number[]>();
  /** The roles that point to a role here, with their opacities. */
  private readonly followers = new Map<string, { readonly id: string; readonly opacity: number }[]>();
  private readonly colors = new Map<string, Painted>();
  private readonly passing: boolean[];
  /** What texts stand on that is not one colour; null where it is not known. */
  private readonly layered = new Map<number, Grounds | null>();
  /** Roles that more depends on than pairs: what lies beneath the page, what a family grows on. */
  private readonly fixed = new Set<string>();

  constructor(system: System, theme: ResolvedTheme, layers: LayeredMeasuring | null) {
    const { document } = system;
    this.pairs = document.pairs;
    this.required = this.pairs.map(requiredOf);
    this.beneath = groundOf(system, theme);
    this.pairs.forEach(({ foreground, background }, i) => {
      for (const role of [foreground, background]) {
        const list = this.places.get(role);
        if (list) list.push(i);
        else this.places.set(role, [i]);
      }
    });
    for (const { role, link, color } of theme.roles.values()) {
      if (color) this.colors.set(role.id, color);
      if (link?.to !== 'role') continue;
      const follower = { id: role.id, opacity: link.opacity ?? 1 };
      const list = this.followers.get(link.role);
      if (list) list.push(follower);
      else this.followers.set(link.role, [follower]);
    }
    const ofGradients = new Set(gradientRolesOf(theme));
    this.pairs.forEach((pair, i) => {
      if (isLayered(pair) || this.isOfGradients(pair, ofGradients)) {
        const { over } = measurePair(system, theme, pair, layers);
        this.layered.set(i, over?.grounds ?? null);
        this.fixBeneath(document, theme, pair);
      }
    });
    if (document.ground) this.fixed.add(document.ground);
    for (const { growth } of document.families) {
      const ground = groundOfGrowth(growth);
      if (ground?.to === 'role' && ground.theme === theme.theme.id) this.fixed.add(ground.role);
    }
    this.passing = this.pairs.map((_, i) => this.ratio(i) !== null && this.meets(i));
  }

  private isOfGradients({ foreground, background }: Pair, ofGradients: ReadonlySet<string>): boolean {
    return ofGradients.size > 0 && (ofGradients.has(foreground) || ofGradients.has(background));
  }

  /** A pair with something between ground and text, or painted by a gradient: only its text is looked for another colour of. */
  private fixBeneath(document: ProjectDocument, theme: ResolvedTheme, pair: Pair): void {
    const { foreground, background, veil, backdrop } = pair;
    const painting = [foreground, background].map((role) => theme.roles.get(role)?.gradient);
    if (backdrop?.kind === 'gradient') painting.push(backdrop.gradient);
    const stops = document.gradients
      .filter(({ id }) => painting.includes(id))
      .flatMap((gradient) =>
        stopsOf(gradient).flatMap(({ color }) => (color.to === 'role' ? color.role : [])),
      );
    for (const role of [background, veil, ...stops]) if (role !== undefined) this.fixed.add(role);
  }

  colorOf(role: string): Painted | null {
    return this.colors.get(role) ?? null;
  }

  /** The ratio of the pair at a place, with some roles in other colours; null where a link is broken. */
  ratio(place: number, changed?: Recoloured): number | null {
    const { foreground, background } = this.pairs[place]!;
    const grounds = this.layered.get(place);
    if (grounds !== undefined) {
      const text = changed?.get(foreground) ?? this.colors.get(foreground);
      return grounds && text ? worstOnGrounds(text, grounds).ratio : null;
    }
    const front = changed?.get(foreground) ?? this.colors.get(foreground);
    const back = changed?.get(background) ?? this.colors.get(background);
    return front && back ? ratioOver(front, back, this.beneath) : null;
  }

  requiredAt(place: number): number {
    return this.required[place]!;
  }

  private meets(place: number, changed?: Recoloured): boolean {
    const ratio = this.ratio(place, changed);
    return ratio !== null && reaches(ratio, this.required[place]!);
  }

  passes(place: number): boolean {
    return this.passing[place]!;
  }

  /** Places of the pairs that fail for their colours, and not for a broken link; the farthest from its target first. */
  failing(): number[] {
    const short = (place: number) => this.ratio(place)! / this.required[place]!;
    return this.pairs
      .flatMap((_, i) => (!this.passing[i] && this.ratio(i) !== null ? [i] : []))
      .sort((a, b) => short(a) - short(b));
  }

  /** A role and all that follow it, in the colours that they get when it gets another. */
  recoloured(role: string, color: Painted): Recoloured {
    const out = new Map([[role, color]]);
    // What is put in while it is gone through is gone through too. Roles point in no circles.
    for (const [id, painted] of out)
      for (const follower of this.followers.get(id) ?? [])
        out.set(follower.id, fade(painted, follower.opacity));
    return out;
  }

  /** Whether a role can be given another colour without more changing than pairs. */
  isFree(role: string): boolean {
    if (this.fixed.has(role)) return false;
    return (this.followers.get(role) ?? []).every(({ id }) => this.isFree(id));
  }

  /** Every role whose colour has a say in whether a role can be given another: those it is paired with, and itself. */
  around(role: string): Set<string> {
    const out = new Set<string>();
    const moved = [role];
    // What is put in while it is gone through is gone through too.
    for (const id of moved) {
      out.add(id);
      for (const at of this.places.get(id) ?? []) {
        out.add(this.pairs[at]!.foreground);
        out.add(this.pairs[at]!.background);
      }
      moved.push(...(this.followers.get(id) ?? []).map((follower) => follower.id));
    }
    return out;
  }

  /** Whether some new colours leave every pair passing that passes now, and make the pair at a place pass. */
  mends(place: number, changed: Recoloured): boolean {
    if (!this.meets(place, changed)) return false;
    for (const role of changed.keys())
      for (const at of this.places.get(role) ?? [])
        if (this.passing[at] && !this.meets(at, changed)) return false;
    return true;
  }

  /** What some new colours do to the pairs. */
  effect(changed: Recoloured): PairEffect {
    const places = new Set([...changed.keys()].flatMap((role) => this.places.get(role) ?? []));
    const mended: number[] = [];
    const broken: number[] = [];
    for (const at of places) {
      const now = this.meets(at, changed);
      if (now && !this.passing[at]) mended.push(at);
      else if (!now && this.passing[at]) broken.push(at);
    }
    return { mended, broken };
  }

  /** Takes some new colours on. */
  take(changed: Recoloured): void {
    const { mended, broken } = this.effect(changed);
    for (const [role, color] of changed) this.colors.set(role, color);
    for (const at of mended) this.passing[at] = true;
    for (const at of broken) this.passing[at] = false;
  }

  /** The opaque grounds, with what is asked on them, that a role in front stands on in the pairs that pass or that is at a place. */
  demandsOn(role: string, place: number): { readonly ground: Rgba; readonly required: number }[] {
    return (this.places.get(role) ?? []).flatMap((at) => {
      if (this.pairs[at]!.foreground !== role || (at !== place && !this.passing[at])) return [];
      const grounds = this.layered.get(at);
      if (grounds !== undefined) return grounds ? demandsOn(grounds, this.required[at]!) : [];
      const back = this.colors.get(this.pairs[at]!.background);
      return back ? [{ ground: paintedOver(back, this.beneath), required: this.required[at]! }] : [];
    });
  }
}

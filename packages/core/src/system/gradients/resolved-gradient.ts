import type { Gradient, Stop } from '../../document/gradients/gradient.ts';
import { pointersOf } from '../../document/gradients/pointers.ts';
import type { Link } from '../../document/links/link.ts';
import type { ColorStop, CssGradient, Hint } from '../../gradient/model.ts';
import type { Families } from '../families/resolved-family.ts';
import { fade, type Painted, paint } from '../painted.ts';
import type { ResolvedRole } from '../roles/resolved-role.ts';

/** The roles that stops point to. */
interface Roles {
  readonly get: (id: string) => Pick<ResolvedRole, 'color'> | undefined;
}
type Colors = (Painted | null)[];
type Places = ReadonlyMap<string, readonly number[]>;

function colorOfStop(link: Link, families: Families, roles: Roles): Painted | null {
  const opacity = link.opacity ?? 1;
  if (link.to === 'color') return fade(paint(link.color), opacity);
  if (link.to === 'base') {
    const family = families.get(link.family);
    return family ? fade(family.base.color, opacity) : null;
  }
  const color =
    link.to === 'shade' ? families.get(link.family)?.byLabel.get(link.shade) : roles.get(link.role)?.color;
  return color ? fade(color, opacity) : null;
}

/** A gradient in a theme; its colours are worked out when they are first read. */
export class ResolvedGradient {
  readonly gradient: Gradient;
  /** The stops without the hints between them. */
  readonly stops: readonly Stop[];
  private readonly families: Families;
  private readonly roles: Roles;
  private worked: Colors | null;
  /** What it became with the families of the state after this one. */
  private next: { readonly families: Families; readonly gradient: ResolvedGradient } | null = null;
  /** What it was with other colours. */
  private before: ResolvedGradient | null = null;

  constructor(gradient: Gradient, families: Families, roles: Roles, worked: Colors | null = null) {
    this.gradient = gradient;
    this.stops = pointersOf(gradient).stops;
    this.families = families;
    this.roles = roles;
    this.worked = worked;
  }

  /** Colours of the stops, in their order; null where the link is broken. */
  get colors(): readonly (Painted | null)[] {
    this.worked ??= this.stops.map((stop) => colorOfStop(stop.color, this.families, this.roles));
    return this.worked;
  }

  /** The same gradient after some families and roles have changed; itself when it points to none of them. */
  after(changed: Changed, families: Families, roles: Roles): ResolvedGradient {
    const { byFamily, byRole } = pointersOf(this.gradient);
    // Without a role among its stops it is the same in all themes, and followed once for all of them.
    if (byRole.size) return this.following(changed, families, roles, byFamily, byRole);
    if (this.next?.families !== families)
      this.next = { families, gradient: this.following(changed, families, roles, byFamily, byRole) };
    return this.next.gradient;
  }

  private following(
    changed: Changed,
    families: Families,
    roles: Roles,
    byFamily: Places,
    byRole: Places,
  ): ResolvedGradient {
    const stops: number[] = [];
    for (const id of changed.families) stops.push(...(byFamily.get(id) ?? []));
    for (const id of changed.roles) stops.push(...(byRole.get(id) ?? []));
    if (!stops.length) return this;
    const worked = this.worked?.slice() ?? null;
    if (worked) for (const i of stops) worked[i] = colorOfStop(this.stops[i]!.color, families, roles);
    const now = new ResolvedGradient(this.gradient, families, roles, worked);
    now.before = this;
    // One state before is enough to go on from; all of them would never be let go of.
    this.before = null;
    return now;
  }

  /**
   * The same gradient with the colours of before, so that what was worked out of those that are still the same can be
   * taken over; once, and null where there is none.
   */
  takeBefore(): ResolvedGradient | null {
    const { before } = this;
    this.before = null;
    return before;
  }
}

const ofFamilies = new WeakMap<Families, Map<Gradient, ResolvedGradient>>();

/** A gradient in a theme; the same object in all themes where none of its stops points to a role. */
export function resolvedGradient(gradient: Gradient, families: Families, roles: Roles): ResolvedGradient {
  if (pointersOf(gradient).byRole.size) return new ResolvedGradient(gradient, families, roles);
  let known = ofFamilies.get(families);
  if (!known) {
    known = new Map();
    ofFamilies.set(families, known);
  }
  let resolved = known.get(gradient);
  if (!resolved) {
    resolved = new ResolvedGradient(gradient, families, roles);
    known.set(gradient, resolved);
  }
  return resolved;
}

export interface Changed {
  readonly families: Iterable<string>;
  readonly roles: readonly string[];
}

/**
 * A resolved gradient with the stops that have a colour, each written as `of` says; null when none has. Hints that
 * no longer stand between two stops go too.
 */
export function coloredGradient<C>(
  { gradient, colors }: ResolvedGradient,
  of: (color: Painted, link: Link) => C,
): CssGradient<ColorStop<C>> | null {
  const items: (ColorStop<C> | Hint)[] = [];
  let hint: Hint | null = null;
  let stop = 0;
  let isAfterStop = false;
  for (const item of gradient.stops) {
    if (item.kind === 'hint') {
      hint = isAfterStop ? item : null;
      isAfterStop = false;
      continue;
    }
    const color = colors[stop];
    stop += 1;
    if (!color) continue;
    if (hint) items.push(hint);
    hint = null;
    isAfterStop = true;
    items.push({ kind: 'stop', color: of(color, item.color), places: item.places });
  }
  return items.length ? { ...gradient, stops: items } : null;
}

/** Whether at least two stops have a colour, without which it is no gradient of CSS. */
export function hasColors({ colors }: ResolvedGradient): boolean {
  let count = 0;
  for (const color of colors) {
    if (color) count += 1;
    if (count > 1) return true;
  }
  return false;
}

/** A resolved gradient as CSS has it; null when no stop has a colour. */
export const paintedGradient = (resolved: ResolvedGradient): CssGradient | null =>
  coloredGradient(resolved, (color) => color);

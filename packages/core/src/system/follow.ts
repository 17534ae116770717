import type { RoleLink } from '../document/links/link.ts';
import type { Families } from './families/resolved-family.ts';
import { fade, type Painted, paint } from './painted.ts';

/** What a link leads to. */
export interface Target {
  /** Null when the link is broken or missing, as `problem` says then, and where it leads to a gradient. */
  readonly color: Painted | null;
  readonly problem: string | null;
  /** The gradient that the chain of links ends at, if it ends at one. */
  readonly gradient: string | null;
  /** The shade that the chain of links ends at, if it ends at one. */
  readonly source: { readonly family: string; readonly shade: string } | null;
  /** Product of the opacities along the chain. */
  readonly opacity: number;
}

const broken = (problem: string): Target => ({
  color: null,
  problem,
  gradient: null,
  source: null,
  opacity: 1,
});

export const NO_ROLE = broken('It points to a role that no longer exists.');
export const LOOP = broken('It points to itself.');
export const UNSET = broken('It has no value in this theme yet.');

/** What a chain of links is followed through. */
export interface Followed {
  readonly families: Families;
  /** Whether there is such a gradient. */
  readonly hasGradient: (id: string) => boolean;
  /** What a role comes to. */
  readonly roleOf: (id: string) => Target;
}

const plain = (color: Painted, source: Target['source'], opacity: number): Target => ({
  color: fade(color, opacity),
  problem: null,
  gradient: null,
  source,
  opacity,
});

/** Follows a link to a colour, or a role's to a gradient. */
export function follow(link: RoleLink, { families, hasGradient, roleOf }: Followed): Target {
  if (link.to === 'gradient')
    return hasGradient(link.gradient)
      ? { color: null, problem: null, gradient: link.gradient, source: null, opacity: 1 }
      : broken('It points to a gradient that no longer exists.');
  const opacity = link.opacity ?? 1;
  if (link.to === 'color') return plain(paint(link.color), null, opacity);
  if (link.to === 'shade') {
    const family = families.get(link.family);
    if (!family) return broken('It points to a family that no longer exists.');
    const shade = family.byLabel.get(link.shade);
    if (!shade) return broken(`${family.family.name} has no shade ${link.shade}.`);
    return plain(shade, { family: link.family, shade: link.shade }, opacity);
  }
  if (link.to === 'base') {
    const family = families.get(link.family);
    if (!family) return broken('It points to a family that no longer exists.');
    return plain(family.base.color, { family: link.family, shade: family.base.label }, opacity);
  }
  const target = roleOf(link.role);
  if (opacity === 1) return target;
  if (target.gradient)
    return broken('It shows a gradient through an opacity, which only its stops can have.');
  if (!target.color) return target;
  return { ...target, color: fade(target.color, opacity), opacity: target.opacity * opacity };
}

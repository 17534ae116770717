import type { Families } from '../families/resolved-family.ts';
import type { Link } from '../links/link.ts';
import { fade, type Painted, paint } from './painted.ts';

/** What a link leads to. */
export interface Target {
  /** Null when the link is broken or missing; `problem` then says why. */
  readonly color: Painted | null;
  readonly problem: string | null;
  /** The shade that the chain of links ends at, if it ends at one. */
  readonly source: { readonly family: string; readonly shade: string } | null;
  /** Product of the opacities along the chain. */
  readonly opacity: number;
}

const broken = (problem: string): Target => ({ color: null, problem, source: null, opacity: 1 });

export const NO_ROLE = broken('It points to a role that does not exist any more.');
export const LOOP = broken('It points to itself.');
export const UNSET = broken('It has no value in this theme yet.');

/** Follows a link to a colour; `roleOf` says what a role comes to. */
export function follow(link: Link, families: Families, roleOf: (id: string) => Target): Target {
  const opacity = link.opacity ?? 1;
  if (link.to === 'color')
    return { color: fade(paint(link.color), opacity), problem: null, source: null, opacity };
  if (link.to === 'shade') {
    const family = families.get(link.family);
    if (!family) return broken('It points to a family that does not exist any more.');
    const shade = family.byLabel.get(link.shade);
    if (!shade) return broken(`${family.family.name} has no shade ${link.shade}.`);
    const source = { family: link.family, shade: link.shade };
    return { color: fade(shade, opacity), problem: null, source, opacity };
  }
  if (link.to === 'base') {
    const family = families.get(link.family);
    if (!family) return broken('It points to a family that does not exist any more.');
    const source = { family: link.family, shade: family.base.label };
    return { color: fade(family.base.color, opacity), problem: null, source, opacity };
  }
  const target = roleOf(link.role);
  if (!target.color || opacity === 1) return target;
  return { ...target, color: fade(target.color, opacity), opacity: target.opacity * opacity };
}

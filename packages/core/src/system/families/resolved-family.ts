import { readColor } from '../../color/parse.ts';
import type { Family } from '../../document/families/family.ts';
import { grownOn } from '../../document/links/growth-ground.ts';
import { grow } from '../../family/grow.ts';
import { type Painted, paint } from '../painted.ts';

export interface ResolvedShade extends Painted {
  readonly label: string;
  readonly isBase: boolean;
  readonly handSet: boolean;
  /** What growth gives at this place, where it was set by hand. */
  readonly grown: string | null;
}

export interface ResolvedFamily {
  readonly family: Family;
  /** Lightest first. */
  readonly shades: readonly ResolvedShade[];
  readonly byLabel: ReadonlyMap<string, ResolvedShade>;
  /** The base, and the label of the shade that it stands at; `text` is the colour as it was given or came about. */
  readonly base: { readonly label: string; readonly color: Painted; readonly text: string };
  /** CSS text of the ground that it was grown on; null for growths without one. */
  readonly ground: string | null;
  /** What it should follow and cannot. */
  readonly problem: string | null;
}

/** Families by id, as far as resolving asks for them. */
export interface Families {
  get(id: string): ResolvedFamily | undefined;
}

/** What a family is grown from, where that is not all its own. */
export interface GrownFrom {
  readonly base: string;
  readonly ground: string | null;
  readonly problem: string | null;
}

// A family never changes, only its successor does; so its shades are worked out once for what it was grown from last.
const grown = new WeakMap<Family, ResolvedFamily>();

/** The shades of a family, from its own base or from what it follows: grown, or as they were set by hand. */
export function resolveFamily(family: Family, from?: GrownFrom): ResolvedFamily {
  const base = from?.base ?? family.base;
  const ground = from?.ground ?? null;
  const problem = from?.problem ?? null;
  const known = grown.get(family);
  if (known && known.base.text === base && known.ground === ground && known.problem === problem) return known;
  const baseColor = paint(base);
  const places = grow(readColor(base), grownOn(family.growth, ground ?? '#ffffff'));
  const shades = places.map((shade): ResolvedShade => {
    const { label, isBase, r, g, b, hex } = shade;
    const own = family.handSet[label];
    return own === undefined
      ? {
          label,
          isBase,
          handSet: false,
          grown: null,
          r,
          g,
          b,
          alpha: 1,
          css: hex,
          outside: isBase && baseColor.outside,
        }
      : { label, isBase, handSet: true, grown: hex, ...paint(own) };
  });
  const resolved: ResolvedFamily = {
    family,
    shades,
    byLabel: new Map(shades.map((shade) => [shade.label, shade])),
    base: { label: places.find(({ isBase }) => isBase)?.label ?? '', color: baseColor, text: base },
    ground,
    problem,
  };
  grown.set(family, resolved);
  return resolved;
}

import { readColor } from '../../color/parse.ts';
import { grow } from '../../family/grow.ts';
import { type Painted, paint } from '../resolve/painted.ts';
import type { Family } from './family.ts';

export interface ResolvedShade extends Painted {
  readonly label: string;
  readonly isBase: boolean;
  readonly handSet: boolean;
}

export interface ResolvedFamily {
  readonly family: Family;
  /** Lightest first. */
  readonly shades: readonly ResolvedShade[];
  readonly byLabel: ReadonlyMap<string, ResolvedShade>;
  /** The base, and the label of the shade that it stands at. */
  readonly base: { readonly label: string; readonly color: Painted };
}

/** Families by id, as far as resolving asks for them. */
export interface Families {
  get(id: string): ResolvedFamily | undefined;
}

// A family never changes, only its successor does; so its shades are worked out once.
const grown = new WeakMap<Family, ResolvedFamily>();

/** The shades of a family: grown, or as they were set by hand. */
export function resolveFamily(family: Family): ResolvedFamily {
  const known = grown.get(family);
  if (known) return known;
  const baseOutside = paint(family.base).outside;
  const places = grow(readColor(family.base), family.growth);
  const shades = places.map((shade): ResolvedShade => {
    const { label, isBase, r, g, b, hex } = shade;
    const own = family.handSet[label];
    return own === undefined
      ? { label, isBase, handSet: false, r, g, b, alpha: 1, css: hex, outside: isBase && baseOutside }
      : { label, isBase, handSet: true, ...paint(own) };
  });
  const resolved = {
    family,
    shades,
    byLabel: new Map(shades.map((shade) => [shade.label, shade])),
    base: { label: places.find(({ isBase }) => isBase)?.label ?? '', color: paint(family.base) },
  };
  grown.set(family, resolved);
  return resolved;
}

/**
 * How far what colours cover is from 60 / 30 / 10: about as much as one colour leading, one beside it and one that stands
 * out holds a page together. A rule of thumb of the trade, and no law.
 */
export const SIXTY_THIRTY_TEN = [0.6, 0.3, 0.1] as const;

/** What a family covers; `key` is its id, or what stands for colours that are of none. */
interface FamilyShare {
  readonly key: string;
  /** 0–1. */
  readonly share: number;
}

export interface Balance {
  /** The largest first. */
  readonly families: readonly FamilyShare[];
  /** The share of the area, 0–1, that would have to be another family's for 60 / 30 / 10. */
  readonly off: number;
  /** The family that covers most beyond its place, and by how much; null where all is within a hundredth. */
  readonly inTheWay: { readonly key: string; readonly by: number } | null;
}

/** Shares below which a family that is not among the first three is not in the way: notices, a mark. */
const LITTLE = 0.01;

const wantedAt = (place: number): number => SIXTY_THIRTY_TEN[place] ?? 0;

/**
 * The balance of some shares of area by family, which come to at most 1: in order, what is off 60 / 30 / 10, and the family
 * that is most in the way. What nothing paints is left out, the rest counts as the whole.
 */
export function balanceOf(shares: ReadonlyMap<string, number>): Balance {
  const whole = [...shares.values()].reduce((sum, share) => sum + share, 0);
  const families = [...shares]
    .map(([key, share]) => ({ key, share: whole ? share / whole : 0 }))
    .sort((a, b) => b.share - a.share);
  let off = 0;
  let inTheWay: Balance['inTheWay'] = null;
  for (const [i, { key, share }] of families.entries()) {
    const by = share - wantedAt(i);
    if (by <= 0) continue;
    off += by;
    if (by > LITTLE && by > (inTheWay?.by ?? 0)) inTheWay = { key, by };
  }
  return { families, off, inTheWay };
}

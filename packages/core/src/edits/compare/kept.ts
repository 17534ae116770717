interface Identified {
  readonly id: string;
}

/**
 * The ids of the most things that stand in both lists in one order and are the same in both: what has not to be
 * touched to make one list the other. Longest increasing subsequence by piles, n log n.
 */
export function keptIds<T extends Identified>(
  from: readonly T[],
  to: readonly T[],
  same: (a: T, b: T) => boolean,
): Set<string> {
  const places = new Map(to.map((thing, i) => [thing.id, i]));
  const both = from.flatMap((thing) => {
    const at = places.get(thing.id);
    return at !== undefined && same(thing, to[at]!) ? [{ id: thing.id, at }] : [];
  });
  // Each pile by its top, and before each thing the top of the pile to its left when it was laid.
  const tops: number[] = [];
  const left: number[] = [];
  both.forEach(({ at }, i) => {
    let [low, high] = [0, tops.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (both[tops[middle]!]!.at < at) low = middle + 1;
      else high = middle;
    }
    left[i] = low > 0 ? tops[low - 1]! : -1;
    tops[low] = i;
  });
  const kept = new Set<string>();
  for (let i = tops.length ? tops[tops.length - 1]! : -1; i >= 0; i = left[i]!) kept.add(both[i]!.id);
  return kept;
}

import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import type { Readout } from '@mint-lamp/core/judged/readout/readout';
import { useEffect, useMemo, useState } from 'react';

/** The measurements of the pair at a place in the document, theme by theme, or in one theme only. */
export const rowAt = (readout: Readout, place: number, theme: string | null = null): Measurement[] =>
  [...readout.measured].flatMap(([id, { measurements }]) =>
    theme === null || id === theme ? [measurements[place]!] : [],
  );

/** How near each pair comes to what it needs in the theme where it is worst. */
function worths(readout: Readout): number[] {
  const lists = [...readout.measured.values()].map(({ measurements }) => measurements);
  return readout.system.document.pairs.map((_, i) => {
    let least = Number.POSITIVE_INFINITY;
    for (const list of lists) least = Math.min(least, list[i]!.ratio / list[i]!.required);
    return least;
  });
}

/** How many pairs fail in some theme. */
export function failingPairs(readout: Readout): number {
  const lists = [...readout.measured.values()].map(({ measurements }) => measurements);
  return readout.system.document.pairs.filter((_, i) => lists.some((list) => !list[i]!.passes)).length;
}

/**
 * The places of the pairs in the document, worst first. The order is taken when the board opens and when pairs come
 * or go, and stays while colours change: a row that is being repaired does not jump away from the eye.
 */
export function useOrder(readout: Readout): readonly number[] {
  const { pairs } = readout.system.document;
  const places = useMemo(() => new Map(pairs.map(({ id }, i) => [id, i])), [pairs]);
  const sorted = () => {
    const worth = worths(readout);
    const order = pairs.map((_, i) => i).sort((a, b) => worth[a]! - worth[b]!);
    return order.map((i) => pairs[i]!.id);
  };
  const [order, setOrder] = useState(sorted);
  const same = order.length === pairs.length && order.every((id) => places.has(id));
  const now = same ? order : sorted();
  useEffect(() => {
    if (!same) setOrder(now);
  });
  return useMemo(() => now.map((id) => places.get(id)!), [now, places]);
}

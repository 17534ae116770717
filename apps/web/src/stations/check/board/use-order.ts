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

/** An order with what has gone left out, and each that has come before the first of those that are less bad. */
export function carriedOn(order: readonly string[], worth: ReadonlyMap<string, number>): readonly string[] {
  const next = order.filter((id) => worth.has(id));
  const known = new Set(next);
  const come = [...worth.keys()].filter((id) => !known.has(id));
  if (!come.length) return next.length === order.length ? order : next;
  // Nothing is there yet to stand still.
  if (!next.length) return come.sort((a, b) => worth.get(a)! - worth.get(b)!);
  for (const id of come) {
    const at = next.findIndex((other) => worth.get(other)! > worth.get(id)!);
    next.splice(at === -1 ? next.length : at, 0, id);
  }
  return next;
}

/**
 * The places of the pairs in the document, worst first. The order is taken when the board opens, and stays while colours
 * change and pairs come and go: a row that is being repaired does not jump away from the eye, or from under the hand when
 * somebody else adds one.
 */
export function useOrder(readout: Readout): readonly number[] {
  const { pairs } = readout.system.document;
  const places = useMemo(() => new Map(pairs.map(({ id }, i) => [id, i])), [pairs]);
  const next = (order: readonly string[]) => {
    const worth = worths(readout);
    return carriedOn(order, new Map(pairs.map(({ id }, i) => [id, worth[i]!])));
  };
  const [order, setOrder] = useState(() => next([]));
  const same = order.length === pairs.length && order.every((id) => places.has(id));
  const now = same ? order : next(order);
  useEffect(() => {
    if (!same) setOrder(now);
  });
  return useMemo(() => now.map((id) => places.get(id)!), [now, places]);
}

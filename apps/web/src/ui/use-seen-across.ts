import { useLayoutEffect, useRef, useState } from 'react';
import { whenScrolled } from './when-scrolled.ts';

/** Px beyond the window on either side that count as seen: what is scrolled to stands already. */
const AHEAD = 300;

/**
 * Which of the list items in a row that scrolls sideways are in its window, or nearly, from the first to the last; none
 * until it is laid out. To observe each of hundreds costs every frame of the page, whether it scrolls or not.
 *
 * @param items whatever is another value when there are other items
 */
export function useSeenAcross<E extends HTMLElement>(items: unknown) {
  const row = useRef<E>(null);
  const [seen, setSeen] = useState({ first: 0, last: -1 });
  // biome-ignore lint/correctness/useExhaustiveDependencies: the items are those that are found in it
  useLayoutEffect(() => {
    const { current } = row;
    if (!current) return;
    return whenScrolled(current, () => {
      const { left, right } = current.getBoundingClientRect();
      const all = [...current.querySelectorAll('li')];
      const isNear = (item: HTMLLIElement) => {
        const box = item.getBoundingClientRect();
        return box.right > left - AHEAD && box.left < right + AHEAD;
      };
      const first = all.findIndex(isNear);
      const last = all.findLastIndex(isNear);
      setSeen((old) => (old.first === first && old.last === last ? old : { first, last }));
    });
  }, [items]);
  return { row, seen };
}

import { useLayoutEffect, useRef, useState } from 'react';
import { whenScrolled } from './when-scrolled.ts';

/** Columns up to so many are drawn whole. */
const FEW = 5;
const BESIDE = 1;

export interface ColumnsInView {
  readonly first: number;
  /** The last one, drawn too. */
  readonly last: number;
}

/**
 * Which of many equally wide columns are in the window of the `data-scroller` around an element, one more at each
 * side; `offset` px stand before the first. Changes only when another column comes in or goes out.
 */
export function useColumnsInView<T extends HTMLElement>(count: number, width: number, offset: number) {
  const inside = useRef<T>(null);
  const [view, setView] = useState<ColumnsInView>({ first: 0, last: Math.min(count - 1, FEW) });
  const whole = count <= FEW;
  useLayoutEffect(() => {
    const frame = inside.current?.closest<HTMLElement>('[data-scroller]');
    if (whole || !frame) return;
    return whenScrolled(frame, () => {
      const at = (x: number) => Math.floor((x - offset) / width);
      const first = Math.max(0, at(frame.scrollLeft + offset) - BESIDE);
      const last = Math.min(count - 1, at(frame.scrollLeft + frame.clientWidth) + BESIDE);
      setView((old) => (old.first === first && old.last === last ? old : { first, last }));
    });
  }, [count, width, offset, whole]);
  return { inside, ...(whole ? { first: 0, last: count - 1 } : view) };
}

import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';

/** Lists up to this long are drawn whole: they are quick enough, and the browser finds text in all of them. */
const SHORT = 60;

interface LongListOptions {
  count: number;
  /** Height of a row in px, as far as is known before it is drawn. */
  estimate: number;
  keyOf: (index: number) => string;
  /** Draw only what is near the window also of lists shorter than {@link SHORT}, down to this length. */
  short?: number;
  /** The row that is open, or −1: it is scrolled into the window when it becomes so. */
  open?: number;
}

/** How long what a row has still to fetch may make it grow, ms. */
const GROWS_MS = 1500;

/** Scrolls up or down as little as brings it into sight; one that is wider than the window is not scrolled across to. */
function scrollDownTo(element: Element): void {
  const scroller = element.closest<HTMLElement>('[data-scroller]');
  const left = scroller?.scrollLeft ?? 0;
  element.scrollIntoView({ block: 'nearest' });
  if (scroller) scroller.scrollLeft = left;
}

/** Scrolls an element on as it grows, until somebody scrolls or does anything else; returns the way to call that off. */
function keepInSight(element: Element): () => void {
  const ending = new AbortController();
  const observer = new ResizeObserver(() => scrollDownTo(element));
  const timer = setTimeout(() => ending.abort(), GROWS_MS);
  ending.signal.addEventListener('abort', () => {
    observer.disconnect();
    clearTimeout(timer);
  });
  observer.observe(element);
  for (const event of ['wheel', 'touchmove', 'pointerdown', 'keydown'])
    addEventListener(event, () => ending.abort(), { passive: true, capture: true, signal: ending.signal });
  return () => ending.abort();
}

/**
 * Draws only the rows of a long list that are near the window. The list lies anywhere inside an element marked
 * `data-scroller`; its rows stay in the flow, between two empty ones of the heights `before` and `after`. Rows
 * whose height is not always the same take `measure` as their ref; those and rows that can be open have their
 * place as `data-index`.
 */
export function useLongList<T extends HTMLElement>({
  count,
  estimate,
  keyOf,
  short = SHORT,
  open = -1,
}: LongListOptions) {
  const list = useRef<T>(null);
  const [margin, setMargin] = useState(0);
  const whole = count <= short;
  const scroller = useCallback(() => list.current?.closest<HTMLElement>('[data-scroller]') ?? null, []);
  // Where the list begins, measured when it comes up and when what scrolls with it changes its size; not at every
  // drawing, since each measuring makes the browser lay the page out at once.
  useLayoutEffect(() => {
    const frame = scroller();
    if (whole || !frame || !list.current) return;
    const measure = () => {
      if (!list.current) return;
      const top =
        list.current.getBoundingClientRect().top - frame.getBoundingClientRect().top + frame.scrollTop;
      setMargin((old) => (Math.abs(old - top) > 1 ? top : old));
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(frame);
    if (frame.firstElementChild) observer.observe(frame.firstElementChild);
    return () => observer.disconnect();
  }, [scroller, whole]);
  const virtual = useVirtualizer({
    count,
    enabled: !whole,
    getScrollElement: scroller,
    estimateSize: () => estimate,
    getItemKey: keyOf,
    overscan: 4,
    scrollMargin: margin,
    initialRect: { width: 1000, height: 800 },
  });
  const openKey = open < 0 ? null : keyOf(open);
  const revealed = useRef<string | null>(null);
  useEffect(() => {
    if (revealed.current === openKey) return;
    revealed.current = openKey;
    const row = list.current?.querySelector(`[data-index="${open}"]`);
    if (!row) {
      if (open >= 0) virtual.scrollToIndex(open);
      return;
    }
    scrollDownTo(row);
    return keepInSight(row);
  }, [open, openKey, virtual]);
  const items = virtual.getVirtualItems();
  const [first, last] = [items[0], items[items.length - 1]];
  return {
    list,
    rows: whole ? Array.from({ length: count }, (_, i) => i) : items.map(({ index }) => index),
    before: whole || !first ? 0 : first.start - margin,
    after: whole ? 0 : virtual.getTotalSize() - (last ? last.end - margin : 0),
    measure: whole ? undefined : virtual.measureElement,
  };
}

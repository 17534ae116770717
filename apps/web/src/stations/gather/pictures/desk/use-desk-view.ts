import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type DeskView, fit, held, moved, revealing, type Size, toPicture, zoomed } from './view.ts';

/** A place of the window as one within an element, its border aside. */
export function placeIn(element: HTMLElement, clientX: number, clientY: number): [x: number, y: number] {
  const { left, top } = element.getBoundingClientRect();
  return [clientX - left - element.clientLeft, clientY - top - element.clientTop];
}

export interface DeskViewing {
  /** For the element that the picture fills. */
  readonly box: React.RefObject<HTMLDivElement | null>;
  readonly size: Size;
  readonly view: DeskView;
  readonly zoom: (factor: number, x?: number, y?: number) => void;
  readonly move: (dx: number, dy: number) => void;
  readonly fit: () => void;
  /** One px of the picture as one of the screen. */
  readonly actual: () => void;
  readonly reveal: (x: number, y: number) => void;
  /** The place of the picture under the pointer. */
  readonly under: (event: { readonly clientX: number; readonly clientY: number }) => [number, number];
}

/** What of a picture is seen at the desk, which follows the size of the window until it is zoomed. */
export function useDeskView(picture: Size): DeskViewing {
  const box = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  /** Null while all of the picture is seen. */
  const [chosen, setChosen] = useState<DeskView | null>(null);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setSize({ width: Math.floor(width), height: Math.floor(height) });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const view = useMemo(
    () =>
      size.width ? (chosen ? held(chosen, size, picture) : fit(size, picture)) : { cx: 0, cy: 0, scale: 1 },
    [chosen, size, picture],
  );
  const latest = useRef({ view, size, picture });
  latest.current = { view, size, picture };
  const change = useCallback((next: (view: DeskView, size: Size, picture: Size) => DeskView) => {
    const { view: now, size: seen, picture: whole } = latest.current;
    if (!seen.width) return;
    const after = next(now, seen, whole);
    // Several may come before it is drawn.
    latest.current = { ...latest.current, view: after };
    setChosen(after);
  }, []);
  return useMemo(
    () => ({
      box,
      size,
      view,
      zoom: (factor, x, y) => change((now, seen, whole) => zoomed(now, seen, whole, factor, x, y)),
      move: (dx, dy) => change((now, seen, whole) => moved(now, seen, whole, dx, dy)),
      fit: () => setChosen(null),
      actual: () =>
        change((now, seen, whole) => zoomed(now, seen, whole, 1 / (devicePixelRatio || 1) / now.scale)),
      reveal: (x, y) => change((now, seen, whole) => revealing(now, seen, whole, x, y)),
      under({ clientX, clientY }) {
        const { view: now, size: seen } = latest.current;
        return toPicture(now, seen, ...placeIn(box.current!, clientX, clientY));
      },
    }),
    [size, view, change],
  );
}

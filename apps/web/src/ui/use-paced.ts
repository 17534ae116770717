import { useEffect, useReducer, useRef } from 'react';

/** Ms between two times that one follows, and between two of any: not all are drawn anew in the same frame. */
const EVERY = 120;
const APART = 25;
let last = 0;

/**
 * A value that follows another about eight times a second, and at once when it comes to rest: for what is read while
 * something else is dragged, so that the frame is left to what moves. While `now` holds it follows at each frame.
 */
export function usePaced<T>(value: T, now = false): T {
  const shown = useRef(value);
  const since = useRef(0);
  const rested = useRef<T | undefined>(undefined);
  const [, draw] = useReducer((n: number) => n + 1, 0);
  if (shown.current !== value) {
    const time = performance.now();
    const isDue = time - since.current >= EVERY && time - last >= APART;
    if (now || isDue || rested.current === value) {
      shown.current = value;
      since.current = time;
      if (!now) last = time;
    }
  }
  const isBehind = shown.current !== value;
  useEffect(() => {
    if (!isBehind) return;
    const timer = setTimeout(() => {
      rested.current = value;
      draw();
    }, EVERY);
    return () => clearTimeout(timer);
  }, [isBehind, value]);
  return shown.current;
}

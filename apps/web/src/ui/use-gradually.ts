import { startTransition, useEffect, useState } from 'react';

/**
 * The first of some items, more of them with every frame until all are there: so that many that come at once are drawn
 * over several frames. What was drawn stays drawn.
 */
export function useGradually<T>(items: readonly T[], perFrame = 32): readonly T[] {
  const [count, setCount] = useState(perFrame);
  const more = count < items.length;
  useEffect(() => {
    if (!more) {
      setCount(Math.max(perFrame, items.length));
      return;
    }
    // Going to another page is a transition, and would wait until all are there if these came before it.
    const frame = requestAnimationFrame(() => startTransition(() => setCount(count + perFrame)));
    return () => cancelAnimationFrame(frame);
  }, [more, count, items.length, perFrame]);
  return more ? items.slice(0, count) : items;
}

import type { KeyboardEvent } from 'react';

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The way that an arrow key goes, in px: 1, or 10 with Shift; null for other keys. */
export function arrowStep({
  key,
  shiftKey,
}: Pick<KeyboardEvent, 'key' | 'shiftKey'>): [number, number] | null {
  const arrow = ARROWS[key];
  if (!arrow) return null;
  const far = shiftKey ? 10 : 1;
  return [arrow[0] * far, arrow[1] * far];
}

import { useEffect, useRef } from 'react';
import { isAnythingHeld, isHeldIn, useHeldPlace } from '../ui/held.ts';
import { useWholeStore } from './in-turns.tsx';
import { selectProject } from './selectors.ts';
import type { AppState } from './store.ts';

let forcedColors: MediaQueryList | undefined;

/**
 * Whether what moves may be painted on a canvas, instead of the elements that stand there. Where the system paints
 * everything in colours of its own, elements do as it says, and a canvas would not.
 */
export function mayPaint(): boolean {
  // Asked for every rail in every frame.
  forcedColors ??= matchMedia('(forced-colors: active)');
  return !forcedColors.matches;
}

/**
 * Paints something with every move of what is dragged, past React, while the part of the page that it is in waits for its
 * turn; `paint` is given null when that part shows by itself what there is.
 */
export function useLive(paint: (state: AppState | null) => void): void {
  const store = useWholeStore();
  const place = useHeldPlace();
  const latest = useRef(paint);
  latest.current = paint;
  useEffect(() => {
    let isLive = false;
    const look = () => {
      const state = store.getState();
      const is =
        isAnythingHeld() &&
        !(place && isHeldIn(place)) &&
        state.project !== null &&
        selectProject(state).gesture !== null &&
        mayPaint();
      if (is || isLive) latest.current(is ? state : null);
      isLive = is;
    };
    const stop = store.subscribe(look);
    return () => {
      stop();
      if (isLive) latest.current(null);
    };
  }, [store, place]);
}

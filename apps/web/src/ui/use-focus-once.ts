import { useEffect, useRef } from 'react';

/**
 * Gives the focus to what comes up in place of what was pressed, or late in a panel that has the focus itself, so that
 * the keyboard goes on from there.
 */
export function useFocusOnce<T extends HTMLElement>() {
  const ref = useRef<T>(null);
  useEffect(() => {
    const held = document.activeElement;
    const isKept = held instanceof HTMLElement && 'keptFocus' in held.dataset;
    if (!held || isKept || held === document.body || held === ref.current?.closest('[role=dialog]'))
      ref.current?.focus({ preventScroll: true });
  }, []);
  return ref;
}

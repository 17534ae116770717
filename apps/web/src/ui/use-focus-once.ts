import { useEffect, useRef } from 'react';

/** Gives the focus to what comes up in place of what was pressed, so that the keyboard goes on from there. */
export function useFocusOnce<T extends HTMLElement>() {
  const ref = useRef<T>(null);
  useEffect(() => {
    const held = document.activeElement;
    if (!held || held === document.body) ref.current?.focus({ preventScroll: true });
  }, []);
  return ref;
}

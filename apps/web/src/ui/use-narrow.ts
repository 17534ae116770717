import { useSyncExternalStore } from 'react';

/** CSS px from which on the lamp stands beside the station; the custom variant `narrow` in base.css says the same. */
const query = matchMedia('(max-width: 999px)');

const watch = (listener: () => void) => {
  query.addEventListener('change', listener);
  return () => query.removeEventListener('change', listener);
};

/** Whether the window is too narrow for the lamp and the tray beside the station: a phone, or a page that is zoomed. */
export const useNarrow = (): boolean => useSyncExternalStore(watch, () => query.matches);

import { useSyncExternalStore } from 'react';
import { ofTab } from '../storing/storage.ts';

/** At which stop of the walk through the demo one is, from 0; kept while the tab is open. */
const KEY = 'mint-lamp/walk';
const listeners = new Set<() => void>();

export function walkTo(stop: number | null): void {
  if (stop === null) ofTab.remove(KEY);
  else ofTab.write(KEY, String(stop));
  for (const listener of listeners) listener();
}

const stopNow = () => ofTab.read(KEY);

/** Null while one does not walk, which is unless somebody asked for it. */
export function useWalk(): number | null {
  const kept = useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, stopNow);
  return kept === null ? null : Number(kept);
}

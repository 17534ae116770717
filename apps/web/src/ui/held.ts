import { createContext, useContext } from 'react';

/** A part of the page that is drawn in its own turn while something is dragged elsewhere. */
export type HeldPlace = object;

/** The part of the page that a component is in. */
export const HeldPlaceContext = createContext<HeldPlace | null>(null);

/** The part of the page that a component is in; null where it is in none. */
export const useHeldPlace = (): HeldPlace | null => useContext(HeldPlaceContext);

const holders = new Map<object, HeldPlace | null>();

/** Something is being dragged, or moved by a run of keys, in a part of the page. */
export const hold = (holder: object, place: HeldPlace | null): void => void holders.set(holder, place);
export const letGo = (holder: object): void => void holders.delete(holder);

/** Whether anything is held. */
export const isAnythingHeld = (): boolean => holders.size > 0;

/** Whether what is held is in a part of the page, and in no smaller part in that. */
export function isHeldIn(place: HeldPlace): boolean {
  for (const held of holders.values()) if (held === place) return true;
  return false;
}

import type { PixelPlace } from '@mint-lamp/core/document/pictures/picture';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { Latest } from '../../../../pixels/latest.ts';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';
import type { Aimed } from '../../../../pixels/pixel-worker.ts';
import { type Aim, LOUPE, reachOf } from './loupe.tsx';

export interface AimState {
  /** Where it is aimed at, with a crosshair; null while it is not, or while a thing with a mark of its own is moved. */
  readonly cross: PixelPlace | null;
  readonly aim: Aim | null;
}

/** What is aimed at. It changes with every move of the pointer, so only what shows it listens. */
export interface Aiming {
  readonly at: (place: PixelPlace | null, withCross?: boolean) => void;
  readonly state: () => AimState;
  readonly subscribe: (tell: () => void) => () => void;
}

const NOTHING: AimState = { cross: null, aim: null };

/** Asks what lies at a place, as fast as places come; the answer to the last is what counts. */
export function useAiming(picture: OpenedPicture): Aiming {
  const { aiming, stop } = useMemo(() => {
    let state = NOTHING;
    let wanted: PixelPlace | null = null;
    const listeners = new Set<() => void>();
    const set = (next: AimState) => {
      state = next;
      for (const tell of listeners) tell();
    };
    const size = LOUPE * Math.ceil(devicePixelRatio || 1);
    const latest = new Latest<PixelPlace, Aimed>(
      (place) => picture.aim(place, reachOf(place.side), size),
      (aimed, place) => {
        // The crosshair goes along with its answer, so that both are drawn at once.
        if (wanted) set({ cross: state.cross && place, aim: { ...aimed, place } });
      },
    );
    const made: Aiming = {
      at(place, withCross = false) {
        wanted = place;
        if (!place) return set(NOTHING);
        if (withCross !== (state.cross !== null)) set({ ...state, cross: withCross ? place : null });
        latest.want(place);
      },
      state: () => state,
      subscribe(tell) {
        listeners.add(tell);
        return () => listeners.delete(tell);
      },
    };
    return { aiming: made, stop: () => latest.stop() };
  }, [picture]);
  useEffect(() => stop, [stop]);
  return aiming;
}

export const useAimState = ({ subscribe, state }: Aiming): AimState => useSyncExternalStore(subscribe, state);

import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import type { Readout } from '@mint-lamp/core/judged/readout/readout';
import { useEffect } from 'react';
import { useMoving } from '../../../store/use-moving.ts';
import { knownOffer, offeredFor } from './repair-of.ts';

/** How long the page has to have nothing else to do before one is worked out, ms: between frames of a scroll it has less. */
const LEAST_IDLE_MS = 20;

/**
 * Has what is offered for failing pairs worked out before they come into the window, while the page has nothing else to do,
 * so that it is known when they do. `next` is asked for when there is time for it, nearest first.
 */
export function useOffersAhead(readout: Readout, next: () => Iterable<Measurement>): void {
  const moving = useMoving();
  useEffect(() => {
    // Where a browser does not tell when it has nothing to do, they are worked out as they come.
    if (moving || !('requestIdleCallback' in window)) return;
    let list: Iterator<Measurement> | null = null;
    let handle = requestIdleCallback(goOn);
    function goOn(idle: IdleDeadline): void {
      if (idle.timeRemaining() >= LEAST_IDLE_MS) {
        list ??= next()[Symbol.iterator]();
        let one = list.next();
        while (!one.done && (one.value.passes || one.value.awaited || knownOffer(readout, one.value)))
          one = list.next();
        if (one.done) return;
        offeredFor(readout, one.value);
      }
      handle = requestIdleCallback(goOn);
    }
    return () => cancelIdleCallback(handle);
  }, [readout, next, moving]);
}

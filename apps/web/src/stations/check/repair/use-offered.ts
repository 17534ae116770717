import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import type { Readout } from '@mint-lamp/core/judged/readout/readout';
import { useEffect, useReducer, useRef } from 'react';
import { useMoving } from '../../../store/use-moving.ts';
import { knownOffer, type Offered, offeredFor } from './repair-of.ts';

/** What may be worked out while rows are drawn, ms; the rest comes once they stand, one by one. */
const IN_FRAME_MS = 12;
/** A drawing is given up or done by then, ms. */
const DRAWN_WITHIN_MS = 1000;

let spent = 0;
let since = 0;

/** Works something out where there is time for it while rows are drawn, however many turns that takes; null where there is none. */
function inFrame<T>(work: () => T): T | null {
  if (performance.now() - since > DRAWN_WITHIN_MS) {
    since = performance.now();
    spent = 0;
  }
  if (spent >= IN_FRAME_MS) return null;
  const start = performance.now();
  const result = work();
  spent += performance.now() - start;
  return result;
}

const line: (() => void)[] = [];

function runNext(): void {
  const work = line.shift();
  // What comes next does not wait for ever where this one fails.
  if (line.length) setTimeout(runNext);
  work?.();
}

/** Has something done in its turn, a turn of the page each; the function takes it out again. */
function inTurn(work: () => void): () => void {
  line.push(work);
  if (line.length === 1) setTimeout(runNext);
  return () => {
    const at = line.indexOf(work);
    if (at !== -1) line.splice(at, 1);
  };
}

/**
 * What is offered for a failing pair; null for no pair, and for as long as it is not worked out: where much fails in a
 * large project the rows are there first. While something is dragged, what was offered before stands until it is let go:
 * the frames are left to what moves, and nothing below it jumps.
 */
export function useOffered(readout: Readout, measurement: Measurement | null): Offered | null {
  const [, redraw] = useReducer((n: number) => n + 1, 0);
  const moving = useMoving();
  const last = useRef<Offered | null>(null);
  const offered =
    measurement &&
    (knownOffer(readout, measurement) ??
      (moving ? last.current : inFrame(() => offeredFor(readout, measurement))));
  useEffect(() => {
    last.current = offered;
    // What was drawn stands; the next drawing has its own time.
    spent = 0;
  });
  const isMissing = measurement !== null && !offered && !moving;
  useEffect(() => {
    if (!measurement || !isMissing) return;
    return inTurn(() => {
      offeredFor(readout, measurement);
      redraw();
    });
  }, [readout, measurement, isMissing]);
  return offered;
}

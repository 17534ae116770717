import type { LayeredMeasuring } from '@mint-lamp/core/judged/pairs/layered';
import type { Readout } from '@mint-lamp/core/judged/readout/readout';
import type { System } from '@mint-lamp/core/system/resolve';
import { useEffect, useReducer, useRef } from 'react';
import { forMs, inTurns } from '../ui/turns.ts';
import { countedInParts, knownReadout, readoutFor } from './readouts.ts';
import { useLayers, useProjectId, useSystem, useTheme } from './selectors.ts';

/** What is counted at once, ms: all but very large systems, so that theirs is never behind. */
const AT_ONCE_MS = 4;
/** What is counted in one turn of the page, ms. */
const TURN_MS = 8;
/** Where counting takes longer than this, ms, it begins no oftener than every so many ms: frames are left to what moves. */
const COSTLY_MS = 2;
const EVERY_MS = 100;

type Layers = LayeredMeasuring | null;

interface Counted {
  readonly project: string;
  readonly readout: Readout;
}

let isCounting = false;
let wanted: { readonly project: string; readonly system: System; readonly layers: Layers } | null = null;
const listeners = new Set<(counted: Counted) => void>();

let begunAt = Number.NEGATIVE_INFINITY;
let isCostly = false;
let timer = 0;

/** Counts what is wanted last once it is time. */
function countLater(): void {
  timer ||= window.setTimeout(
    () => {
      timer = 0;
      if (!wanted || isCounting) return;
      const { project, system, layers } = wanted;
      const known = knownReadout(system, layers);
      if (known) {
        // Somebody else has counted it meanwhile.
        for (const listen of listeners) listen({ project, readout: known });
        return;
      }
      begunAt = performance.now();
      void countOn(project, countedInParts(system, layers));
    },
    begunAt + EVERY_MS - performance.now(),
  );
}

/** The readout of a system where it can be had at once; otherwise it is begun, and listeners are told. */
function readoutAtOnce(project: string, system: System, layers: Layers): Readout | undefined {
  const known = knownReadout(system, layers);
  if (known) return known;
  wanted = { project, system, layers };
  if (isCounting) return;
  const start = performance.now();
  if (isCostly && start < begunAt + EVERY_MS) {
    countLater();
    return;
  }
  begunAt = start;
  const parts = countedInParts(system, layers);
  const done = forMs(parts, AT_ONCE_MS);
  isCostly = performance.now() - start > COSTLY_MS;
  if (!done) void countOn(project, parts);
  return done?.value;
}

/**
 * Counts to the end what was begun, though the system may have changed meanwhile, so that what is shown goes on while
 * a key is held; then the latest.
 */
async function countOn(project: string, begun: Generator<void, Readout>): Promise<void> {
  isCounting = true;
  try {
    let parts = begun;
    let of = project;
    for (;;) {
      const counted = { project: of, readout: await inTurns(parts, TURN_MS) };
      for (const listen of listeners) listen(counted);
      if (!wanted || !listeners.size || knownReadout(wanted.system, wanted.layers)) return;
      of = wanted.project;
      parts = countedInParts(wanted.system, wanted.layers);
    }
  } finally {
    isCounting = false;
  }
}

/**
 * The readout of what is shown; with very large systems it follows a little behind an edit, so that the page is left to
 * what was edited. `behind` is whether it does.
 */
export function useFollowingReadout(): { readonly readout: Readout; readonly behind: boolean } {
  const project = useProjectId();
  const system = useSystem();
  const layers = useLayers();
  const { theme } = useTheme();
  const latest = useRef<Counted | null>(null);
  const [, draw] = useReducer((n: number) => n + 1, 0);
  const now = readoutAtOnce(project, system, layers);
  const isOfAnother = latest.current?.project !== project || !latest.current.readout.measured.has(theme.id);
  if (now || isOfAnother) latest.current = { project, readout: now ?? readoutFor(system, layers) };
  const { readout } = latest.current!;
  const behind = readout.system !== system || readout.layers !== layers;
  useEffect(() => {
    if (!behind) return;
    const listen = (counted: Counted) => {
      if (counted.project === project) latest.current = counted;
      draw();
    };
    listeners.add(listen);
    // It may have ended before anybody listened.
    if (knownReadout(system, layers) || !(isCounting || timer)) draw();
    return () => void listeners.delete(listen);
  }, [behind, project, system, layers]);
  return { readout, behind };
}

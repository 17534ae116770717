import type { Readout } from '@mint-lamp/core/judged/readout/readout';
import type { System } from '@mint-lamp/core/system/resolve';
import { useEffect, useReducer, useRef } from 'react';
import { forMs, inTurns } from '../ui/turns.ts';
import { useProjectId, useSystem, useTheme } from './selectors.ts';
import { knownReadout, readoutOfSystem, readoutOfSystemInParts } from './systems.ts';

/** What is counted at once, ms: all but very large systems, so that theirs is never behind. */
const AT_ONCE_MS = 4;
/** What is counted in one turn of the page, ms. */
const TURN_MS = 8;

interface Counted {
  readonly project: string;
  readonly readout: Readout;
}

let isCounting = false;
let wanted: { readonly project: string; readonly system: System } | null = null;
const listeners = new Set<(counted: Counted) => void>();

/** The readout of a system where it can be had at once; otherwise it is begun, and listeners are told. */
function readoutAtOnce(project: string, system: System): Readout | undefined {
  const known = knownReadout(system);
  if (known) return known;
  wanted = { project, system };
  if (isCounting) return;
  const parts = readoutOfSystemInParts(system);
  const done = forMs(parts, AT_ONCE_MS);
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
      if (!wanted || !listeners.size || knownReadout(wanted.system)) return;
      of = wanted.project;
      parts = readoutOfSystemInParts(wanted.system);
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
  const { theme } = useTheme();
  const latest = useRef<Counted | null>(null);
  const [, draw] = useReducer((n: number) => n + 1, 0);
  const now = readoutAtOnce(project, system);
  const isOfAnother = latest.current?.project !== project || !latest.current.readout.measured.has(theme.id);
  if (now || isOfAnother) latest.current = { project, readout: now ?? readoutOfSystem(system) };
  const { readout } = latest.current!;
  const behind = readout.system !== system;
  useEffect(() => {
    if (!behind) return;
    const listen = (counted: Counted) => {
      if (counted.project === project) latest.current = counted;
      draw();
    };
    listeners.add(listen);
    // It may have ended before anybody listened.
    if (!isCounting || knownReadout(system)) draw();
    return () => void listeners.delete(listen);
  }, [behind, project, system]);
  return { readout, behind };
}

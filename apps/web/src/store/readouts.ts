import { drain } from '@mint-lamp/core/in-parts/drain';
import type { LayeredMeasuring } from '@mint-lamp/core/judged/pairs/layered';
import { type Readout, readoutInParts } from '@mint-lamp/core/judged/readout/readout';
import type { System } from '@mint-lamp/core/system/resolve';

/** Readouts, each remembered with its system; a new one is counted from the one last asked for. */
const counted = new WeakMap<System, Readout>();
let last: Readout | undefined;

function took(readout: Readout): Readout {
  counted.set(readout.system, readout);
  last = readout;
  return readout;
}

/** The readout of a system, as far as it was counted. */
export function knownReadout(system: System, layers: LayeredMeasuring | null): Readout | undefined {
  const known = counted.get(system);
  return known?.layers === layers ? known : undefined;
}

export const readoutFor = (system: System, layers: LayeredMeasuring | null): Readout =>
  drain(countedInParts(system, layers));

/** Counts a readout with a stop now and then, after which it may have been counted elsewhere. */
export function* countedInParts(system: System, layers: LayeredMeasuring | null): Generator<void, Readout> {
  const counting = readoutInParts(system, last, layers);
  for (;;) {
    const known = knownReadout(system, layers);
    if (known) return took(known);
    const step = counting.next();
    if (step.done) return took(step.value);
    yield;
  }
}

import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type Readout, readoutInParts, readoutOf } from '@mint-lamp/core/judged/readout/readout';
import { resolveSystem, type System } from '@mint-lamp/core/system/resolve';
import { knownRegions } from './known-regions.ts';

/**
 * What documents come to, remembered with each document for as long as it is in use, so that what is shown, what
 * was before and what is proposed can be looked at side by side. A new one is worked out from the one last asked
 * for, which costs what differs between the two.
 */
const systems = new WeakMap<ProjectDocument, System>();
const readouts = new WeakMap<System, Readout>();
let lastSystem: System | undefined;
let lastReadout: Readout | undefined;

export function systemOf(document: ProjectDocument): System {
  let system = systems.get(document);
  const regions = knownRegions();
  if (!system || system.regions !== regions) {
    system = resolveSystem(document, system ?? lastSystem, regions);
    systems.set(document, system);
  }
  lastSystem = system;
  return system;
}

export const readoutOfDocument = (document: ProjectDocument): Readout => readoutOfSystem(systemOf(document));

export const readoutOfSystem = (system: System): Readout =>
  took(readouts.get(system) ?? readoutOf(system, lastReadout));

function took(readout: Readout): Readout {
  readouts.set(readout.system, readout);
  lastReadout = readout;
  return readout;
}

/** The readout of a system, as far as it was worked out. */
export const knownReadout = (system: System): Readout | undefined => readouts.get(system);

/** Works a readout out with a stop now and then, after which it may have been worked out elsewhere. */
export function* readoutOfSystemInParts(system: System): Generator<void, Readout> {
  const counting = readoutInParts(system, lastReadout);
  for (;;) {
    const known = readouts.get(system);
    if (known) return known;
    const step = counting.next();
    if (step.done) return took(step.value);
    yield;
  }
}

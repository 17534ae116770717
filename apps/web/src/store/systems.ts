import type { ProjectDocument } from '@mint-lamp/core/system/document';
import { type Readout, readoutOf } from '@mint-lamp/core/system/readout/readout';
import { resolveSystem, type System } from '@mint-lamp/core/system/resolve/resolve';
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

export function readoutOfDocument(document: ProjectDocument): Readout {
  const system = systemOf(document);
  let readout = readouts.get(system);
  if (!readout) {
    readout = readoutOf(system, lastReadout);
    readouts.set(system, readout);
  }
  lastReadout = readout;
  return readout;
}

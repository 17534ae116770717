import type { StationId } from '../addresses.ts';

const STATION_OF: Readonly<Record<string, StationId>> = {
  tray: 'gather',
  pictures: 'gather',
  relatives: 'gather',
  rounds: 'gather',
  recipes: 'grow',
  families: 'grow',
  roles: 'assign',
  themes: 'assign',
  pairs: 'check',
  declined: 'check',
  gradients: 'fade',
  scenes: 'stage',
  artworks: 'stage',
  delivery: 'deliver',
};

/** The station at which a kind of thing is worked on; null for what belongs to none, such as notes and the name. */
export const stationOfKind = (kind: string): StationId | null => STATION_OF[kind] ?? null;

import { type Gradient, type Stop, stopsOf } from './gradient.ts';

/** The stops of a gradient that point to each family and to each role. */
interface Pointers {
  readonly stops: readonly Stop[];
  readonly byFamily: ReadonlyMap<string, readonly number[]>;
  readonly byRole: ReadonlyMap<string, readonly number[]>;
}

// A gradient never changes, only its successor does.
const known = new WeakMap<Gradient, Pointers>();

/** What a gradient points to; worked out once. */
export function pointersOf(gradient: Gradient): Pointers {
  let pointers = known.get(gradient);
  if (pointers) return pointers;
  const byFamily = new Map<string, number[]>();
  const byRole = new Map<string, number[]>();
  const note = (map: Map<string, number[]>, key: string, stop: number) => {
    const list = map.get(key);
    if (list) list.push(stop);
    else map.set(key, [stop]);
  };
  const stops = stopsOf(gradient);
  stops.forEach(({ color }, i) => {
    if (color.to === 'shade' || color.to === 'base') note(byFamily, color.family, i);
    else if (color.to === 'role') note(byRole, color.role, i);
  });
  pointers = { stops, byFamily, byRole };
  known.set(gradient, pointers);
  return pointers;
}

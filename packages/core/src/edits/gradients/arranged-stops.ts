import { type Gradient, MOST_STOPS, type Stop, stopsOf } from '../../document/gradients/gradient.ts';
import { evenStops, reversedStops } from '../../gradient/geometry.ts';
import type { Hint, StopPlace } from '../../gradient/model.ts';

type Items = Gradient['stops'];

const isPercent = (items: Items) =>
  items.every((item) =>
    (item.kind === 'hint' ? [item.place] : item.places).every(({ unit }) => unit === '%'),
  );

/** The stops at even distances from 0 to 100 %, each in one place; hints go. */
export const evenlySpaced = ({ stops }: Gradient): Items => evenStops<Stop>(stops);

/** The other way round: what was at 0 % is at 100 %. Null where a place is in px, whose other end is not known. */
export const turnedRound = ({ stops }: Gradient): Items | null =>
  isPercent(stops) ? reversedStops<Stop>(stops) : null;

const half = ({ value, unit }: StopPlace): StopPlace => ({ value: value / 2, unit });
const halved = (item: Stop | Hint): Stop | Hint =>
  item.kind === 'hint'
    ? { kind: 'hint', place: half(item.place) }
    : { ...item, places: item.places.map(half) as unknown as Stop['places'] };

/**
 * There and back again: the stops in the first half, and the same the other way round in the second. The stop in the
 * middle is there once. Null where a place is in px, or where that would be too many stops. `newId` makes ids.
 */
export function mirrored({ stops }: Gradient, newId: () => string): Items | null {
  const list = stopsOf({ stops } as Gradient);
  if (!isPercent(stops) || list.length * 2 - 1 > MOST_STOPS) return null;
  const there = stops.map(halved);
  const back = reversedStops<Stop>(there);
  const [, ...rest] = back;
  const last = list[list.length - 1]!;
  // A stop that does not end at the middle stands on both sides of it.
  const tail = last.places[last.places.length - 1]!.value === 100 ? rest : back;
  return [...there, ...tail.map((item) => (item.kind === 'stop' ? { ...item, id: newId() } : item))];
}

/** The colours one stop further, the last one's at the first; places stay. */
export function rotatedColors({ stops }: Gradient): Items {
  const list = stopsOf({ stops } as Gradient);
  const colors = list.map((_, i) => list[(i + list.length - 1) % list.length]!.color);
  let next = 0;
  return stops.map((item) => (item.kind === 'hint' ? item : { ...item, color: colors[next++]! }));
}

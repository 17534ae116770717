import { type Gradient, percents, type Stop } from '../../document/gradients/gradient.ts';
import type { Hint, StopPlace } from '../../gradient/model.ts';
import { clamp } from '../../numbers/clamp.ts';

type Items = Gradient['stops'];

/** Where an item of a gradient can stand without one that comes before another lying behind it, percent. */
interface Room {
  readonly from: number;
  readonly to: number;
}

/** The room between the items beside one; an item in px leaves all of the line. */
function roomAt(items: Items, at: number): Room {
  const before = items
    .slice(0, at)
    .reverse()
    .map(percents)
    .find((one) => one !== null);
  const after = items
    .slice(at + 1)
    .map(percents)
    .find((one) => one !== null);
  return { from: before?.[1] ?? 0, to: after?.[0] ?? 100 };
}

const held = (value: number, { from, to }: Room) => clamp(value, from, to);
const percent = (value: number): StopPlace => ({ value: Math.round(value * 100) / 100, unit: '%' });
const indexOf = (items: Items, stop: string) =>
  items.findIndex((item) => item.kind === 'stop' && item.id === stop);

/** The hint between a stop and the next, where the middle of their change lies; null where it lies half way. */
export function middleAfter({ stops }: Pick<Gradient, 'stops'>, stop: string): StopPlace | null {
  const next = stops[indexOf(stops, stop) + 1];
  return next?.kind === 'hint' ? next.place : null;
}

/** The stops with the middle of the change after one at a place in percent, held between the two; half way for null. */
export function withMiddle({ stops }: Pick<Gradient, 'stops'>, stop: string, place: number | null): Items {
  const at = indexOf(stops, stop);
  const known = stops[at + 1]?.kind === 'hint';
  const rest = known ? [...stops.slice(0, at + 1), ...stops.slice(at + 2)] : [...stops];
  // After the last stop there is nothing to be in the middle of.
  if (place === null || at < 0 || at >= rest.length - 1) return rest;
  const room: Room = {
    from: percents(rest[at]!)?.[1] ?? 0,
    to: percents(rest[at + 1]!)?.[0] ?? 100,
  };
  const hint: Hint = { kind: 'hint', place: percent(held(place, room)) };
  return [...rest.slice(0, at + 1), hint, ...rest.slice(at + 1)];
}

/**
 * The places of a stop that is flat up to a place in percent, held before what comes next; of one place again for null.
 * Of a stop in px they stay as they are.
 */
export function withEnd(
  { stops }: Pick<Gradient, 'stops'>,
  stop: string,
  end: number | null,
): Stop['places'] | null {
  const at = indexOf(stops, stop);
  const item = stops[at];
  if (item?.kind !== 'stop') return null;
  const [first] = item.places;
  if (end === null) return [first];
  if (first.unit !== '%') return item.places;
  const { to } = roomAt(stops, at);
  return [first, percent(held(end, { from: first.value, to }))];
}

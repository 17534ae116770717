import { clamp } from '@mint-lamp/core/numbers/clamp';

/** Percent that a post goes to by itself when it comes near: every fifth, and the middle of its neighbours. */
const EVERY = 5;

/**
 * Where a post lands that is brought to a place, in percent of the line: on a multiple of five or on the middle between
 * its neighbours where one of them is nearer than `reach`, else where it is, in tenths. It stays between 0 and 100.
 */
export function snapped(
  to: number,
  neighbours: readonly [before: number | null, after: number | null],
  reach: number,
): number {
  const held = clamp(to, 0, 100);
  const [before, after] = neighbours;
  const middle = ((before ?? 0) + (after ?? 100)) / 2;
  const places = [Math.round(held / EVERY) * EVERY, middle];
  const nearest = places.reduce((a, b) => (Math.abs(b - held) < Math.abs(a - held) ? b : a));
  const landed = Math.abs(nearest - held) <= reach ? nearest : held;
  return Math.round(landed * 10) / 10;
}

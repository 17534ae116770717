import type { Stored } from '../stored.ts';

/** A growth, whose ground can be linked since version 4. */
export function growth(old: Stored): Stored {
  return typeof old.ground === 'string' ? { ...old, ground: { to: 'color', color: old.ground } } : old;
}

/** A family, which can follow others since version 4. */
export const family = (old: Stored): Stored => ({
  ...old,
  follows: null,
  growth: growth(old.growth as Stored),
});

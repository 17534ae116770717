import type { Gradient } from './gradient.ts';

// A list of gradients never changes, only its successor does.
const known = new WeakMap<readonly Gradient[], ReadonlySet<string>>();

/** The ids of a list of gradients; the same set as that of an earlier list with the same ones. */
export function gradientIds(list: readonly Gradient[], before?: readonly Gradient[]): ReadonlySet<string> {
  const own = known.get(list);
  if (own) return own;
  const old = before && known.get(before);
  const ids =
    old?.size === list.length && list.every(({ id }) => old.has(id))
      ? old
      : new Set(list.map(({ id }) => id));
  known.set(list, ids);
  return ids;
}

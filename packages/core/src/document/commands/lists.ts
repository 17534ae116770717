import { Refusal } from './refusal.ts';

/** Pure edits of lists of things with ids, shared by the commands. */

interface Identified {
  readonly id: string;
}

/** Index of the thing with an id; refuses when it is gone. `what` is its word in messages. */
export function indexOf(list: readonly Identified[], id: string, what: string): number {
  const index = list.findIndex((item) => item.id === id);
  if (index === -1) throw new Refusal(`This ${what} no longer exists.`);
  return index;
}

/** The list with a new thing in it; refuses a known id and a full list. An index beyond the end is the end. */
export function inserted<T extends Identified>(
  list: readonly T[],
  item: T,
  index: number | undefined,
  limit: number,
  what: string,
): T[] {
  if (list.some((other) => other.id === item.id)) throw new Refusal(`This ${what} exists already.`);
  if (list.length >= limit) throw new Refusal(`A project holds at most ${limit} of these: ${what}.`);
  const at = Math.min(index ?? list.length, list.length);
  return [...list.slice(0, at), item, ...list.slice(at)];
}

export function without<T>(list: readonly T[], index: number): T[] {
  return [...list.slice(0, index), ...list.slice(index + 1)];
}

export function replaced<T>(list: readonly T[], index: number, item: T): T[] {
  const copy = [...list];
  copy[index] = item;
  return copy;
}

/** The list with the thing at `from` moved to `to` (its index afterwards). */
export function moved<T>(list: readonly T[], from: number, to: number): T[] {
  const rest = without(list, from);
  const at = Math.min(to, rest.length);
  return [...rest.slice(0, at), list[from]!, ...rest.slice(at)];
}

/** The record without a key. */
export function omit<T>(record: Readonly<Record<string, T>>, key: string): Record<string, T> {
  const { [key]: _, ...rest } = record;
  return rest;
}

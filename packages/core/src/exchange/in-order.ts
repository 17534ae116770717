/**
 * A value whose records have their keys in the order of the alphabet, however they came to be: what a document says does
 * not depend on that order, and so does no file of it.
 */
export function inOrder<T>(value: T): T {
  if (Array.isArray(value)) return value.map(inOrder) as T;
  if (typeof value !== 'object' || value === null) return value;
  const keys = Object.keys(value).sort((a, b) => (a < b ? -1 : 1));
  return Object.fromEntries(keys.map((key) => [key, inOrder((value as Record<string, unknown>)[key])])) as T;
}

/** Whether two values of plain JSON say the same; a key without a value is no key. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [one, other] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = new Set([...Object.keys(one), ...Object.keys(other)]);
  for (const key of keys) if (!sameJson(one[key], other[key])) return false;
  return true;
}

import { diffArrays } from 'diff';

/** Lines of a file of which changes are looked for; of larger ones it would take too long. */
const MOST_LINES = 20_000;

/** Numbers, from 0, of the lines of a text that were not in another, in order; null where there are too many to say. */
export function changedLines(before: string, after: string): number[] | null {
  if (before === after) return [];
  const [old, now] = [before.split('\n'), after.split('\n')];
  if (old.length > MOST_LINES || now.length > MOST_LINES) return null;
  const parts = diffArrays(old, now, { timeout: 1000 });
  if (!parts) return null;
  const changed: number[] = [];
  let at = 0;
  for (const { value, added, removed } of parts) {
    if (removed) continue;
    if (added) for (let i = 0; i < value.length; i++) changed.push(at + i);
    at += value.length;
  }
  return changed;
}

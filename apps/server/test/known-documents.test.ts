import { expect, it } from 'vitest';
import { type KnownDocument, KnownDocuments, newest } from '../src/database/known-documents.ts';
import type { SizedEntry } from '../src/database/log.ts';

/** Entries of a log of some characters each. */
const log = (sizes: readonly number[]): SizedEntry[] => {
  let sizeTo = 0;
  return sizes.map((size, i) => {
    sizeTo += size;
    const entry = { id: String(i), revision: i + 1, command: { type: 'renameProject', name: '' } } as const;
    return { entry, sizeTo };
  });
};
const known = (size: number, recent: readonly SizedEntry[] = []) =>
  ({ size, recent }) as unknown as KnownDocument;

it('remembers of a log what is small, and of large entries only the newest', () => {
  expect(newest([], log(Array(700).fill(100)))).toHaveLength(500);
  const large = newest([], log(Array(270).fill(1_900_000)));
  expect(large.length).toBeLessThanOrEqual(1);
  const mixed = newest(log(Array(20).fill(400_000)), []);
  expect(mixed.map(({ entry }) => entry.revision)).toEqual([19, 20]);
  // What is left has no gap, and ends with the newest.
  const after = newest(log([10, 2_000_000, 10, 10]), []);
  expect(after.map(({ entry }) => entry.revision)).toEqual([3, 4]);
});

it('remembers documents up to a size over all projects, the one in use always', () => {
  const memory = new KnownDocuments();
  for (let i = 0; i < 100; i++) memory.set(String(i), known(3_000_000));
  expect(memory.remembered).toBeLessThanOrEqual(40_000_000);
  expect([memory.get('99') !== undefined, memory.get('0')]).toEqual([true, undefined]);
  memory.set('huge', known(90_000_000));
  expect(memory.get('huge')).toBeDefined();
  memory.set('huge', known(10, log([5, 10, 10])));
  expect(memory.remembered).toBe(30);
  memory.delete('huge');
  expect(memory.remembered).toBe(0);
});

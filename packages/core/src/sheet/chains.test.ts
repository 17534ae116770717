import { expect, it, test } from 'vitest';
import { readSheet } from './sheet-system.ts';

const chain = (n: number, turned: boolean) => {
  const lines = Array.from({ length: n }, (_, i) =>
    i === n - 1 ? `--v${i}: #123456;` : `--v${i}: var(--v${i + 1});`,
  );
  return `:root {${(turned ? lines.reverse() : lines).join('\n')}}`;
};

test.each([
  [5000, false],
  [5000, true],
  [20_000, false],
])('a chain of %i properties is read whole, whichever way it is written (turned: %s)', (n, turned) => {
  const system = readSheet(chain(n, turned));
  expect(system?.roles).toHaveLength(n);
});

it('a circle comes to nothing, and what points into it neither', () => {
  const system = readSheet(
    ':root { --a: var(--b); --b: var(--c); --c: var(--a); --into: var(--a); --good: #123456; --on: var(--good); }',
  );
  expect(system?.roles.map(({ property }) => property)).toEqual(['--good', '--on']);
});

import { expect, it, test } from 'vitest';
import { applyCommand } from '../document/commands/apply.ts';
import { emptyDocument } from '../document/document.ts';
import { MOST_ROLES } from '../document/limits.ts';
import { resolveSystem } from '../system/resolve.ts';
import { adoptSheet, wholeOf } from './adopt.ts';
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
  const system = readSheet(chain(n, turned))!;
  // What is beyond as many roles as a project has is counted, and those that led to it have its colour.
  expect(system.roles).toHaveLength(MOST_ROLES);
  expect(system.propertiesBeyond).toBe(n - MOST_ROLES);
  const empty = emptyDocument('Chain', [{ id: 'none', name: 'None' }]);
  let ids = 0;
  const { command } = adoptSheet(empty, system, wholeOf(system), () => `n${++ids}`)!;
  const result = applyCommand(empty, command);
  if (!result.ok) throw new Error(result.reason);
  const [theme] = resolveSystem(result.document).themes.values();
  const colors = new Set([...theme!.roles.values()].map(({ color }) => color?.css));
  expect(colors).toEqual(new Set(['#123456']));
});

it('a circle comes to nothing, and what points into it neither', () => {
  const system = readSheet(
    ':root { --a: var(--b); --b: var(--c); --c: var(--a); --into: var(--a); --good: #123456; --on: var(--good); }',
  );
  expect(system?.roles.map(({ property }) => property)).toEqual(['--good', '--on']);
});

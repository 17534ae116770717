import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { roleMoved, rolesMoved } from './arrange-roles.ts';

const { roles } = SKERRY_LINE;
const ids = roles.map(({ id }) => id);
const batch = (commands: ReturnType<typeof roleMoved>) =>
  commands.length ? after(SKERRY_LINE, { type: 'batch', label: 'move', commands }) : SKERRY_LINE;

describe('putting roles elsewhere', () => {
  it('puts one role before another and into its group, and nothing else is touched', () => {
    const [first, , third] = roles;
    const next = batch(roleMoved(roles, ids[7]!, third!.id, first!.group));
    expect(next.roles.map(({ id }) => id)).toEqual([
      ...ids.slice(0, 2),
      ids[7],
      ...ids.slice(2, 7),
      ...ids.slice(8),
    ]);
    expect(next.roles[2]).toEqual({ ...roles[7], group: first!.group });
    expect(roleMoved(roles, ids[3]!, ids[4]!, roles[3]!.group)).toEqual([]);
  });

  it('puts any run of roles before any other, in their order', () => {
    fc.assert(
      fc.property(fc.nat(ids.length - 1), fc.nat(6), fc.nat(ids.length), (from, count, to) => {
        const moving = ids.slice(from, from + count + 1);
        const before = ids[to] ?? null;
        const next = batch(rolesMoved(roles, moving, before)).roles.map(({ id }) => id);
        const rest = ids.filter((id) => !moving.includes(id));
        const at = before === null ? rest.length : rest.indexOf(before);
        const isInside = before !== null && moving.includes(before);
        expect(next).toEqual(isInside ? ids : [...rest.slice(0, at), ...moving, ...rest.slice(at)]);
      }),
      { numRuns: runs(1000) },
    );
  });
});

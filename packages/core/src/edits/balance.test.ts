import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { after } from '../document/commands/after.fixture.ts';
import { balanceOf } from '../judged/balance.ts';
import { readoutOf } from '../judged/readout/readout.ts';
import { resolveSystem } from '../system/resolve.ts';
import { balanceWays, familyOfRole } from './balance.ts';

const of = (...shares: readonly (readonly [string, number])[]) => balanceOf(new Map(shares));

describe('the balance of areas', () => {
  it('is off nothing at 60 / 30 / 10, whatever the order and whatever is unpainted', () => {
    expect(of(['b', 0.3], ['c', 0.1], ['a', 0.6])).toMatchObject({ inTheWay: null });
    const half = of(['a', 0.3], ['b', 0.15], ['c', 0.05]);
    expect([half.off < 1e-12, half.inTheWay]).toEqual([true, null]);
    expect(half.families.map(({ key }) => key)).toEqual(['a', 'b', 'c']);
  });

  it('is off by what one covers too much, and says which is most in the way', () => {
    const one = of(['a', 0.9], ['b', 0.1]);
    expect(one.off).toBeCloseTo(0.3);
    expect(one.inTheWay).toMatchObject({ key: 'a' });
    const four = of(['a', 0.5], ['b', 0.25], ['c', 0.1], ['d', 0.15]);
    expect(four.inTheWay?.key).toBe('c');
    expect(of().off).toBe(0);
  });

  it('is off 0–1, as much as is covered too little elsewhere', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.001, max: 1, noNaN: true }), { minLength: 1, maxLength: 9 }),
        (list) => {
          const { off, families } = balanceOf(new Map(list.map((share, i) => [String(i), share])));
          const short = [0.6, 0.3, 0.1].reduce(
            (sum, want, i) => sum + Math.max(0, want - (families[i]?.share ?? 0)),
            0,
          );
          expect(off).toBeGreaterThanOrEqual(0);
          expect(off).toBeLessThanOrEqual(1);
          expect(off).toBeCloseTo(short, 9);
        },
      ),
    );
  });
});

describe('what would bring it nearer', () => {
  const readout = readoutOf(resolveSystem(SKERRY_LINE));
  const day = readout.system.themes.get('day')!;
  const shares = new Map([
    ['page-ground', 0.55],
    ['page-raised', 0.2],
    ['text-main', 0.05],
    ['page-sunken', 0.2],
  ]);
  const ways = balanceWays(readout, day, shares, 'plain');

  it('is a role in another family, as light, that makes no pair fail, the best first', () => {
    expect(ways.length).toBeGreaterThan(0);
    expect(ways.map(({ offThen }) => offThen)).toEqual(
      ways.map(({ offThen }) => offThen).sort((a, b) => a - b),
    );
    for (const way of ways) {
      expect(way.offThen).toBeLessThan(way.off);
      const then = readoutOf(resolveSystem(after(SKERRY_LINE, way.command)));
      expect(then.passingOverall - readout.passingOverall).toBe(way.passing);
      expect(way.passing).toBeGreaterThanOrEqual(0);
      // What it says it comes to is what it comes to.
      const moved = new Map<string, number>();
      for (const [role, share] of shares) {
        const family = familyOfRole(then.system.themes.get('day')!, role, 'plain');
        moved.set(family, (moved.get(family) ?? 0) + share);
      }
      expect(balanceOf(moved).off).toBeCloseTo(way.offThen, 9);
    }
  });

  it('is nothing where nothing is off', () => {
    expect(balanceWays(readout, day, new Map(), 'plain')).toEqual([]);
  });
});

import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../commands/after.fixture.ts';
import { allMeasurements, readoutOf } from '../readout/readout.ts';
import { resolveSystem } from '../resolve/resolve.ts';
import { waysOf } from './ways.ts';

const demo = readoutOf(resolveSystem(SKERRY_LINE));
const failing = allMeasurements(demo).filter(({ passes }) => !passes);

describe('the ways to mend a pair', () => {
  it('are several for each failing pair, pass as they say, and do to others what they say', () => {
    expect(failing).toHaveLength(3);
    const kinds = new Set<string>();
    for (const one of failing) {
      const ways = waysOf(demo, one);
      expect(ways.length).toBeGreaterThan(1);
      for (const way of ways) {
        kinds.add(way.key.split(' ')[0]!);
        const next = readoutOf(resolveSystem(after(SKERRY_LINE, way.command)));
        const list = next.measured.get(one.theme)!.measurements;
        const now = list.find(({ pair }) => pair.id === one.pair.id)!;
        expect([now.passes, now.ratio]).toEqual([true, way.ratio]);
        expect([now.text, now.ground]).toMatchObject(
          [way.text, way.ground].map(({ r, g, b }) => ({ r, g, b })),
        );
        expect(next.passingOverall - demo.passingOverall).toBe(way.mended - way.broken);
        expect(way.mended).toBeGreaterThan(0);
      }
    }
    expect([...kinds].sort()).toEqual(['base', 'plain', 'shade']);
  });

  it('are none for a pair that passes, and for one with a broken link', () => {
    expect(waysOf(demo, allMeasurements(demo).find(({ passes }) => passes)!)).toEqual([]);
    const broken = readoutOf(resolveSystem(after(SKERRY_LINE, { type: 'removeFamily', family: 'shingle' })));
    for (const one of allMeasurements(broken).filter(({ text }) => !text))
      expect(waysOf(broken, one)).toEqual([]);
  });

  it('move a base no farther than it must', () => {
    const way = failing.flatMap((one) => waysOf(demo, one)).find(({ key }) => key.startsWith('base'))!;
    expect(way.command.type).toBe('setBase');
    expect(way.name).toMatch(/^a (darker|lighter) base of \w+, #[\da-f]{6}$/);
    expect(way.ratio).toBeLessThan(6);
  });
});

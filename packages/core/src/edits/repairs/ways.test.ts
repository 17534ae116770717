import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { emptyDocument } from '../../document/document.ts';
import { allMeasurements, readoutOf } from '../../judged/readout/readout.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { firstSystem } from '../first-system.ts';
import { STARTER_PARTS } from '../roles/starter-parts.ts';
import { firstWay, type Way, waysOf } from './ways.ts';

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

  it('stand with those first that break nothing, of them those that mend most; so does the one that is offered at once', () => {
    for (const one of failing) {
      const ways = waysOf(demo, one);
      const rank = ({ broken, mended }: Way) => broken * 1000 - mended;
      expect(ways.map(rank)).toEqual(ways.map(rank).sort((a, b) => a - b));
      const first = firstWay(demo, one)!;
      expect(first.broken).toBeLessThanOrEqual(Math.min(...ways.map(({ broken }) => broken)));
      expect(ways.map(({ key }) => key)).toContain(first.key);
    }
  });

  it('tell what breaks of a system whose base was moved, before it is pressed', () => {
    let n = 0;
    const empty = emptyDocument('Bakery', [
      { id: 'light', name: 'Light' },
      { id: 'dark', name: 'Dark' },
    ]);
    const { command } = firstSystem(
      empty,
      {
        colors: [{ name: 'Crust', color: '#2f6f4e' }],
        leads: 0,
        accent: null,
        calm: 0.5,
        level: 'AA',
        parts: new Set(STARTER_PARTS),
      },
      () => `n${n++}`,
    );
    const made = after(empty, command);
    const family = made.families.find(({ base }) => base === '#2f6f4e')!;
    const moved = after(made, { type: 'setBase', family: family.id, color: '#8fd6ae' });
    const readout = readoutOf(resolveSystem(moved));
    const failures = allMeasurements(readout).filter(({ passes, text }) => !passes && text);
    expect(failures.length).toBeGreaterThan(0);
    for (const one of failures) {
      const first = firstWay(readout, one)!;
      const next = readoutOf(resolveSystem(after(moved, first.command)));
      expect(next.passingOverall - readout.passingOverall).toBe(first.mended - first.broken);
      const others = waysOf(readout, one);
      if (others.some(({ broken }) => !broken)) expect(first.broken).toBe(0);
    }
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

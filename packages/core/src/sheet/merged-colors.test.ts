import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../test/runs.ts';
import { differenceOf, paint } from '../system/painted.ts';
import { mergeColors } from './merged-colors.ts';

const channel = fc.integer({ min: 0, max: 255 });
/** In a corner of sRGB, so that many lie near each other. */
const near = fc.integer({ min: 90, max: 110 });
const hex = ([r, g, b]: readonly number[]) =>
  `#${((r! << 16) | (g! << 8) | b!).toString(16).padStart(6, '0')}`;
const color = fc.oneof(fc.tuple(channel, channel, channel), fc.tuple(near, near, near)).map(hex);
const colors = fc.uniqueArray(fc.record({ color, count: fc.integer({ min: 1, max: 9 }) }), {
  maxLength: 60,
  selector: (one) => one.color,
});
const distance = (a: string, b: string) => differenceOf(paint(a), paint(b));

describe('colours that give way', () => {
  it('go to the nearest of all that are used more often and stay; those that stay have none near', () => {
    let merges = 0;
    fc.assert(
      fc.property(
        colors,
        fc.double({ min: 0.0001, max: 0.4, noNaN: true }),
        fc.uniqueArray(color, { maxLength: 4 }),
        (all, farthest, anchors) => {
          const { kept, merged } = mergeColors(all, farthest, anchors);
          expect(kept.length + merged.length).toBe(all.length);
          const into = new Map(merged.map((one) => [one.color, one]));
          const staying = [...anchors];
          for (const one of [...all].sort((a, b) => b.count - a.count)) {
            if (anchors.includes(one.color)) continue;
            const least = Math.min(...staying.map((other) => distance(one.color, other)));
            const gave = into.get(one.color);
            if (gave) {
              merges += 1;
              expect(staying).toContain(gave.into);
              expect(gave.distance).toBe(distance(one.color, gave.into));
              expect(gave.distance).toBe(least);
              expect(least).toBeLessThanOrEqual(farthest);
            } else {
              if (!/^#(000000|ffffff)$/.test(one.color)) expect(least).toBeGreaterThan(farthest);
              staying.push(one.color);
            }
          }
        },
      ),
      { numRuns: runs(3000) },
    );
    expect(merges).toBeGreaterThan(200);
  });

  it('stay at a distance of 0, but for what is painted the same', () => {
    const { kept, merged } = mergeColors(
      [
        { color: '#0b5f6b', count: 3 },
        { color: '#0b5f6c', count: 2 },
        { color: 'rgb(11 95 107)', count: 1 },
      ],
      0,
      [],
    );
    expect(kept.map((one) => one.color)).toEqual(['#0b5f6b', '#0b5f6c']);
    expect(merged).toEqual([{ color: 'rgb(11 95 107)', count: 1, into: '#0b5f6b', distance: 0 }]);
  });
});

import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { runs } from '../../test/runs.ts';
import { describeColor } from '../color/describe.ts';
import { fromRgb8 } from '../color/parse.ts';
import { indexNames, type NameIndex, shippedNames } from './names.ts';

const channel = fc.integer({ min: 0, max: 255 });
const small = indexNames([
  { name: 'Deep Water', hex: '#0b5f6b' },
  { name: 'Water', hex: '#3a8fb0' },
  { name: 'Café au lait', hex: '#a67b5b' },
]);

describe('names', () => {
  let shipped: NameIndex;
  beforeAll(async () => {
    shipped = await shippedNames();
  });

  it('finds the nearest, as trying all would', () => {
    const list = Array.from({ length: 200 }, (_, i) => ({
      name: `n${i}`,
      hex: `#${((i * 83_777) % 0xffffff).toString(16).padStart(6, '0')}`,
    }));
    const index = indexNames(list);
    fc.assert(
      fc.property(channel, channel, channel, (r, g, b) => {
        const best = Math.min(...list.map((item) => indexNames([item]).nearest(r, g, b).difference));
        expect(index.nearest(r, g, b).difference).toBeCloseTo(best, 12);
      }),
      { numRuns: 50 },
    );
    expect(small.nearest(11, 95, 107)).toMatchObject({ name: 'Deep Water', difference: 0 });
  });

  it('has a near name in the shipped list for any colour', () => {
    fc.assert(
      fc.property(channel, channel, channel, (r, g, b) => {
        expect(shipped.nearest(r, g, b).difference).toBeLessThan(0.05);
      }),
    );
  });

  it('searches by words, accents and case aside, best first', () => {
    expect(small.search('WATER').map((item) => item.name)).toEqual(['Water', 'Deep Water']);
    expect(small.search('lait cafe')).toMatchObject([{ hex: '#a67b5b' }]);
    expect(small.search('  ')).toEqual([]);
    expect(shipped.search('blue', 10)).toHaveLength(10);
    expect(() => indexNames([])).toThrow(RangeError);
  });
});

describe('descriptions', () => {
  it('are plain words for any colour, and change by a word at most when a channel moves by one', () => {
    fc.assert(
      fc.property(channel, channel, channel, fc.constantFrom(0, 1, 2), (r, g, b, i) => {
        const words = describeColor(fromRgb8(r, g, b));
        expect(words).toMatch(/^[a-z -]+$/);
        const moved = [r, g, b];
        moved[i] = Math.min(255, moved[i]! + 1);
        const [a, c] = [words, describeColor(fromRgb8(moved[0]!, moved[1]!, moved[2]!))].map(
          (text) => new Set(text.split(' ')),
        );
        const different = [...a!].filter((word) => !c!.has(word)).length;
        expect(different).toBeLessThanOrEqual(2);
      }),
      { numRuns: runs(2000) },
    );
  });
});

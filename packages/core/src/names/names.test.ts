import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { format, isPlain, NOT_PLAIN, plainNames } from '../../names/plain.ts';
import { runs } from '../../test/runs.ts';
import { describeColor } from '../color/describe.ts';
import { rgbToOklab } from '../color/kernel.ts';
import { fromRgb8 } from '../color/parse.ts';
import { channelsOf, indexNames, nameOf, shippedNames } from './names.ts';
import { PLAIN_NAMES } from './plain-names.ts';

const channel = fc.integer({ min: 0, max: 255 });
const small = indexNames([
  { name: 'Deep Water', hex: '#0b5f6b' },
  { name: 'Water', hex: '#3a8fb0' },
  { name: 'Café au lait', hex: '#a67b5b' },
]);

describe('names', () => {
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

  it('searches by words, accents and case aside, best first', () => {
    expect(small.search('WATER').map((item) => item.name)).toEqual(['Water', 'Deep Water']);
    expect(small.search('lait cafe')).toMatchObject([{ hex: '#a67b5b' }]);
    expect(small.search('  ')).toEqual([]);
    expect(shippedNames().search('blue', 10)).toHaveLength(10);
    expect(() => indexNames([])).toThrow(RangeError);
  });
});

describe('the names that ship', () => {
  const lines = PLAIN_NAMES.trim().split(/[,\n]/);

  it('are plain, every one of them, and once there', () => {
    expect(lines.length).toBeGreaterThan(2500);
    for (const line of lines) {
      expect(line).toMatch(/^[0-9a-f]{6}[A-Z][A-Za-z ]+$/);
      expect(isPlain(line.slice(6)), line).toBe(true);
    }
    expect(new Set(lines.map((line) => line.slice(6))).size).toBe(lines.length);
    for (const phrase of NOT_PLAIN) expect(isPlain(phrase), phrase).toBe(false);
  });

  it('are those that the reviewed words make', () => {
    expect(readFileSync(new URL('plain-names.ts', import.meta.url), 'utf8')).toBe(format(plainNames()));
  });

  it.each([
    ['a word that nobody has read', 'Acid Pops'],
    ['a word twice', 'Blue Blue Sky'],
    ['what is called after something, with more around it', 'Light Vanilla Ice'],
    ['more than three words', 'Light Soft Deep Sea'],
    ['digits or signs', 'Grey 3'],
  ])('leave out %s', (_, name) => {
    expect(isPlain(name)).toBe(false);
  });

  it('are found near a colour, the nearest first', () => {
    fc.assert(
      fc.property(channel, channel, channel, (r, g, b) => {
        const [l, a, b2] = rgbToOklab(r, g, b);
        const found = shippedNames().near(r, g, b, 12);
        const away = found.map(({ hex }) => {
          const [ownL, ownA, ownB] = rgbToOklab(...channelsOf(hex));
          return Math.hypot(ownL - l, ownA - a, ownB - b2);
        });
        expect(found).toHaveLength(12);
        expect(away[0]).toBeCloseTo(shippedNames().nearest(r, g, b).difference, 12);
        expect([...away].sort((x, y) => x - y)).toEqual(away);
      }),
      { numRuns: runs(50) },
    );
  });

  it('name any colour by a near one, or by what it looks like; always alike', () => {
    fc.assert(
      fc.property(channel, channel, channel, (r, g, b) => {
        const { name, difference } = shippedNames().nearest(r, g, b);
        const given = nameOf(fromRgb8(r, g, b));
        const words = describeColor(fromRgb8(r, g, b));
        expect(given.toLowerCase()).toBe(difference <= 0.05 ? name.toLowerCase() : words);
        expect(given).toMatch(/^[A-Z]/);
      }),
      { numRuns: runs(1000) },
    );
    expect(nameOf(fromRgb8(0, 0, 0))).toBe('Black');
    expect(nameOf(fromRgb8(255, 255, 255))).toBe('White');
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

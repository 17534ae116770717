import { fromRgb8 } from '@mint-lamp/core/color/parse';
import { emptyDocument } from '@mint-lamp/core/document/document';
import { documentSchema } from '@mint-lamp/core/document/document-schema';
import { drawnFrom } from '@mint-lamp/core/family/drawn';
import { growShades, USUAL_GROWTH } from '@mint-lamp/core/family/growth';
import { describe, expect, it, test } from 'vitest';
import { evenRatios, GROWTH_KINDS, growthOfKind, kindOf, withCount } from './growth-kinds.ts';

const WHITE = { r: 255, g: 255, b: 255, alpha: 1 };

const START = {
  ground: WHITE,
  drawn: () => drawnFrom(growShades(fromRgb8(60, 125, 58), USUAL_GROWTH)),
};

describe('kinds of growth', () => {
  test.each(GROWTH_KINDS)('$value keeps the labels and makes a document that is valid', ({ value }) => {
    const growth = growthOfKind(value, USUAL_GROWTH, START);
    expect(kindOf(growth)).toBe(value);
    expect(growth.labels).toEqual(USUAL_GROWTH.labels);
    const family = { id: 'f', name: 'Kelp', base: '#3c7d3a', follows: null, growth, handSet: {} };
    const doc = { ...emptyDocument('Skerry Line', [{ id: 'day', name: 'Day sailing' }]), families: [family] };
    expect(documentSchema.validate(doc).error).toBeUndefined();
  });
});

describe('even ratios', () => {
  test.each([
    [11, WHITE],
    [24, WHITE],
    [3, WHITE],
    [11, { r: 110, g: 110, b: 110, alpha: 1 }],
  ])('%d of them rise, within what the ground allows, with the asked ones among them', (count, ground) => {
    const ratios = evenRatios(count, ground);
    expect(ratios).toHaveLength(count);
    expect([...ratios].sort((a, b) => a - b)).toEqual(ratios);
    expect(new Set(ratios).size).toBe(count);
    expect(ratios[count - 1]).toBeLessThan(21);
  });

  it('have 3, 4.5 and 7 where there is room', () => {
    expect(evenRatios(11, WHITE)).toEqual(expect.arrayContaining([3, 4.5, 7]));
  });
});

describe('a number of steps', () => {
  const held = new Set(['500', '700']);
  it('has round labels, whichever way it came', () => {
    const few = withCount(USUAL_GROWTH, 3, new Set(), WHITE)!;
    for (const growth of [USUAL_GROWTH, few, { ...few, labels: ['50', '500', '950'] }])
      for (const label of withCount(growth, 24, new Set(), WHITE)!.labels)
        expect(Number(label) % 5, label).toBe(0);
    const words = withCount({ ...USUAL_GROWTH, labels: ['pale', 'mid', 'deep'] }, 6, new Set(), WHITE)!;
    expect(words.labels.filter((label) => label.startsWith('pale'))).toHaveLength(3);
  });

  test.each(GROWTH_KINDS)('$value gets more and fewer, and what is held stays', ({ value }) => {
    const growth = growthOfKind(value, USUAL_GROWTH, START);
    for (const count of [3, 5, 11, 14, 24]) {
      const next = withCount(growth, count, held, WHITE);
      if (count === 3) {
        // Two that are held and two ends are four.
        expect(next).toBeNull();
        continue;
      }
      expect(next!.labels).toHaveLength(count);
      expect(new Set(next!.labels).size).toBe(count);
      expect(next!.labels).toEqual(expect.arrayContaining(['50', '500', '700', '950']));
      const family = { id: 'f', name: 'Kelp', base: '#3c7d3a', follows: null, growth: next, handSet: {} };
      const doc = {
        ...emptyDocument('Skerry Line', [{ id: 'day', name: 'Day sailing' }]),
        families: [family],
      };
      expect(documentSchema.validate(doc).error).toBeUndefined();
    }
  });
});

import type { Growth } from '@mint-lamp/core/family/grow';
import { USUAL_GROWTH } from '@mint-lamp/core/family/growth';
import { emptyDocument } from '@mint-lamp/core/system/document';
import { documentSchema } from '@mint-lamp/core/system/document-schema';
import { describe, expect, it, test } from 'vitest';
import { evenRatios, GROWTH_KINDS, growthOfKind, kindOf } from './growth-kinds.ts';

const WHITE = { r: 255, g: 255, b: 255, alpha: 1 };

describe('kinds of growth', () => {
  test.each(GROWTH_KINDS)('$value keeps the labels and makes a document that is valid', ({ value }) => {
    const growth: Growth = growthOfKind(value, USUAL_GROWTH, WHITE);
    expect(kindOf(growth)).toBe(value);
    expect(growth.labels).toBe(USUAL_GROWTH.labels);
    const family = { id: 'f', name: 'Kelp', base: '#3c7d3a', growth, handSet: {} };
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

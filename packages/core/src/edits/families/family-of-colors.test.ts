import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hexOfRgb8 } from '../../color/write.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { familyOfColors } from './family-of-colors.ts';

const NAMED = { id: 'cut', name: 'Cut' };

describe('a family of some colours', () => {
  it('has exactly these as its shades, lightest first', () => {
    const channel = fc.nat(255);
    const hex = fc.tuple(channel, channel, channel).map((rgb) => hexOfRgb8(...rgb));
    fc.assert(
      fc.property(fc.uniqueArray(hex, { minLength: 3, maxLength: 24 }), (colors) => {
        const family = familyOfColors(colors, NAMED)!;
        const doc = after(SKERRY_LINE, { type: 'addFamily', family });
        const { shades } = resolveSystem(doc).families.get('cut')!;
        expect(shades.map(({ css }) => css).sort()).toEqual([...colors].sort());
        expect(shades).toHaveLength(colors.length);
      }),
      { numRuns: 150 },
    );
  });

  it('is none of two colours, alike ones counted once', () => {
    expect(familyOfColors(['#000', '#000000', '#fff'], NAMED)).toBeNull();
  });
});

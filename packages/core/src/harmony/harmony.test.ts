import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { deltaEOk } from '../color/difference.ts';
import { inGamut, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import type { Triple } from '../color/kernel.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import { writeHex } from '../color/write.ts';
import { contrastRatio } from '../contrast/ratio.ts';
import { proposals } from './proposals.ts';
import { between, type Relation, related } from './relations.ts';

const channel = fc.integer({ min: 0, max: 255 });
const any = fc.tuple(channel, channel, channel).map(([r, g, b]) => fromRgb8(r, g, b));
const hueOf = (text: string) => rgb8ToOklch(...toRgb8(readColor(text)))[2];

describe('relations', () => {
  test.each<[Relation, object, number[]]>([
    ['complementary', {}, [0, 180]],
    ['split-complementary', {}, [0, 150, 210]],
    ['split-complementary', { angle: 20 }, [0, 160, 200]],
    ['analogous', { count: 5, angle: 15 }, [0, 15, -15, 30, -30]],
    ['triadic', {}, [0, 120, 240]],
    ['tetradic', { angle: 60 }, [0, 60, 180, 240]],
    ['square', {}, [0, 90, 180, 270]],
  ])('%s %j turns the hue by %j', (relation, options, turns) => {
    const own = readColor('#6a7f86');
    const hues = related(own, relation, options).map((c) => hueOf(writeHex(c)));
    hues.forEach((hue, i) => {
      const off = ((((hue - hues[0]! - turns[i]!) % 360) + 540) % 360) - 180;
      expect(Math.abs(off)).toBeLessThan(4);
    });
  });

  it('are inside sRGB, begin with the colour itself, and keep its lightness', () => {
    const relation = fc.constantFrom<Relation>(
      'complementary',
      'split-complementary',
      'analogous',
      'triadic',
      'tetradic',
      'square',
      'monochromatic',
    );
    fc.assert(
      fc.property(any, relation, fc.nat(20), fc.nat(120), (c, kind, count, angle) => {
        const all = related(c, kind, { count, angle });
        expect(writeHex(all[0]!)).toBe(writeHex(c));
        const [l] = rgb8ToOklch(...toRgb8(c));
        for (const other of all) {
          expect(inGamut(other)).toBe(true);
          if (kind === 'monochromatic') continue;
          const rgb = toRgb8(other);
          // No nearer in 8 bits: with every channel one lower it is darker, with every channel one higher lighter.
          const step = (by: number) =>
            rgb8ToOklch(...(rgb.map((v) => Math.min(255, Math.max(0, v + by))) as Triple))[0];
          expect(step(-1)).toBeLessThanOrEqual(l + 1e-9);
          expect(step(1)).toBeGreaterThanOrEqual(l - 1e-9);
          // Away from black that is less than anyone sees.
          if (l >= 0.15) expect(Math.abs(rgb8ToOklch(...rgb)[0] - l)).toBeLessThan(0.012);
        }
      }),
      { numRuns: 500 },
    );
  });

  it('have a colour between two others', () => {
    expect(writeHex(between(readColor('#000'), readColor('#fff')))).toBe('#636363');
    expect(writeHex(between(readColor('#0b5f6b'), readColor('#e2552b'), 0))).toBe('#0b5f6b');
    expect(writeHex(between(readColor('#0b5f6b'), readColor('#e2552b'), 1))).toBe('#e2552b');
  });
});

describe('proposals', () => {
  const kept = [readColor('#0b5f6b'), readColor('#e2552b')];
  const made = proposals(kept, { count: 6, proposals: 12, seed: 7 });

  it('keep what is kept, carry text, and hold no near-twins', () => {
    expect(made).toHaveLength(12);
    for (const { colors } of made) {
      expect(colors.slice(0, 2).map((c) => writeHex(c))).toEqual(['#0b5f6b', '#e2552b']);
      const painted = colors.map((c) => {
        const [r, g, b] = toRgb8(c);
        return { r, g, b, alpha: 1 };
      });
      expect(
        Math.max(...painted.flatMap((a) => painted.map((b) => contrastRatio(a, b)))),
      ).toBeGreaterThanOrEqual(7);
      colors.forEach((a, i) => {
        colors.slice(i + 1).forEach((b) => {
          expect(deltaEOk(a, b)).toBeGreaterThan(0.05);
        });
      });
    }
  });

  it('come best first, the same for the same seed and others for another', () => {
    made.slice(1).forEach((next, i) => {
      expect(next.readable).toBeLessThanOrEqual(made[i]!.readable);
    });
    expect(proposals(kept, { count: 6, proposals: 12, seed: 7 })).toEqual(made);
    expect(proposals(kept, { count: 6, proposals: 12, seed: 8 })).not.toEqual(made);
  });

  it('are made from nothing, and around anything that leaves room', () => {
    fc.assert(
      fc.property(fc.array(any, { maxLength: 2 }), fc.integer(), (colors, seed) => {
        const all = proposals(colors, { count: 5, proposals: 3, seed });
        for (const one of all) expect(one.colors).toHaveLength(5);
        if (!colors.length) expect(all).toHaveLength(3);
      }),
      { numRuns: 60 },
    );
  });
});

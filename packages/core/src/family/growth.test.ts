import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../test/runs.ts';
import { rgb8ToOklch } from '../color/gamut.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import { growShades, type LightnessGrowth, USUAL_GROWTH } from './growth.ts';

const channel = fc.integer({ min: 0, max: 255 });
const growth = fc.record<LightnessGrowth>({
  kind: fc.constant('lightness'),
  labels: fc.integer({ min: 3, max: 24 }).map((n) => Array.from({ length: n }, (_, i) => String(i + 1))),
  lightest: fc.double({ min: 0.5, max: 1, noNaN: true }),
  darkest: fc.double({ min: 0, max: 0.5, noNaN: true }),
  curve: fc.double({ min: -1, max: 1, noNaN: true }),
  endChroma: fc.double({ min: 0, max: 1.5, noNaN: true }),
  hueDrift: fc.double({ min: -60, max: 60, noNaN: true }),
});

describe('growth', () => {
  it('makes every shade, light to dark, with the base exactly among them, for any base and recipe', () => {
    fc.assert(
      fc.property(channel, channel, channel, growth, (r, g, b, recipe) => {
        const shades = growShades(fromRgb8(r, g, b), recipe);
        expect(shades.map((shade) => shade.label)).toEqual(recipe.labels);
        const base = shades.filter((shade) => shade.isBase);
        expect(base).toHaveLength(1);
        expect([base[0]!.r, base[0]!.g, base[0]!.b]).toEqual([r, g, b]);
        for (const { r: r1, g: g1, b: b1 } of shades)
          for (const v of [r1, g1, b1]) expect(Number.isInteger(v) && v >= 0 && v <= 255).toBe(true);
        const lightness = shades.map((shade) => rgb8ToOklch(shade.r, shade.g, shade.b)[0]);
        lightness.slice(1).forEach((l, i) => {
          expect(l).toBeLessThan(lightness[i]!);
        });
      }),
      { numRuns: runs(3000) },
    );
  });

  test.each(['#0b5f6b', '#e2552b', '#f8f8f6', '#0a0a0b', '#808080', '#ffff00', '#0000ff'])(
    'grows eleven different shades of %s by the usual recipe',
    (base) => {
      const shades = growShades(readColor(base), USUAL_GROWTH);
      expect(new Set(shades.map((shade) => shade.hex)).size).toBe(11);
      const lightness = shades.map((shade) => rgb8ToOklch(shade.r, shade.g, shade.b)[0]);
      lightness.slice(1).forEach((l, i) => {
        expect(l).toBeLessThan(lightness[i]!);
      });
    },
  );

  it('keeps the hue without drift, and turns it with drift', () => {
    const hues = (hueDrift: number) =>
      growShades(readColor('#0b5f6b'), { ...USUAL_GROWTH, hueDrift }).map(
        (s) => rgb8ToOklch(s.r, s.g, s.b)[2],
      );
    const [lightest, darkest] = [hues(0)[0]!, hues(0)[10]!];
    expect(Math.abs(lightest - 210)).toBeLessThan(8);
    expect(hues(30)[10]! - darkest).toBeGreaterThan(20);
    expect(hues(30)[0]! - lightest).toBeLessThan(-20);
  });

  it('makes greys of a grey', () => {
    for (const { r, g, b } of growShades(readColor('#808080'), USUAL_GROWTH)) expect([g, b]).toEqual([r, r]);
  });

  it('stands in for a base outside sRGB with its neighbour inside', () => {
    const shades = growShades(readColor('oklch(0.7 0.35 150)'), USUAL_GROWTH);
    expect(shades.find((shade) => shade.isBase)?.hex).toMatch(/^#[0-9a-f]{6}$/);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../test/runs.ts';
import { rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import { contrastRatio, luminance } from '../contrast/ratio.ts';
import { growByRecipe, type Recipe } from './recipes.ts';

const luminanceOf = (c: { r: number; g: number; b: number }) => luminance({ ...c, alpha: 1 });
const channel = fc.integer({ min: 0, max: 255 });
const base = fc.tuple(channel, channel, channel);
const labelled = (n: number) => Array.from({ length: n }, (_, i) => String(i + 1));
const labels = fc.integer({ min: 3, max: 24 }).map(labelled);

describe('recipes', () => {
  const recipe: fc.Arbitrary<Recipe> = fc.oneof(
    fc.record({
      kind: fc.constant('mix' as const),
      towards: fc.constantFrom('white', 'black', 'grey'),
      labels,
      reach: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
    fc.record({
      kind: fc.constant('opacity' as const),
      ground: fc.constantFrom('#ffffff', '#07191e'),
      labels,
      least: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
    fc.tuple(labels, fc.constantFrom('#f0f9f8', '#07191e', '#808080')).map(
      ([all, ground]): Recipe => ({
        kind: 'contrast',
        ground,
        labels: all,
        ratios: all.map((_, i) => 1.1 + i * 0.6),
      }),
    ),
  );
  it('keep the base exactly, stay in sRGB and go one way in lightness', () => {
    fc.assert(
      fc.property(base, recipe, ([r, g, b], next) => {
        const shades = growByRecipe(fromRgb8(r, g, b), next);
        expect(shades.map((shade) => shade.label)).toEqual(next.labels);
        const bases = shades.filter((shade) => shade.isBase);
        expect(bases.map((shade) => [shade.r, shade.g, shade.b])).toEqual([[r, g, b]]);
        for (const { hex } of shades) expect(hex).toMatch(/^#[0-9a-f]{6}$/);
        if (next.kind === 'contrast') {
          // Each step stands out from the ground at least as much as the one before, all on the base's side.
          const [gr, gg, gb] = toRgb8(readColor(next.ground));
          const ys = shades.map(luminanceOf);
          const groundY = luminanceOf({ r: gr, g: gg, b: gb });
          const away =
            Math.sign(luminanceOf({ r, g, b }) - groundY) || Math.sign(ys[ys.length - 1]! - groundY);
          ys.slice(1).forEach((y, i) => {
            expect((y - ys[i]!) * away).toBeGreaterThan(-0.002);
          });
          return;
        }
        const l = shades.map((shade) => rgb8ToOklch(shade.r, shade.g, shade.b)[0]);
        const way = Math.sign(l[l.length - 1]! - l[0]!);
        l.slice(1).forEach((v, i) => {
          expect((v - l[i]!) * way).toBeGreaterThan(-0.008);
        });
      }),
      { numRuns: runs(1000) },
    );
  });

  it('solve each contrast ratio, never short of it, with little to spare', () => {
    const ratios = [1.5, 2, 3, 4.5, 7, 10];
    const ground = '#f0f9f8';
    const [r, g, b] = toRgb8(readColor(ground));
    const shades = growByRecipe(readColor('#0b5f6b'), {
      kind: 'contrast',
      ground,
      labels: labelled(6),
      ratios,
    });
    shades.forEach((shade, i) => {
      if (shade.isBase) return;
      const ratio = contrastRatio({ ...shade, alpha: 1 }, { r, g, b, alpha: 1 });
      expect(ratio).toBeGreaterThanOrEqual(ratios[i]!);
      expect(ratio).toBeLessThan(ratios[i]! * 1.03);
    });
    expect(shades.find((shade) => shade.isBase)?.hex).toBe('#0b5f6b');
  });

  it('say the opacity that gives each colour over the ground', () => {
    const shades = growByRecipe(readColor('#000000'), {
      kind: 'opacity',
      ground: '#ffffff',
      labels: ['a', 'b', 'c'],
      least: 0,
    });
    expect(shades.map(({ hex, opacity }) => [hex, opacity])).toEqual([
      ['#000000', 1],
      ['#808080', 0.5],
      ['#ffffff', 0],
    ]);
  });

  it('refuse what cannot be grown', () => {
    expect(() =>
      growByRecipe(readColor('#000'), { kind: 'mix', towards: 'white', labels: ['a'], reach: 1 }),
    ).toThrow(RangeError);
    expect(() =>
      growByRecipe(readColor('#000'), {
        kind: 'contrast',
        ground: '#fff',
        labels: ['a', 'b', 'c'],
        ratios: [3],
      }),
    ).toThrow(/As many/);
  });
});

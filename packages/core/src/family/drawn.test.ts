import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { rgb8ToOklch } from '../color/gamut.ts';
import { fromRgb8 } from '../color/parse.ts';
import { drawnFrom, growDrawn, labelBetween, withoutStep, withStepBetween, withStepMoved } from './drawn.ts';
import { type GrownShade, growShades, USUAL_GROWTH } from './growth.ts';
import { growByRecipe } from './recipes.ts';

const channel = fc.integer({ min: 0, max: 255 });
const anyBase = fc.tuple(channel, channel, channel).map(([r, g, b]) => fromRgb8(r, g, b));
const recipe = fc.record({
  lightest: fc.double({ min: 0.6, max: 1, noNaN: true }),
  darkest: fc.double({ min: 0, max: 0.4, noNaN: true }),
  curve: fc.double({ min: -1, max: 1, noNaN: true }),
  endChroma: fc.double({ min: 0, max: 1.5, noNaN: true }),
  hueDrift: fc.double({ min: -60, max: 60, noNaN: true }),
});
const hexes = (shades: readonly GrownShade[]) => shades.map(({ hex }) => hex);
const lightness = ({ r, g, b }: GrownShade) => rgb8ToOklch(r, g, b)[0];
const baseOf = (shades: readonly GrownShade[]) => {
  const { r, g, b } = shades.find(({ isBase }) => isBase)!;
  return fromRgb8(r, g, b);
};

describe('a drawn growth', () => {
  it('grows what it was drawn from, to the bit, with the base at its place', () => {
    fc.assert(
      fc.property(anyBase, recipe, (base, settings) => {
        const shades = growShades(base, { ...USUAL_GROWTH, ...settings });
        const again = growDrawn(base, drawnFrom(shades));
        expect(hexes(again)).toEqual(hexes(shades));
        expect(again.map(({ isBase }) => isBase)).toEqual(shades.map(({ isBase }) => isBase));
      }),
      { numRuns: 1500 },
    );
  });

  it('takes over mixed shades too, as long as no two are alike', () => {
    const shades = growByRecipe(fromRgb8(11, 95, 107), {
      kind: 'mix',
      towards: 'black',
      labels: ['a', 'b', 'c', 'd'],
      reach: 0.8,
    });
    expect(hexes(growDrawn(baseOf(shades), drawnFrom(shades)))).toEqual(hexes(shades));
  });

  it('keeps lightness falling and shades apart, whatever the base and wherever steps are moved', () => {
    const drawn = drawnFrom(growShades(fromRgb8(11, 95, 107), USUAL_GROWTH));
    const step = fc.record({
      lightness: fc.double({ min: -1, max: 2, noNaN: true }),
      chroma: fc.double({ min: -1, max: 20, noNaN: true }),
      turn: fc.double({ min: -400, max: 400, noNaN: true }),
    });
    const moves = fc.array(fc.tuple(fc.nat(10), step), { maxLength: 5 });
    fc.assert(
      fc.property(anyBase, moves, (base, list) => {
        const growth = list.reduce((now, [index, change]) => withStepMoved(now, index, change), drawn);
        growth.steps.slice(1).forEach((one, i) => {
          expect(one.lightness).toBeLessThan(growth.steps[i]!.lightness);
        });
        const shades = growDrawn(base, growth);
        shades.slice(1).forEach((shade, i) => {
          expect(lightness(shade)).toBeLessThan(lightness(shades[i]!));
        });
        const own = rgb8ToOklch(
          ...(base.coords.map((v) => Math.round((v ?? 0) * 255)) as [number, number, number]),
        );
        expect(shades.filter(({ isBase }) => isBase).map(lightness)).toEqual([own[0]]);
      }),
      { numRuns: 600 },
    );
  });

  it('gets a step between two and loses one without moving the others', () => {
    fc.assert(
      fc.property(anyBase, fc.nat(9), (base, at) => {
        const shades = growShades(base, USUAL_GROWTH);
        const drawn = drawnFrom(shades);
        const more = growDrawn(base, withStepBetween(drawn, at, 'new'));
        const isBaseMoved = more.findIndex(({ isBase }) => isBase) === at + 1;
        if (isBaseMoved) return;
        expect(hexes(more.filter(({ label }) => label !== 'new'))).toEqual(hexes(shades));
        const between = more[at + 1]!;
        expect(between.label).toBe('new');
        const index = shades[at]!.isBase ? at + 1 : at;
        const fewer = growDrawn(base, withoutStep(drawn, index));
        expect(hexes(fewer)).toEqual(hexes(shades.filter((_, i) => i !== index)));
      }),
      { numRuns: 400 },
    );
  });

  it('gives a grey base shades with some colour when they are drawn so', () => {
    const grey = fromRgb8(120, 120, 120);
    const drawn = drawnFrom(growShades(grey, USUAL_GROWTH));
    const shades = growDrawn(grey, withStepMoved(drawn, 2, { chroma: 2, turn: 30 }));
    expect(rgb8ToOklch(shades[2]!.r, shades[2]!.g, shades[2]!.b)[1]).toBeCloseTo(0.04, 2);
  });

  test.each([
    [['100', '200', '300'], 0, '150'],
    [['1', '2', '3'], 1, '2.5'],
    [['50', '500', '950'], 0, '300'],
    [['50', '78', '106'], 1, '90'],
    [['50', '100', '75'], 0, '75-2'],
    [['pale', 'mid', 'deep'], 0, 'pale-mid'],
    [['pale', 'pale-mid', 'mid', 'deep'], 0, 'pale-2'],
  ])('between %j at %i there is room for %s', (labels, at, label) => {
    expect(labelBetween(labels, at)).toBe(label);
  });

  it('refuses what it cannot grow', () => {
    const step = { lightness: 0.5, chroma: 1, turn: 0 };
    const few = { kind: 'drawn', labels: ['a', 'b'], steps: [step, step] } as const;
    expect(() => growDrawn(fromRgb8(0, 0, 0), few)).toThrow(RangeError);
    const uneven = { kind: 'drawn', labels: ['a', 'b', 'c'], steps: [step] } as const;
    expect(() => growDrawn(fromRgb8(0, 0, 0), uneven)).toThrow(RangeError);
  });
});

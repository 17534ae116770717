import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { rgbToOklab } from '../color/kernel.ts';
import { engineFaults } from './engines.ts';
import { paintIn } from './geometry.ts';
import type { CssGradient } from './model.ts';
import { plainStops } from './plain-stops.ts';
import { anyGradient } from './random-gradient.fixture.ts';
import { readGradient } from './read-css.ts';

const read = (css: string): CssGradient => {
  const result = readGradient(css);
  if (!result.ok) throw new Error(result.reason);
  return result.gradient;
};

describe('a gradient in plain stops', () => {
  it('is mixed in sRGB without middles, of 8 bits, within 1 of 255 of the specification in any box', () => {
    fc.assert(
      fc.property(
        anyGradient,
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 20, max: 300 }),
        (gradient, width, height) => {
          const plain = plainStops(gradient)!;
          expect(plain.space).toBe('srgb');
          for (const item of plain.stops) {
            expect(item.kind).toBe('stop');
            if (item.kind === 'stop')
              for (const v of [item.color.r, item.color.g, item.color.b])
                expect(Number.isInteger(v)).toBe(true);
          }
          const [asked, painted] = [gradient, plain].map((one) => paintIn(one, { width, height }));
          let off = 0;
          for (let i = 0; i < 60; i++) {
            const point = { x: ((i * 37.7) % width) + 0.13, y: ((i * 53.3) % height) + 0.07 };
            const place = asked!.placeAt(point);
            // At a hard edge either side is right: places there are not looked at.
            const edges = asked!.placed.stretches.flatMap(({ from, to }) => [from, to]);
            const span = asked!.placed.last - asked!.placed.first;
            const folded =
              gradient.repeating && span > 0
                ? asked!.placed.first + ((((place - asked!.placed.first) % span) + span) % span)
                : place;
            if (edges.some((edge) => Math.abs(edge - folded) < 0.02)) continue;
            const [a, b] = [asked!.colorAt(point), painted!.colorAt(point)];
            off = Math.max(
              off,
              ...(['r', 'g', 'b'] as const).map((key) => Math.abs(a[key] * a.alpha - b[key] * b.alpha)),
            );
          }
          expect(off).toBeLessThanOrEqual(1.3);
        },
      ),
      { numRuns: 400 },
    );
  });

  test.each([
    // Repeats of an ellipse are written out, as far as any box goes.
    ['repeating-radial-gradient(at 50% 50%, #000 0%, #fff 50%)', /^radial .* false 4$/],
    // Without an extent there is one colour.
    ['radial-gradient(circle closest-side at 0% 50%, #f00, #00f)', /^linear .* false 2$/],
    // A length stays one.
    ['linear-gradient(in oklab, #000 10px, #fff 90px)', /^linear px false \d+$/],
  ])('of %s', (css, wanted) => {
    const plain = plainStops(read(css))!;
    const unit = plain.stops.flatMap((item) =>
      item.kind === 'stop' ? item.places.map((place) => place.unit) : [],
    )[0];
    expect(`${plain.kind} ${unit} ${plain.repeating} ${plain.stops.length}`).toMatch(wanted);
  });

  it('cannot be where px and percent stand together', () => {
    expect(plainStops(read('linear-gradient(in oklab, #000 10px, #fff 90%)'))).toBeNull();
  });
});

describe('what engines paint otherwise than each other', () => {
  test.each([
    ['linear-gradient(in oklab, #f00, #00f)', []],
    ['linear-gradient(#f00, 20%, #00f)', []],
    ['linear-gradient(in oklab, #f00, 20%, #00f)', ['middle']],
    ['linear-gradient(in oklab, #f00, rgb(0 0 255 / 0.5))', ['opacity']],
    ['repeating-linear-gradient(in oklab, #f00, #00f 20%)', ['repeats']],
    ['repeating-linear-gradient(in oklab, #f00, #00f)', []],
    ['linear-gradient(in oklch, #808080, #00f)', ['grey']],
    ['linear-gradient(in oklch longer hue, #f00 10%, #00f)', ['way']],
    ['repeating-radial-gradient(#f00, #00f 20%)', ['ellipse']],
    ['radial-gradient(closest-side at 0% 0%, #f00, #00f)', ['extent']],
  ])('in %s is %o', (css, faults) => {
    expect(engineFaults(read(css))).toEqual(faults);
  });

  it('is the way round next to grey, up to a chroma of 0.021, however far apart its channels are', () => {
    let near = 0;
    for (let r = 0; r < 256; r += 4)
      for (let g = 0; g < 256; g += 4)
        for (let b = 0; b < 256; b += 4) {
          if (Math.max(r, g, b) - Math.min(r, g, b) < 12) continue;
          const [, x, y] = rgbToOklab(r, g, b);
          const chroma = Math.hypot(x, y);
          if (chroma < 0.018 || chroma > 0.023) continue;
          near += 1;
          const faults = engineFaults(read(`linear-gradient(in oklch, rgb(${r} ${g} ${b}), #00f)`));
          expect(faults.includes('grey'), `rgb(${r} ${g} ${b})`).toBe(chroma < 0.021);
        }
    expect(near).toBeGreaterThan(500);
  });

  it('is nothing in what was put into plain stops', () => {
    fc.assert(
      fc.property(anyGradient, (gradient) => {
        const plain = plainStops(gradient)!;
        // Of an ellipse whose repeats are too many to be written out, that stays.
        expect(engineFaults(plain).filter((fault) => fault !== 'ellipse')).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });
});

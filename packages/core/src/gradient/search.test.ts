import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../test/runs.ts';
import { deltaEOk } from '../color/difference.ts';
import { oklchToRgb8, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import { type Demand, nearestPassingColor } from '../contrast/nearest-color.ts';
import { anyColor, rgba } from '../contrast/painted-color.fixture.ts';
import { composite, contrastRatio, type Rgba, reaches } from '../contrast/ratio.ts';
import { colorAtPlace, placeStops } from './model.ts';
import {
  bestTextColor,
  ratioMatrix,
  worstOfEach,
  worstOverGradient,
  worstOverPixels,
} from './over-gradient.ts';
import { anyGradient } from './random-gradient.fixture.ts';
import { readGradient } from './read-css.ts';

const WHITE = rgba('#fff');

describe('the worst contrast over a gradient', () => {
  const over = (text: string, gradient: string) => {
    const result = readGradient(gradient);
    if (!result.ok) throw new Error(result.reason);
    return worstOverGradient(rgba(text), placeStops(result.gradient), WHITE);
  };

  it('is found along the way, where both ends pass', () => {
    const worst = over('#777777', 'linear-gradient(#000, #fff)');
    expect(contrastRatio(rgba('#777777'), rgba('#000'))).toBeGreaterThan(4.4);
    expect(worst.ratio).toBeLessThan(1.0001);
    expect(worst.at).toBeCloseTo((119 / 255) * 100, 1);
  });

  it('ends also for a stretch longer than numbers can tell places on', () => {
    const result = readGradient('repeating-linear-gradient(#f00 0%, #00f 1e13%)');
    if (!result.ok) throw new Error(result.reason);
    const text = { r: 255, g: 255, b: 255, alpha: 1 };
    const worst = worstOverGradient(text, placeStops(result.gradient), text);
    expect(worst.ratio).toBeCloseTo(contrastRatio(text, { r: 255, g: 0, b: 0, alpha: 1 }), 1);
  });

  it('is never better than any of a thousand places, over random gradients of every kind', () => {
    fc.assert(
      fc.property(anyColor, anyGradient, (text, gradient) => {
        const placed = placeStops(gradient);
        const worst = worstOverGradient(text, placed, WHITE);
        for (let i = 0; i <= 1000; i++) {
          const ground = composite(colorAtPlace(placed, i / 10), WHITE);
          expect(worst.ratio).toBeLessThanOrEqual(contrastRatio(text, ground) + 2e-3);
        }
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    ['#777', 'linear-gradient(#000, #777 50%, #000 50%)', 'the colour just before a hard edge'],
    ['#777', 'linear-gradient(#000, #777 100%, #000)', 'the end itself'],
    ['#f00', 'linear-gradient(in hsl longer hue, #00f, #00e)', 'a hue on the long way round'],
    ['#777', 'repeating-linear-gradient(#000 -60%, #fff -20%)', 'what repeats into sight'],
  ])('of %s on %s counts %s', (text, gradient) => {
    expect(over(text, gradient).ratio).toBeLessThan(1.01);
  });

  it('leaves out what lies beyond the painted part', () => {
    expect(over('#fff', 'linear-gradient(#000 -10%, #000 100%, #fff 130%)').ratio).toBe(21);
  });
});

describe('the worst contrast over pixels', () => {
  it('is that of the nearest pixel, translucent ones over what lies beneath', () => {
    const pixels = new Uint8ClampedArray([0, 0, 0, 255, 100, 100, 100, 255, 0, 0, 0, 0]);
    expect(worstOverPixels(rgba('#fff'), pixels, rgba('#000'))).toMatchObject({ at: 1 });
    expect(worstOverPixels(rgba('#fff'), pixels, rgba('#fff'))).toMatchObject({ at: 2, ratio: 1 });
    expect(() => worstOverPixels(WHITE, new Uint8ClampedArray(), WHITE)).toThrow(RangeError);
  });
});

describe('the worst contrast of several texts over pixels', () => {
  it('is that of each by itself', () => {
    const byte = fc.integer({ min: 0, max: 255 });
    const pixels = fc.array(fc.tuple(byte, byte, byte, fc.constantFrom(0, 90, 255)), {
      minLength: 1,
      maxLength: 20,
    });
    fc.assert(
      fc.property(fc.array(anyColor, { maxLength: 5 }), pixels, anyColor, (texts, list, beneath) => {
        const bytes = Uint8ClampedArray.from(list.flat());
        const alone = texts.map((text) => worstOverPixels(text, bytes, beneath).ratio);
        expect(worstOfEach(texts, bytes, beneath)).toEqual(alone);
      }),
    );
  });
});

describe('the best text colour', () => {
  it('is the highest, or the first that is enough', () => {
    const candidates = ['#777', '#333', '#000'].map(rgba);
    expect(bestTextColor(candidates, WHITE)?.color).toBe(candidates[2]);
    expect(bestTextColor(candidates, WHITE, 4.5)?.color).toBe(candidates[1]);
    expect(bestTextColor(candidates, rgba('#000'), 18)?.color).toBe(candidates[0]);
    expect(bestTextColor([], WHITE)).toBeNull();
  });
});

describe('the matrix of ratios', () => {
  it('holds the ratio of every row on every column', () => {
    fc.assert(
      fc.property(
        fc.array(anyColor, { maxLength: 6 }),
        fc.array(anyColor, { maxLength: 6 }),
        (rows, columns) => {
          const matrix = ratioMatrix(rows, columns);
          rows.forEach((row, i) => {
            columns.forEach((column, j) => {
              expect(matrix[i * columns.length + j]).toBe(contrastRatio(row, column));
            });
          });
        },
      ),
    );
  });
});

describe('the nearest colour that passes', () => {
  /** The least difference among all colours of a grid over the hue's plane that pass; infinite when none does. */
  function leastOnGrid(c: Rgba, demands: readonly Demand[], steps: number): number {
    const [l0, chroma, hue] = rgb8ToOklch(c.r, c.g, c.b);
    let least = Number.POSITIVE_INFINITY;
    for (let i = 0; i <= steps; i++)
      for (let k = 0; k <= steps / 8; k++) {
        const [r, g, b] = oklchToRgb8(i / steps, (chroma * k * 8) / steps, hue);
        const seen = { r, g, b, alpha: 1 };
        if (!demands.every(({ ground, required }) => reaches(contrastRatio(seen, ground), required)))
          continue;
        const [l, ch, h] = rgb8ToOklch(r, g, b);
        const turn = Math.sin(((h - hue) * Math.PI) / 360);
        least = Math.min(least, Math.hypot(l - l0, ch - chroma, 2 * Math.sqrt(ch * chroma) * turn));
      }
    return least;
  }

  it('passes on every ground, and none of all colours of its hue that pass is nearer', () => {
    fc.assert(
      fc.property(
        anyColor,
        fc.array(anyColor, { minLength: 1, maxLength: 3 }),
        fc.constantFrom(3, 4.5, 7),
        (c, grounds, required) => {
          const demands = grounds.map((ground) => ({ ground, required }));
          const found = nearestPassingColor(fromRgb8(c.r, c.g, c.b), demands);
          const [r, g, b] = toRgb8(found.ok ? found.color : found.best);
          const ratios = grounds.map((ground) => contrastRatio({ r, g, b, alpha: 1 }, ground));
          expect(ratios).toEqual(found.ratios);
          const least = leastOnGrid(c, demands, 160);
          if (!found.ok) {
            expect(least).toBe(Number.POSITIVE_INFINITY);
            return;
          }
          for (const ratio of ratios) expect(reaches(ratio, required)).toBe(true);
          // As far as 8 bits tell one lightness and chroma from the next.
          expect(found.difference).toBeLessThan(least + 5e-4);
          expect(found.difference).toBeCloseTo(deltaEOk(fromRgb8(c.r, c.g, c.b), found.color), 6);
        },
      ),
      { numRuns: runs(400) },
    );
  });

  it('leaves a colour alone that passes already, and goes to either side', () => {
    const white = [{ ground: WHITE, required: 4.5 }];
    expect(nearestPassingColor(readColor('#0b5f6b'), white)).toMatchObject({ ok: true, difference: 0 });
    const mid = rgba('#777777');
    const up = nearestPassingColor(readColor('#d0d0d0'), [{ ground: mid, required: 3 }]);
    const down = nearestPassingColor(readColor('#202020'), [{ ground: mid, required: 3 }]);
    expect(up.ok && toRgb8(up.color)[0]).toBeGreaterThan(208);
    expect(down.ok && toRgb8(down.color)[0]).toBeLessThanOrEqual(32);
  });

  it('says when none can, with the best there is', () => {
    const found = nearestPassingColor(readColor('#0b5f6b'), [
      { ground: rgba('#000'), required: 7 },
      { ground: rgba('#fff'), required: 7 },
    ]);
    expect(found).toMatchObject({ ok: false, reason: expect.stringContaining('all 2 grounds') });
    expect(() => nearestPassingColor(readColor('#fff'), [])).toThrow(RangeError);
  });
});

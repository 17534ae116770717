import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../test/runs.ts';
import { deltaEOk } from '../color/difference.ts';
import { oklchToRgb8, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import { type Demand, nearestPassingColor } from './nearest-color.ts';
import { anyColor, rgba } from './painted-color.fixture.ts';
import { contrastRatio, type Rgba, reaches } from './ratio.ts';

const WHITE = rgba('#fff');

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

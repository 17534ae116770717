import { wcagContrast } from 'culori';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { toRgb8 } from '../color/gamut.ts';
import { fromRgb8 } from '../color/parse.ts';
import { atLightness, contrastMark, lightnessOfLuminance, luminanceOfLightness } from './light-axis.ts';
import { anyColor, rgba } from './painted-color.fixture.ts';
import {
  composite,
  contrastRatio,
  formatRatio,
  luminance,
  paintedOver,
  type Rgba,
  reaches,
} from './ratio.ts';
import { nearestPassingShade } from './repair.ts';
import { describeTarget, effectiveTarget, isLargeText, requiredRatio } from './targets.ts';

const css = ({ r, g, b }: Rgba) => `rgb(${r} ${g} ${b})`;

describe('contrast ratio', () => {
  test.each([
    ['#000', '#fff', 21],
    ['#fff', '#fff', 1],
    ['#777', '#fff', 4.478],
    ['#767676', '#fff', 4.542],
    ['#595959', '#fff', 7.0047],
  ])('%s on %s is %d', (a, b, expected) => {
    expect(contrastRatio(rgba(a), rgba(b))).toBeCloseTo(expected, 3);
  });

  it('agrees with an independent implementation, either way round', () => {
    fc.assert(
      fc.property(anyColor, anyColor, (a, b) => {
        const ratio = contrastRatio(a, b);
        expect(ratio).toBeCloseTo(wcagContrast(css(a), css(b)), 3);
        expect(contrastRatio(b, a)).toBe(ratio);
      }),
    );
  });

  test.each([
    [4.499, '4.49'],
    [4.4999999, '4.49'],
    [4.5, '4.50'],
    [2.9999999999999996, '3.00'],
    [21, '21.00'],
    [6.999, '6.99'],
  ])('%d is shown as %s, never rounded up', (ratio, shown) => {
    expect(formatRatio(ratio)).toBe(shown);
  });

  it('passes only what reaches the target', () => {
    expect(reaches(4.499, 4.5)).toBe(false);
    expect(reaches(4.5, 4.5)).toBe(true);
  });
});

describe('targets', () => {
  test.each([
    ['body', 'AA', 4.5],
    ['body', 'AAA', 7],
    ['large', 'AA', 3],
    ['large', 'AAA', 4.5],
    ['graphics', 'AA', 3],
    ['graphics', 'AAA', 3],
  ] as const)('%s at %s needs %d', (content, level, ratio) => {
    expect(requiredRatio({ content, level })).toBe(ratio);
  });

  test.each([
    [24, 400, true],
    [23.99, 600, false],
    [18.66, 700, true],
    [18.65, 900, false],
    [18.66, 600, false],
  ])('%d px at weight %d is large: %s', (size, weight, large) => {
    expect(isLargeText(size, weight)).toBe(large);
  });

  it('asks of small "large text" what body text needs', () => {
    expect(effectiveTarget({ content: 'large', level: 'AA' }, 16, 400).content).toBe('body');
    expect(effectiveTarget({ content: 'large', level: 'AA' }, 24, 400).content).toBe('large');
    expect(describeTarget({ content: 'graphics', level: 'AA' })).toBe('graphics and controls');
  });
});

describe('compositing', () => {
  it('lays half black over white as mid-grey, each layer over those beneath it', () => {
    const white = rgba('#fff');
    expect(composite(rgba('rgb(0 0 0 / 0.5)'), white)).toEqual({ r: 127.5, g: 127.5, b: 127.5, alpha: 1 });
    const red = { r: 255, g: 0, b: 0, alpha: 0.5 };
    const blue = { r: 0, g: 0, b: 255, alpha: 0.5 };
    expect(composite(red, composite(blue, white))).toEqual({ r: 191.25, g: 63.75, b: 127.5, alpha: 1 });
    expect(composite(blue, composite(red, white))).toEqual({ r: 127.5, g: 63.75, b: 191.25, alpha: 1 });
  });
});

describe('light axis', () => {
  it('leads from luminance to L* and back', () => {
    expect(lightnessOfLuminance(1)).toBeCloseTo(100, 10);
    expect(lightnessOfLuminance(0.18418651851244416)).toBeCloseTo(50, 10);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (l) => {
        expect(lightnessOfLuminance(luminanceOfLightness(l))).toBeCloseTo(l, 9);
      }),
    );
  });

  it('marks exactly where a ratio begins, on both sides', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.constantFrom(3, 4.5, 7), (ground, ratio) => {
        const { darker, lighter } = contrastMark(ground, ratio);
        if (darker !== null)
          expect((ground + 0.05) / (luminanceOfLightness(darker) + 0.05)).toBeCloseTo(ratio, 8);
        else expect((ground + 0.05) / 0.05).toBeLessThan(ratio);
        if (lighter !== null)
          expect((luminanceOfLightness(lighter) + 0.05) / (ground + 0.05)).toBeCloseTo(ratio, 8);
        else expect(1.05 / (ground + 0.05)).toBeLessThan(ratio);
      }),
    );
  });

  it('moves a colour along the axis with its hue', () => {
    fc.assert(
      fc.property(anyColor, fc.double({ min: 2, max: 98, noNaN: true }), ({ r, g, b }, wanted) => {
        const [r2, g2, b2] = toRgb8(atLightness(fromRgb8(r, g, b), wanted));
        const reached = lightnessOfLuminance(luminance({ r: r2, g: g2, b: b2, alpha: 1 }));
        expect(Math.abs(reached - wanted)).toBeLessThan(0.6);
      }),
    );
  });
});

describe('the nearest shade that passes', () => {
  const shades = ['#ffffff', '#cccccc', '#999999', '#767676', '#444444', '#000000'].map(rgba);
  const white = rgba('#fff');
  it('is the fewest steps away', () => {
    expect(nearestPassingShade(shades, 1, white, 4.5).repair).toMatchObject({ shade: shades[3], steps: 2 });
    expect(nearestPassingShade(shades, 4, white, 4.5).repair).toMatchObject({ shade: shades[4], steps: 0 });
  });
  it('is none when none passes, with the best that there is', () => {
    const light = shades.slice(0, 3);
    expect(nearestPassingShade(light, 0, white, 4.5)).toMatchObject({
      repair: null,
      best: { shade: shades[2] },
    });
  });
  it('takes the opacity of the link into account', () => {
    expect(nearestPassingShade(shades, 3, white, 4.5, 0.7).repair).toMatchObject({ shade: shades[5] });
  });
});

describe('what is measured', () => {
  const byte = fc.integer({ min: 0, max: 255 });
  const opaque = fc.record({ r: byte, g: byte, b: byte, alpha: fc.constant(1) });
  const any = fc.record({ r: byte, g: byte, b: byte, alpha: fc.double({ min: 0, max: 1, noNaN: true }) });

  it('is a colour that a screen can show, next to the exact one', () => {
    fc.assert(
      fc.property(any, opaque, (over, beneath) => {
        const painted = paintedOver(over, beneath);
        const exact = composite(over, beneath);
        for (const key of ['r', 'g', 'b'] as const) {
          expect(Number.isInteger(painted[key])).toBe(true);
          expect(Math.abs(painted[key] - exact[key])).toBeLessThan(2);
        }
        expect(paintedOver({ ...over, alpha: 1 }, beneath)).toEqual({ ...over, alpha: 1 });
      }),
      { numRuns: 500 },
    );
  });

  it('passes only where the painted colours do: rgb(78 199 234 / 0.69) on #242424 does not', () => {
    const ground = { r: 36, g: 36, b: 36, alpha: 1 };
    const ratio = contrastRatio(paintedOver({ r: 78, g: 199, b: 234, alpha: 0.69 }, ground), ground);
    expect(reaches(ratio, 4.5)).toBe(false);
    expect(formatRatio(ratio)).toBe('4.48');
  });

  it('is shown as reaching just what it is judged to reach', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(3, 4.5, 7),
        fc.double({ min: -2e-11, max: 2e-11, noNaN: true }),
        (asked, off) => {
          const ratio = asked + off;
          expect(Number(formatRatio(ratio)) >= asked).toBe(reaches(ratio, asked));
        },
      ),
      { numRuns: 500 },
    );
  });
});

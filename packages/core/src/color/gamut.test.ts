import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../test/runs.ts';
import { numbers } from './convert.ts';
import { describeColor } from './describe.ts';
import { inGamut, maxChroma, rgb8ToOklch, toRgb8, toSrgb } from './gamut.ts';
import { readColor } from './parse.ts';
import { color } from './spaces.ts';

const anyOklch = fc.tuple(
  fc.double({ min: -0.2, max: 1.2, noNaN: true }),
  fc.double({ min: 0, max: 0.5, noNaN: true }),
  fc.double({ min: 0, max: 360, noNaN: true }),
);

describe('gamut', () => {
  test.each([
    ['#ff0000', 'srgb', true],
    ['color(display-p3 1 0 0)', 'srgb', false],
    ['color(display-p3 1 0 0)', 'display-p3', true],
    ['color(rec2020 0 1 0)', 'display-p3', false],
    ['oklch(0.7 0.1 200)', 'srgb', true],
    ['oklch(0.7 0.3 200)', 'srgb', false],
  ] as const)('%s in %s: %s', (text, gamut, expected) => {
    expect(inGamut(readColor(text), gamut)).toBe(expected);
  });

  it('brings any colour inside, to real numbers, and leaves those inside alone', () => {
    fc.assert(
      fc.property(anyOklch, ([l, c, h]) => {
        const mapped = toSrgb(color('oklch', [l, c, h]));
        expect(inGamut(mapped)).toBe(true);
        if (inGamut(color('oklch', [l, c, h])) && l > 0.1 && l < 0.999) {
          const [l2, c2] = rgb8ToOklch(...(numbers(mapped).map((v) => v * 255) as [number, number, number]));
          expect(Math.abs(l2 - l)).toBeLessThan(1e-4);
          expect(Math.abs(c2 - c)).toBeLessThan(1e-4);
        }
      }),
      { numRuns: runs(3000) },
    );
  });

  it('knows the largest chroma: just inside it is in, just beyond it is out', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.98, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.constantFrom('srgb' as const, 'display-p3' as const),
        (l, h, gamut) => {
          const most = maxChroma(l, h, gamut);
          expect(inGamut(color('oklch', [l, most, h]), gamut)).toBe(true);
          expect(inGamut(color('oklch', [l, most + 0.002, h]), gamut)).toBe(false);
          expect(maxChroma(l, h, 'display-p3')).toBeGreaterThanOrEqual(maxChroma(l, h) - 1e-5);
        },
      ),
    );
    expect(maxChroma(0, 120)).toBe(0);
    expect(maxChroma(1, 120)).toBe(0);
  });

  it('paints what is too light or too dark as white or black', () => {
    expect(toRgb8(readColor('oklch(1.1 0.2 30)'))).toEqual([255, 255, 255]);
    expect(toRgb8(readColor('oklch(0 0.2 30)'))).toEqual([0, 0, 0]);
  });
});

describe('plain descriptions', () => {
  test.each([
    ['#0b5f6b', 'deep muted blue-green'],
    ['#e2552b', 'light vivid orange-red'],
    ['#ffffff', 'white'],
    ['#000000', 'black'],
    ['#808080', 'grey'],
    ['#8b4513', 'brown'],
    ['#fdf3c8', 'pale muted amber'],
  ])('%s is "%s"', (text, words) => {
    expect(describeColor(readColor(text))).toBe(words);
  });

  it('stay as they are while a colour wavers about a border between words', () => {
    fc.assert(
      fc.property(anyOklch, fc.array(fc.double({ min: -1, max: 1, noNaN: true })), ([l, c, h], waver) => {
        let words = describeColor(color('oklch', [l, c, h]));
        const first = words;
        for (const w of waver) {
          words = describeColor(color('oklch', [l + w * 0.005, c * (1 + w * 0.03), h + w * 1.5]), words);
          expect(words).toBe(first);
        }
      }),
    );
    expect(describeColor(readColor('#e2552b'), 'deep muted blue-green')).toBe('light vivid orange-red');
  });
});

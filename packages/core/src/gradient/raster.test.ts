import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { paintIn } from './geometry.ts';
import type { CssGradient } from './model.ts';
import { anyGradient } from './random-gradient.fixture.ts';
import { paintRows } from './raster.ts';
import { readGradient } from './read-css.ts';

const read = (text: string): CssGradient => {
  const result = readGradient(text);
  if (!result.ok) throw new Error(result.reason);
  return result.gradient;
};
function painted(gradient: CssGradient, width: number, height: number, dithered = false) {
  const all = new Uint8ClampedArray(width * height * 4);
  for (const { y, pixels } of paintRows(gradient, width, height, dithered)) all.set(pixels, y * width * 4);
  return all;
}
/** Bands: the longest run of one colour in a row. */
function longestRun(pixels: Uint8ClampedArray) {
  let [most, run] = [0, 0];
  for (let i = 4; i < pixels.length; i += 4) {
    const same = [0, 1, 2, 3].every((c) => pixels[i + c] === pixels[i - 4 + c]);
    run = same ? run + 1 : 0;
    most = Math.max(most, run);
  }
  return most;
}

describe('a gradient as pixels', () => {
  it('has in each the colour of its middle, over random ones of every kind', () => {
    fc.assert(
      fc.property(
        anyGradient,
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 40 }),
        (gradient, width, height) => {
          // A curve at a hint is drawn as Chromium draws it, which its own test measures.
          const plain = {
            ...gradient,
            stops: gradient.stops.filter(({ kind }) => kind === 'stop'),
          } as CssGradient;
          const pixels = painted(plain, width, height);
          const { colorAt, placeAt, placed } = paintIn(plain, { width, height });
          for (let i = 0; i < width * height; i++) {
            const point = { x: (i % width) + 0.5, y: Math.floor(i / width) + 0.5 };
            // At a hard edge either side is right.
            const span = Math.max(1, placed.last - placed.first);
            const folded = placed.repeating
              ? placed.first + ((((placeAt(point) - placed.first) % span) + span) % span)
              : placeAt(point);
            const edges = [...placed.colors.map(({ place }) => place)];
            if (edges.some((edge) => Math.abs(edge - folded) < span / 1000)) continue;
            const { r, g, b, alpha } = colorAt(point);
            const own = pixels[i * 4 + 3]! / 255;
            [r, g, b, 255].forEach((v, c) => {
              // As it is seen: multiplied by its alpha.
              const shown = c === 3 ? own * 255 : pixels[i * 4 + c]! * own;
              const off = Math.abs(shown - Math.min(255, Math.max(0, v)) * alpha);
              if (off > 2) throw new Error(`${off} off in ${c} at ${point.x}, ${point.y}`);
            });
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('has no bands when it is dithered, and the same average', () => {
    const slow = read('linear-gradient(90deg in oklab, #404850, #48505a)');
    const [plain, dithered] = [painted(slow, 1600, 8), painted(slow, 1600, 8, true)];
    expect(longestRun(plain.subarray(0, 6400))).toBeGreaterThan(40);
    expect(longestRun(dithered.subarray(0, 6400))).toBeLessThan(longestRun(plain.subarray(0, 6400)) / 2);
    const mean = (pixels: Uint8ClampedArray, column: number) => {
      let sum = 0;
      for (let y = 0; y < 8; y++) for (let x = 0; x < 8; x++) sum += pixels[(y * 1600 + column * 8 + x) * 4]!;
      return sum / 64;
    };
    const painter = paintIn(slow, { width: 1600, height: 8 });
    for (let column = 0; column < 200; column += 7)
      expect(Math.abs(mean(dithered, column) - painter.colorAt({ x: column * 8 + 4, y: 4 }).r)).toBeLessThan(
        0.05,
      );
  });

  it('comes in parts, and refuses sides that are too large', () => {
    const rows = [...paintRows(read('radial-gradient(red, blue)'), 4000, 250, false)];
    expect(rows.length).toBeGreaterThan(2);
    expect(rows.reduce((sum, { rows: n }) => sum + n, 0)).toBe(250);
    expect(() => paintRows(read('linear-gradient(red, blue)'), 9000, 10, false).next()).toThrow(RangeError);
    expect(() => paintRows(read('linear-gradient(red, blue)'), 0, 10, false).next()).toThrow(RangeError);
  });
});

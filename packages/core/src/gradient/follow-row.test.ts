import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rgbToOklab } from '../color/kernel.ts';
import { followRow } from './follow-row.ts';
import { colorAtPlace, placeStops } from './model.ts';

type Rgb = readonly [number, number, number];

const pixelsOf = (colors: readonly Rgb[]) =>
  Uint8ClampedArray.from(colors.flatMap(([r, g, b]) => [r, g, b, 255]));
/** A row that goes through some colours, as a gradient paints it, with noise. */
function rowThrough(colors: readonly Rgb[], length: number, noise: (i: number) => number) {
  const placed = placeStops({
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    space: 'oklab',
    hueWay: 'shorter',
    stops: colors.map(([r, g, b]) => ({ kind: 'stop', color: { r, g, b, alpha: 1 }, places: [] })),
  });
  return pixelsOf(
    Array.from({ length }, (_, i): Rgb => {
      const { r, g, b } = colorAtPlace(placed, (i / (length - 1)) * 100);
      return [r + noise(i * 3), g + noise(i * 3 + 1), b + noise(i * 3 + 2)];
    }),
  );
}
/** The mean difference of a followed row from its pixels, worked out by the gradient itself. */
function meanOf(pixels: Uint8ClampedArray, { stops }: ReturnType<typeof followRow>): number {
  const placed = placeStops({
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    space: 'oklab',
    hueWay: 'shorter',
    stops: stops.map(({ place, color }) => ({ kind: 'stop', color, places: [{ value: place, unit: '%' }] })),
  });
  const n = pixels.length / 4;
  let sum = 0;
  for (let i = 0; i < n; i++) {
    const { r, g, b } = colorAtPlace(placed, (i / (n - 1)) * 100);
    const [p, q] = [rgbToOklab(r, g, b), rgbToOklab(pixels[i * 4]!, pixels[i * 4 + 1]!, pixels[i * 4 + 2]!)];
    sum += Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
  }
  return sum / n;
}
/** The same noise each time, −8 to 8. */
const grain = (i: number) => ((Math.imul(i + 11, 2654435761) >>> 16) % 17) - 8;

const SEA: Rgb = [11, 95, 107];
const BUOY: Rgb = [226, 85, 43];
const DAWN: Rgb = [224, 162, 26];

describe('a gradient that follows a row of pixels', () => {
  it('has the two ends of a row that goes straight, and the corner of one that turns', () => {
    const straight = followRow(
      rowThrough([SEA, DAWN], 4000, () => 0),
      0.005,
    );
    expect(straight.stops.map(({ place }) => place)).toEqual([0, 100]);
    expect(straight.stops[0]!.color).toEqual({ r: 11, g: 95, b: 107, alpha: 1 });
    const bent = followRow(
      rowThrough([SEA, BUOY, DAWN], 4000, () => 0),
      0.005,
    );
    expect(bent.stops).toHaveLength(3);
    expect(bent.stops[1]!.place).toBeCloseTo(50, 0);
  });

  it('says its true mean difference, no more than the tolerance, over any colours with noise', () => {
    const rgb = fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255));
    fc.assert(
      fc.property(
        fc.array(rgb, { minLength: 2, maxLength: 9 }),
        fc.constantFrom(2, 3, 40, 700, 4000),
        fc.constantFrom(0.02, 0.05),
        (colors, length, tolerance) => {
          const pixels = rowThrough(colors, length, length > 100 ? (i) => grain(i) / 4 : () => 0);
          const followed = followRow(pixels, tolerance);
          expect(followed.mean).toBeCloseTo(meanOf(pixels, followed), 5);
          expect(followed.most).toBeGreaterThanOrEqual(followed.mean);
          if (followed.reached) expect(followed.mean).toBeLessThanOrEqual(tolerance);
          expect(followed.stops.length).toBeLessThanOrEqual(64);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('has more stops for a smaller tolerance, and none more than are needed', () => {
    const pixels = rowThrough([SEA, BUOY, DAWN, SEA, [255, 255, 255], BUOY], 4000, (i) => grain(i) / 2);
    const counts = [0.2, 0.05, 0.03, 0.02].map((tolerance) => followRow(pixels, tolerance).stops.length);
    expect(counts).toEqual([...counts].sort((a, b) => a - b));
    expect(counts[0]).toBe(2);
    expect(counts[3]!).toBeLessThan(12);
  });

  it('keeps a hard edge hard', () => {
    const pixels = pixelsOf([...new Array<Rgb>(200).fill(SEA), ...new Array<Rgb>(200).fill(DAWN)]);
    const { stops, reached } = followRow(pixels, 0.002);
    expect(reached).toBe(true);
    const edge = stops.filter(({ place }) => place > 40 && place < 60);
    expect(edge.length).toBeGreaterThanOrEqual(2);
    expect(edge[edge.length - 1]!.place - edge[0]!.place).toBeLessThan(1.5);
  });

  it('says when a row is rougher than what is asked', () => {
    const noise = pixelsOf(
      Array.from({ length: 4000 }, (_, i): Rgb => (i % 2 ? [0, 0, 0] : [255, 255, 255])),
    );
    const { reached, mean, stops } = followRow(noise, 0.01);
    expect([reached, stops.length]).toEqual([false, 2]);
    expect(mean).toBeGreaterThan(0.4);
    expect(() => followRow(new Uint8ClampedArray(4), 0.1)).toThrow(RangeError);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyColor } from '../contrast/painted-color.fixture.ts';
import { contrastRatio, paintedOver, type Rgba } from '../contrast/ratio.ts';
import { alongGradient } from './along-gradient.ts';
import { hintsAsStops } from './hints-as-stops.ts';
import { colorAtPlace, placeStops } from './model.ts';
import { anyGradient } from './random-gradient.fixture.ts';
import { readGradient } from './read-css.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };
const placedOf = (css: string) => {
  const read = readGradient(css);
  if (!read.ok) throw new Error(read.reason);
  return placeStops(read.gradient);
};

describe('where a text passes along a gradient', () => {
  it('is the stretch up to the place where it falls short, and the worst place lies beyond', () => {
    const { passing, worst } = alongGradient(
      WHITE,
      placedOf('linear-gradient(in srgb, #000, #fff)'),
      WHITE,
      4.5,
    );
    // #767676 is the lightest grey on which white reaches 4.5.
    expect(passing).toHaveLength(1);
    expect(passing[0]!.from).toBe(0);
    expect(passing[0]!.to).toBeGreaterThan((118 / 255) * 100 - 0.3);
    expect(passing[0]!.to).toBeLessThan((119 / 255) * 100 + 0.3);
    expect(worst).toEqual({ at: 100, ratio: 1 });
  });

  it('sees both sides of hard edges, and several stretches', () => {
    const edges = placedOf('linear-gradient(in srgb, #000 30%, #fff 30% 70%, #222 70%)');
    const { passing } = alongGradient(WHITE, edges, WHITE, 4.5);
    expect(passing.map(({ from, to }) => [Math.round(from), Math.round(to)])).toEqual([
      [0, 30],
      [70, 100],
    ]);
  });

  it('holds inside the stretches and nowhere else, over random gradients', () => {
    fc.assert(
      fc.property(anyColor, anyGradient, (text, gradient) => {
        const placed = { ...placeStops(gradient), repeating: false };
        const { passing, worst } = alongGradient(text, placed, WHITE, 3);
        const painted = hintsAsStops(placed);
        for (let at = 0.5; at < 100; at += 3.7) {
          const { r, g, b, alpha } = colorAtPlace(painted, at);
          const ground = paintedOver({ r: Math.round(r), g: Math.round(g), b: Math.round(b), alpha }, WHITE);
          const ratio = contrastRatio(paintedOver(text, ground), ground);
          expect(worst.ratio).toBeLessThanOrEqual(ratio + 0.25);
          // At a hard edge both sides are there.
          const isEdge = placed.colors.some(({ place }) => Math.abs(place - at) < 0.1);
          if (isEdge || Math.abs(ratio - 3) < 0.25) continue;
          const isInside = passing.some(({ from, to }) => at >= from - 0.05 && at <= to + 0.05);
          expect(isInside).toBe(ratio >= 3);
        }
      }),
      { numRuns: 150 },
    );
  });
});

import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { alongLine, gradientLine, pointInBox } from './line.ts';
import { sampleGradient } from './sample.ts';

const color = (r: number, g: number, b: number, alpha = 1) => ({ r, g, b, alpha });
const RED = color(255, 0, 0);
const BLUE = color(0, 0, 255);

describe('sampling a gradient', () => {
  const stops = [
    { position: 20, color: RED },
    { position: 60, color: BLUE },
    { position: 60, color: color(255, 255, 255) },
    { position: 100, color: color(0, 0, 0) },
  ];
  test.each([
    [0, [255, 0, 0]],
    [20, [255, 0, 0]],
    [40, [127.5, 0, 127.5]],
    [59.9999, [0, 0, 255]],
    [60, [255, 255, 255]],
    [80, [127.5, 127.5, 127.5]],
    [100, [0, 0, 0]],
  ])('at %d %% in sRGB gives %j', (at, expected) => {
    const { r, g, b } = sampleGradient(stops, 'srgb', at);
    [r, g, b].forEach((v, i) => {
      expect(v).toBeCloseTo(expected[i]!, 2);
    });
  });

  it('premultiplies alpha, so that transparent black does not darken', () => {
    const clear = [
      { position: 0, color: RED },
      { position: 100, color: color(0, 0, 0, 0) },
    ];
    const middle = sampleGradient(clear, 'srgb', 50);
    expect(middle.r).toBeCloseTo(255, 9);
    expect(middle.alpha).toBe(0.5);
  });

  it('stays inside 0–255 in every space', () => {
    const channel = fc.integer({ min: 0, max: 255 });
    const any = fc
      .tuple(channel, channel, channel, fc.constantFrom(1, 0.5))
      .map(([r, g, b, a]) => color(r, g, b, a));
    fc.assert(
      fc.property(
        any,
        any,
        fc.constantFrom('srgb', 'srgb-linear', 'oklab', 'lab'),
        fc.nat(100),
        (a, b, space, at) => {
          const seen = sampleGradient(
            [
              { position: 0, color: a },
              { position: 100, color: b },
            ],
            space,
            at,
          );
          for (const v of [seen.r, seen.g, seen.b]) expect(v >= 0 && v <= 255).toBe(true);
        },
      ),
    );
  });
});

describe('the gradient line', () => {
  it('reaches from corner to corner at 45° in a square', () => {
    const { start, end } = gradientLine(45, 100, 100);
    [start.x, start.y, end.x, end.y].forEach((v, i) => {
      expect(v).toBeCloseTo([0, 100, 100, 0][i]!, 9);
    });
  });

  it('has a point in the box for every place, and dragging there gives that place', () => {
    fc.assert(
      fc.property(
        fc.nat(360),
        fc.integer({ min: 50, max: 900 }),
        fc.integer({ min: 50, max: 400 }),
        fc.nat(100),
        (angle, width, height, percent) => {
          const point = pointInBox(angle, { width, height }, percent);
          expect(
            point.x >= -1e-6 && point.x <= width + 1e-6 && point.y >= -1e-6 && point.y <= height + 1e-6,
          ).toBe(true);
          expect(alongLine(gradientLine(angle, width, height), point)).toBeCloseTo(percent, 6);
        },
      ),
    );
  });
});

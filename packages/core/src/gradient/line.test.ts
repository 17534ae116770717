import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { alongLine, gradientLine, pointInBox } from './line.ts';

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

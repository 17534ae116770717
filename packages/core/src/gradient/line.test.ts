import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { alongLine, gradientLine } from './line.ts';

describe('the gradient line', () => {
  it('reaches from corner to corner at 45° in a square', () => {
    const { start, end } = gradientLine(45, 100, 100);
    [start.x, start.y, end.x, end.y].forEach((v, i) => {
      expect(v).toBeCloseTo([0, 100, 100, 0][i]!, 9);
    });
  });

  it('has a point at each place, however far beside it that lies', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 50, max: 900 }),
        fc.integer({ min: 50, max: 400 }),
        fc.nat(100),
        fc.integer({ min: -300, max: 300 }),
        (angle, width, height, percent, beside) => {
          const line = gradientLine(angle, width, height);
          const [dx, dy] = [line.end.x - line.start.x, line.end.y - line.start.y];
          const point = {
            x: line.start.x + (dx * percent) / 100 - (dy * beside) / line.length,
            y: line.start.y + (dy * percent) / 100 + (dx * beside) / line.length,
          };
          expect(alongLine(line, point)).toBeCloseTo(percent, 6);
        },
      ),
    );
  });
});

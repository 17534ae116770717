import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type DeskView, fit, held, moved, pixelAt, revealing, toBox, toPicture, zoomed } from './view.ts';

const BOX = { width: 600, height: 400 };
const size = fc.record({
  width: fc.integer({ min: 1, max: 9000 }),
  height: fc.integer({ min: 1, max: 9000 }),
});
const place = fc.double({ min: 0, max: 400, noNaN: true });
const steps = fc.array(
  fc.oneof(
    fc.record({ by: fc.double({ min: 0.2, max: 5, noNaN: true }), x: place, y: place }),
    fc.record({ dx: fc.integer({ min: -900, max: 900 }), dy: fc.integer({ min: -900, max: 900 }) }),
  ),
  { maxLength: 8 },
);

describe('what of a picture is seen', () => {
  it('is all of it to begin with', () => {
    const view = fit(BOX, { width: 1200, height: 600 });
    expect(view).toEqual({ cx: 600, cy: 300, scale: 0.5 });
    expect(toBox(view, BOX, 0, 0)).toEqual([0, 50]);
    expect(fit(BOX, { width: 2, height: 2 }).scale).toBe(16);
  });

  it('never leaves the picture, however it is moved and zoomed', () => {
    fc.assert(
      fc.property(size, steps, (picture, list) => {
        let view: DeskView = fit(BOX, picture);
        for (const step of list)
          view =
            'by' in step
              ? zoomed(view, BOX, picture, step.by, step.x, step.y)
              : moved(view, BOX, picture, step.dx, step.dy);
        const [left, top] = toBox(view, BOX, 0, 0);
        const [right, bottom] = toBox(view, BOX, picture.width, picture.height);
        // Either all of it is seen, in the middle, or the box is full of it.
        const full = (a: number, b: number, all: number) =>
          b - a <= all + 1e-6 ? Math.abs(a + b - all) < 1e-6 : a <= 1e-6 && b >= all - 1e-6;
        expect(full(left, right, BOX.width)).toBe(true);
        expect(full(top, bottom, BOX.height)).toBe(true);
        expect(held(view, BOX, picture)).toEqual(view);
      }),
    );
  });

  it('keeps the place under the pointer where it is while zooming', () => {
    const picture = { width: 4000, height: 3000 };
    const view = { cx: 2000, cy: 1500, scale: 1 };
    const before = toPicture(view, BOX, 450, 100);
    const after = toPicture(zoomed(view, BOX, picture, 3, 450, 100), BOX, 450, 100);
    after.forEach((v, i) => {
      expect(v).toBeCloseTo(before[i]!, 6);
    });
    expect(zoomed(view, BOX, picture, 1e6).scale).toBe(64);
  });

  it('is moved no further than it takes to see a place', () => {
    const picture = { width: 4000, height: 3000 };
    const view = { cx: 2000, cy: 1500, scale: 1 };
    expect(revealing(view, BOX, picture, 2100, 1500)).toBe(view);
    const other = revealing(view, BOX, picture, 2400, 1500);
    expect([other.cx, other.cy]).toEqual([2124, 1500]);
  });

  it('has a pixel at every place', () => {
    expect(pixelAt({ width: 10, height: 5 }, -3, 4.99)).toEqual({ x: 0, y: 4 });
    expect(pixelAt({ width: 10, height: 5 }, 10, 99)).toEqual({ x: 9, y: 4 });
  });
});

import { describe, expect, it } from 'vitest';
import { MOST_ALONG, rowAlong } from './row.ts';

/** A picture whose red is x and whose green is y. */
const plain = (width: number, height: number, alpha = 255) => {
  const pixels = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < width * height; i++) pixels.set([i % width, Math.floor(i / width), 40, alpha], i * 4);
  return { width, height, pixels };
};

describe('the row of colours along a line', () => {
  it('has a place for each px, from end to end, in any direction', () => {
    const across = rowAlong(plain(200, 100), { x1: 10, y1: 50, x2: 110, y2: 50 }, 1);
    expect(across).toHaveLength(101 * 4);
    expect([...across.slice(0, 4), ...across.slice(-4)]).toEqual([10, 50, 40, 255, 110, 50, 40, 255]);
    const back = rowAlong(plain(200, 100), { x1: 60, y1: 90, x2: 20, y2: 10 }, 1);
    expect([...back.slice(0, 2), ...back.slice(-4, -2)]).toEqual([60, 90, 20, 10]);
    expect(rowAlong(plain(10, 10), { x1: 3, y1: 3, x2: 3, y2: 3 }, 1)).toHaveLength(8);
    expect(rowAlong(plain(4, 9000 / 4), { x1: 0, y1: -9000, x2: 0, y2: 9000 }, 1)).toHaveLength(
      MOST_ALONG * 4,
    );
  });

  it('averages across the line, so that grain goes', () => {
    const noisy = plain(300, 60);
    for (let i = 0; i < noisy.pixels.length; i += 4) {
      const v = 128 + (((i / 4) * 7919) % 61) - 30;
      noisy.pixels.set([v, v, v, 255], i);
    }
    const spread = (side: number) => {
      const row = rowAlong(noisy, { x1: 20, y1: 30, x2: 280, y2: 30 }, side);
      const reds = Array.from({ length: row.length / 4 }, (_, i) => row[i * 4]!);
      return Math.max(...reds) - Math.min(...reds);
    };
    expect(spread(1)).toBeGreaterThan(50);
    expect(spread(31)).toBeLessThan(spread(1) / 3);
  });

  it('shows white through what is translucent, and the edge beside the picture', () => {
    const row = rowAlong(plain(20, 20, 0), { x1: 0, y1: 0, x2: 10, y2: 0 }, 5);
    expect([...row.slice(0, 4)]).toEqual([255, 255, 255, 255]);
    const beside = rowAlong(plain(20, 20), { x1: -30, y1: 5, x2: 50, y2: 5 }, 1);
    expect([beside[0], beside[beside.length - 4]]).toEqual([0, 19]);
  });
});

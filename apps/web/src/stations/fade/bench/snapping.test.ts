import { describe, expect, it } from 'vitest';
import { snapped } from './snapping.ts';

describe('where a post lands', () => {
  it.each([
    [34.4, [0, 100], 1, 35],
    [37.4, [0, 100], 1, 37.4],
    [33.1, [10, 56], 1, 33],
    [49.4, [null, 100], 1, 50],
    [-8, [0, 100], 1, 0],
    [140, [0, null], 1, 100],
    [34.46, [0, 100], 0, 34.5],
  ] as const)('%d between %j comes to %d', (to, neighbours, reach, at) => {
    expect(snapped(to, neighbours, reach)).toBe(at);
  });
});

import { describe, expect, it } from 'vitest';
import { percentileOf, reportRatio, reportShare } from './report.ts';

describe('what a bench reports', () => {
  it.each([-6.47, Number.NaN, Number.POSITIVE_INFINITY])('fails on a figure that cannot be: %d', (figure) => {
    expect(() => reportShare('a move', figure, 16, 'ms')).toThrow('cannot be');
    expect(() => reportRatio('a move', figure, 1, 'theirs', 1)).toThrow('cannot be');
    expect(() => reportRatio('a move', 1, figure, 'theirs', 1)).toThrow('cannot be');
  });

  it('takes percentiles of few as of many, and none of nothing', () => {
    expect([0, 0.5, 0.95, 1].map((share) => percentileOf([3, 1, 2], share))).toEqual([1, 2, 3, 3]);
    expect(() => percentileOf([], 0.5)).toThrow('Nothing was measured');
  });
});

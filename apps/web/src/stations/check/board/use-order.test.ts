import { describe, expect, it } from 'vitest';
import { carriedOn } from './use-order.ts';

const worth = (of: Record<string, number>) => new Map(Object.entries(of));

describe('the order of the board', () => {
  it('is worst first when it opens', () => {
    expect(carriedOn([], worth({ a: 2, b: 0.5, c: 1 }))).toEqual(['b', 'c', 'a']);
  });

  it('is the same one while colours change', () => {
    const order = ['b', 'c', 'a'];
    expect(carriedOn(order, worth({ a: 0.1, b: 9, c: 1 }))).toBe(order);
  });

  it('takes in what comes where it belongs, and moves nothing of what was there past each other', () => {
    // b was repaired since.
    expect(carriedOn(['b', 'c', 'a'], worth({ a: 2, b: 9, c: 1, d: 1.5, e: 0.2, f: 20 }))).toEqual([
      'e',
      'd',
      'b',
      'c',
      'a',
      'f',
    ]);
    expect(carriedOn(['b', 'c', 'a'], worth({ a: 2, b: 9 }))).toEqual(['b', 'a']);
    expect(carriedOn(['b'], worth({}))).toEqual([]);
  });
});

import { describe, expect, it } from 'vitest';
import { blockBetween, blockToPaste, cellsOf } from './cell-block.ts';

const ROLES = ['a', 'b', 'c', 'd'];
const THEMES = ['day', 'night', 'glare'];

describe('a block of cells', () => {
  it('lies between two of them, whichever came first', () => {
    const block = { roles: ['b', 'c'], themes: ['day', 'night'] };
    const [one, other] = [
      { role: 'c', theme: 'day' },
      { role: 'b', theme: 'night' },
    ];
    expect(blockBetween(one, other, ROLES, THEMES)).toEqual(block);
    expect(blockBetween(other, one, ROLES, THEMES)).toEqual(block);
    expect(cellsOf(block)).toHaveLength(4);
    // One that is gone or folded away ends it.
    expect(blockBetween(one, { role: 'x', theme: 'day' }, ROLES, THEMES)).toBeNull();
  });

  it('is filled by what was copied, or has the room of it from a single cell on', () => {
    const grid = [
      [null, null],
      [null, null],
      [null, null],
    ];
    const single = { roles: ['b'], themes: ['day'] };
    expect(blockToPaste(single, grid, ROLES, THEMES)).toEqual({
      roles: ['b', 'c', 'd'],
      themes: ['day', 'night'],
    });
    expect(blockToPaste({ roles: ['d'], themes: ['glare'] }, grid, ROLES, THEMES)).toEqual({
      roles: ['d'],
      themes: ['glare'],
    });
    const picked = { roles: ['a', 'b'], themes: THEMES };
    expect(blockToPaste(picked, [[null]], ROLES, THEMES)).toBe(picked);
  });
});

import { expect, it } from 'vitest';
import { signedTurn } from './signed-turn.ts';

it('is the shorter way to the same place', () => {
  const turns = [0, 90, 179, 180, 181, 270, 360, 540, 725, -1, -180, -181, -359, -725];
  expect(turns.map(signedTurn)).toEqual([0, 90, 179, -180, -179, -90, 0, -180, 5, -1, -180, 179, 1, -5]);
});

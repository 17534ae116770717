import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { afterMoves, insteadOfMoves, notAfterMoves, notWithNextFrame, withNextFrame } from './frames.ts';

let asked: (() => void)[] = [];
let now = 0;
let told: string[] = [];

beforeEach(() => {
  asked = [];
  told = [];
  now = 0;
  vi.stubGlobal('requestAnimationFrame', (run: () => void) => asked.push(run));
  vi.stubGlobal('reportError', (error: Error) => told.push(error.message));
  vi.spyOn(performance, 'now').mockImplementation(() => now);
});
afterEach(() => {
  while (asked.length) frame();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

function frame(): string[] {
  told = [];
  for (const run of asked.splice(0)) run();
  return told;
}
const move = () => {
  told.push('move');
  now += 4;
};
const follow = (moved: number | null) => void told.push(`follow ${moved}`);

it('makes a move once in a frame however often it is asked for, and then what follows', () => {
  afterMoves(follow);
  withNextFrame(move);
  withNextFrame(move);
  expect(frame()).toEqual(['move', 'follow 4']);
  expect(asked).toEqual([]);
});

it('tells where there was no move', () => {
  afterMoves(follow);
  expect(frame()).toEqual(['follow null']);
});

it('has what is asked for by a move follow in the same frame, and by what follows in the next', () => {
  withNextFrame(() => {
    afterMoves(() => {
      told.push('by a move');
      afterMoves(follow);
      withNextFrame(move);
    });
  });
  expect(frame()).toEqual(['by a move']);
  expect(frame()).toEqual(['move', 'follow 4']);
});

it('keeps one frame for what follows, and makes the move that waited in the one after', () => {
  insteadOfMoves(follow);
  withNextFrame(move);
  expect(frame()).toEqual(['follow null']);
  expect(frame()).toEqual(['move']);
  expect(asked).toEqual([]);
});

it('leaves out what is called off, and goes on after what fails', () => {
  withNextFrame(move);
  afterMoves(follow);
  notWithNextFrame(move);
  notAfterMoves(follow);
  withNextFrame(() => {
    throw new Error('broken');
  });
  const other = () => void told.push('other');
  withNextFrame(other);
  expect(frame()).toEqual(['broken', 'other']);
});

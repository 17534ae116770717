import { expect, test } from 'vitest';
import { sizeOfCopy, smallCopyOf } from './small-copy.ts';

test('a copy is as small as a decoder makes it, but fills the desk', () => {
  expect(sizeOfCopy(8660, 5773)).toEqual({ width: 1083, height: 722, factor: 8 });
  expect(sizeOfCopy(3000, 2000)).toEqual({ width: 750, height: 500, factor: 4 });
  expect(sizeOfCopy(2500, 1201)).toEqual({ width: 1250, height: 601, factor: 2 });
});

test('what is small has none', () => {
  expect(sizeOfCopy(2000, 1400)).toBeNull();
});

test('other kinds than JPEG, and browsers that cannot, have none', async () => {
  const size = { width: 3000, height: 2000 };
  expect(await smallCopyOf(new Blob([], { type: 'image/png' }), size)).toBeNull();
  expect(await smallCopyOf(new Blob([], { type: 'image/jpeg' }), size)).toBeNull();
});

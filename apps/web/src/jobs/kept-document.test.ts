import { expect, test } from 'vitest';
import { DocumentKeeper, KEPT_DOCUMENT } from './kept-document.ts';

test('a document that was sent stands where the next input says so, and until another is sent', () => {
  const keeper = new DocumentKeeper();
  const [first, second] = [{ name: 'first' }, { name: 'second' }];
  expect(keeper.whole({ document: first, form: 'css' })).toEqual({ document: first, form: 'css' });
  expect(keeper.whole({ document: KEPT_DOCUMENT, form: 'csv' })).toEqual({ document: first, form: 'csv' });
  expect(keeper.whole({ document: second })).toEqual({ document: second });
  expect(keeper.whole({ document: KEPT_DOCUMENT })).toEqual({ document: second });
});

test('inputs without a document go past it', () => {
  const keeper = new DocumentKeeper();
  const document = { name: 'first' };
  keeper.whole({ document });
  const bytes = new Uint8Array([1]);
  for (const input of ['text', null, bytes, { text: 'x' }]) expect(keeper.whole(input)).toBe(input);
  expect(keeper.whole({ document: KEPT_DOCUMENT })).toEqual({ document });
});

import { describe, expect, it, test } from 'vitest';
import { slug } from '../document/naming/names.ts';
import { READY_MADE } from './ready-made.ts';
import { newSetSchema } from './set-schema.ts';

describe('the sets that ship', () => {
  it('are at least sixty, each sound, of its own name, and found by words', () => {
    expect(READY_MADE.length).toBeGreaterThanOrEqual(60);
    expect(new Set(READY_MADE.map(({ name }) => slug(name))).size).toBe(READY_MADE.length);
    for (const set of READY_MADE) {
      const { error, value } = newSetSchema.validate(set);
      expect(error?.message, set.name).toBeUndefined();
      expect(value).toEqual(set);
      expect(set.words.split(' ').length).toBeGreaterThan(2);
    }
  });

  it('are no repetitions of each other', () => {
    const keys = READY_MADE.map(({ colors }) => colors.join());
    expect(new Set(keys).size).toBe(keys.length);
  });
});

describe('a set that is given to the shelf', () => {
  const palette = { kind: 'palette', colors: [{ name: 'A', color: '#123456' }] };
  const good = { name: 'A', words: 'b c', content: palette, colors: ['#123456'] };
  test.each([
    [{ ...good, name: '' }, /name/],
    [{ ...good, colors: [] }, /colors/],
    [{ ...good, colors: ['#12345678'] }, /opaque/],
    [{ ...good, content: { kind: 'palette', colors: [] } }, /colors/],
    [{ ...good, content: { kind: 'gradient', css: 'url(javascript:alert(1))' } }, /not a CSS gradient/],
    [{ ...good, content: { kind: 'gradient', css: 'linear-gradient(var(--x), red)' } }, /not a CSS gradient/],
    [{ ...good, content: { kind: 'spell' } }, /kind/],
    [{ ...good, more: 1 }, /more/],
  ])('is checked, %#', (set, message) => {
    expect(newSetSchema.validate(good).error).toBeUndefined();
    expect(newSetSchema.validate(set).error?.message).toMatch(message);
  });

  it('may be called anything of one line', () => {
    const name = '<img src=x onerror=alert(1)> "; DROP TABLE shelf_set; --';
    expect(newSetSchema.validate({ ...good, name, words: '<script>' }).error).toBeUndefined();
  });
});

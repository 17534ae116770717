import { describe, expect, it, test } from 'vitest';
import { readNames, readRoleName, writeRoleName } from './role-name.ts';

describe('names of roles', () => {
  test.each([
    ['text.main', ['text', 'main']],
    ['notice delay.ground', ['notice', 'delay', 'ground']],
    ['  notice . delay .. ground ', ['notice', 'delay', 'ground']],
    ['Grün', ['Grün']],
  ])('%j is read as %j', (text, names) => {
    expect(readNames(text)).toEqual({ ok: true, names });
  });

  test.each([
    ['', /^Write a name/],
    [' . ', /^Write a name/],
    ['text/main', /no "\/" in it: write dots between groups, as in text\.main\.$/],
    ['{text.main}', /no "\{" in it: .* as in text\.main\.$/],
    ['text.…', /"…" needs at least one letter or digit/],
  ])('%j is told what is wrong with it', (text, reason) => {
    const result = readNames(text);
    expect(!result.ok && result.reason).toMatch(reason);
  });

  it('are written with dots and read back the same', () => {
    const name = { group: ['notice', 'delay'], name: 'ground' };
    expect(readRoleName(writeRoleName(name))).toEqual({ ok: true, ...name });
    expect(readRoleName('focus')).toEqual({ ok: true, group: [], name: 'focus' });
    expect(readRoleName('a/b')).toMatchObject({ ok: false });
  });
});

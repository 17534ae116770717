import { describe, expect, test } from 'vitest';
import { newSetSchema } from '../../shelf/set-schema.ts';
import { faultOfText, faultOfTexts, slug } from './names.ts';

describe('names as parts of addresses', () => {
  test.each([
    ['Deepwater', 'deepwater'],
    ['text.main', 'text-main'],
    ['  Café au lait! ', 'cafe-au-lait'],
    ['Ångström 2', 'angstrom-2'],
    ['海の色', '海の色'],
    ['…', ''],
    ['कि', 'कि'],
    ['की', 'की'],
    ['ไม้', 'ไม้'],
    ['が', 'が'],
    ['か', 'か'],
    ['\u0301', ''],
    ['--x--', 'x'],
  ])('%j is %j', (name, expected) => {
    expect(slug(name)).toBe(expected);
  });
});

describe('texts that cannot stand', () => {
  test.each([
    ['\u200b\u200d', /nothing in it that can be seen/],
    ['\u3164', /nothing in it that can be seen/],
    ['\u2800 \u00ad', /nothing in it that can be seen/],
    ['\ufe0f', /nothing in it that can be seen/],
    ['Deep\u202ewater', /turns the direction of writing \(U\+202E\)/],
    ['\u2066x', /U\+2066/],
  ])('%j is told why', (text, why) => {
    expect(faultOfText(text)).toMatch(why);
    expect(faultOfTexts({ type: 'addSwatch', swatch: { name: text } })).toMatch(why);
  });

  test.each(['Tiefwasser', '…', 'کتاب\u200cخانه', 'עברית', '👩\u200d🎨', '', 'か゚'])(
    '%j can stand',
    (text) => {
      expect(faultOfText(text)).toBeNull();
    },
  );

  test('the server refuses them wherever a name is sent', () => {
    const set = {
      name: '\u2800',
      words: '',
      content: { kind: 'group', colors: [{ name: 'A', color: '#123456' }] },
    };
    expect(newSetSchema.validate(set).error?.message).toMatch(/can be seen/);
    const turned = { ...set, name: 'Sea', words: 'a\u202eb' };
    expect(newSetSchema.validate(turned).error?.message).toMatch(/direction of writing/);
  });
});

import { describe, expect, test } from 'vitest';
import { slug } from './names.ts';

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

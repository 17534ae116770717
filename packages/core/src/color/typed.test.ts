import { describe, expect, it, test } from 'vitest';
import { findColors } from './find.ts';
import { parseColor } from './parse.ts';
import { readTyped } from './typed.ts';
import { canonical } from './write.ts';

const css = (text: string) => {
  const read = parseColor(text);
  return read.ok ? canonical(read.color) : read.reason;
};

describe('what is beyond the range of a function', () => {
  // As Chromium computes them.
  test.each([
    ['rgb(300,0,0)', '#ff0000'],
    ['rgb(999,0,0)', '#ff0000'],
    ['rgb(-5 20 30 / 5)', '#00141e'],
    ['rgba(110%, 20%, 0%, -1)', '#ff330000'],
    ['hsl(120 150% 50%)', '#00ff00'],
    ['hsl(0 50% 150%)', '#ffffff'],
    ['lab(150 20 30)', 'lab(100 20 30)'],
    ['oklch(70 0.1 200)', 'oklch(1 0.1 200)'],
    ['oklch(0.5 -0.1 200)', 'oklch(0.5 0 200)'],
  ])('%s is %s', (text, expected) => {
    const [a, b] = [parseColor(text), parseColor(expected)];
    if (!a.ok || !b.ok) throw new Error(text);
    expect(canonical(a.color)).toBe(canonical(b.color));
  });
});

describe('a typed colour', () => {
  test.each<[string, RegExp, readonly string[]]>([
    ['#0b5f6b7', /this has 7/, ['#0b5f6b']],
    ['#0b5f6', /this has 5/, ['#0b5']],
    ['lab(50, 20, 30)', /lab\(\) takes its values with spaces between them, not commas/, ['lab(50 20 30)']],
    ['hsl(120, 50, 50)', /commas takes saturation and lightness as percentages/, ['hsl(120 50% 50%)']],
    ['oklch(70 0.1 200)', /from 0 to 1, or in percent; 70 is beyond white/, ['oklch(70% 0.1 200)']],
    ['cmyk(100%, 20%, 0%, 30%)', /plain uncalibrated formula/, ['#008fb3']],
    ['device-cmyk(1 .2 0 .3)', /plain uncalibrated formula/, ['#008fb3']],
    ['hsv(200, 50%, 60%)', /CSS has no hsv\(\)/, ['#4d7f99']],
    ['#abcg', /"g" is not a hex digit/, ['#abc6']],
    ['#ab', /this has 2/, ['#ababab']],
    ['tomatoe', /not a colour that CSS knows/, ['tomato']],
    ['', /Nothing was entered/, []],
  ])('%s is told why it is none, and what may have been meant', (text, reason, meant) => {
    const read = readTyped(text);
    if (read.ok) throw new Error(`${text} was read`);
    expect(read.reason).toMatch(reason);
    for (const one of meant) expect(read.corrections).toContain(one);
    for (const one of read.corrections) expect(parseColor(one).ok).toBe(true);
  });

  test.each([
    ['dark blue', '#00008b'],
    ['Light Sea-Green', '#20b2aa'],
    ['0b5f6b', '#0b5f6b'],
    ['oklch(70% 0.1 200)', 'oklch(0.7 0.1 200)'],
    ['lab(70 20 30)', 'lab(70 20 30)'],
  ])('%s is read', (text, expected) => {
    const read = readTyped(text);
    expect(read.ok && canonical(read.color)).toBe(expected);
  });
});

describe('in a text', () => {
  it('what is no colour of CSS does not pass in silence', () => {
    const { near, found } = findColors(
      'Ours: cmyk(100%, 20%, 0%, 30%), hsv(200, 50%, 60%), #abcg, #ab, oklch(70 0.1 200), lab(50, 20, 30).\ntomatoe\nlightblu, #0b5f6b7',
    );
    expect(found).toEqual([]);
    expect(near.map(({ text }) => text)).toEqual([
      'cmyk(100%, 20%, 0%, 30%)',
      'hsv(200, 50%, 60%)',
      '#abcg',
      '#ab',
      'oklch(70 0.1 200)',
      'lab(50, 20, 30)',
      'tomatoe',
      'lightblu',
      '#0b5f6b7',
    ]);
    for (const { corrections } of near) expect(corrections.length).toBeGreaterThan(0);
  });

  it('words of a sentence are no misspelt names, and a sheet is read as browsers do', () => {
    expect(findColors('We saw a violent sea, some oranges and read a linnen book.').near).toEqual([]);
    const sheet = findColors(
      'a { color: oklch(70 0.1 200); } b { color: red; margin: 0; } c { color: blue; }',
    );
    expect(sheet.near).toEqual([]);
    expect(sheet.found.map(({ color }) => color)).toEqual(['oklch(1 0.1 200)', '#ff0000', '#0000ff']);
  });

  it('so many colours that nobody looks through them are counted and not listed', () => {
    const codes = Array.from({ length: 6000 }, (_, i) => `#${(0x100000 + i * 7).toString(16)}`).join(' ');
    const { found, beyond } = findColors(codes);
    expect([found.length, beyond]).toEqual([4000, 2000]);
  });
});

it('reads all that CSS reads', () => {
  for (const text of [
    'red',
    '#abc',
    'rgb(1 2 3)',
    'color-mix(in oklab, red, blue)',
    'transparent',
    'lch(50 30 200)',
  ])
    expect(readTyped(text)).toEqual(parseColor(text));
  expect(css('rebeccapurple')).toBe('#663399');
});

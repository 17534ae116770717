import { expect, it, test } from 'vitest';
import { namedIn, partsOfSaid } from './mentions.ts';

const PEOPLE = [
  { id: 'u', name: 'Ula' },
  { id: 'b', name: 'Ula Brandt' },
  { id: 'n', name: 'Nis' },
  { id: 'm', name: 'nis' },
  { id: 'x', name: 'Åse-Liv' },
];

test.each([
  ['@Ula, darker?', ['u']],
  ['@ula brandt and @Ula', ['b', 'u']],
  ['@Nis twice: @Nis', ['n', 'm']],
  ['Ask @åse-liv.', ['x']],
  ['(@Ula)', ['u']],
  ['mail@Ula.example', []],
  ['@Ulandra', []],
  ['@ Ula', []],
  ['@@Ula', ['u']],
  ['nobody', []],
  ['', []],
])('%j names %j', (text, named) => {
  expect(namedIn(text, PEOPLE)).toEqual(named);
});

it('loses nothing of the text', () => {
  for (const text of ['@Ula, @Nis: lighter?\n@', '@', 'a@Ula @Ula Brandt@Nis', ''])
    expect(
      partsOfSaid(text, PEOPLE)
        .map((part) => part.text)
        .join(''),
    ).toBe(text);
  expect(partsOfSaid('Ask @Nis.', PEOPLE)).toEqual([
    { text: 'Ask ', people: [] },
    { text: '@Nis', people: ['n', 'm'] },
    { text: '.', people: [] },
  ]);
  expect(namedIn('@', [{ id: 'a', name: ' ' }])).toEqual([]);
});

it('names at most as many as a note tells', () => {
  const many = Array.from({ length: 40 }, (_, i) => ({ id: `${i}`, name: `Mate ${i}x` }));
  expect(namedIn(many.map(({ name }) => `@${name}`).join(' '), many)).toHaveLength(20);
});

import { expect, it } from 'vitest';
import type { Note } from './note.ts';
import { withSignedNotes } from './signed-notes.ts';

const note = (id: string, author?: string, by = ''): Note => ({
  id,
  on: { kind: 'role', role: 'text-main' },
  text: 'Darker?',
  by,
  at: 0,
  settled: false,
  answers: [],
  ...(author === undefined ? {} : { author }),
});

it('names those who are known, keeps what others called themselves, and no id leaves', () => {
  const names = new Map([['p1', 'Ula']]);
  const document = { notes: [note('a', 'p1'), note('b', 'gone'), note('c', undefined, 'Nis')] };
  const { notes } = withSignedNotes(document, (author) => names.get(author) ?? null);
  expect(notes).toEqual([note('a', undefined, 'Ula'), note('b'), note('c', undefined, 'Nis')]);
  const answered = {
    ...note('d'),
    mentions: ['p1'],
    answers: [{ id: 'e', text: '@Ula, yes', author: 'p1', by: '', at: 1, mentions: ['p1'] }],
  };
  expect(withSignedNotes({ notes: [answered] }, () => 'Ula').notes).toEqual([
    { ...note('d'), answers: [{ id: 'e', text: '@Ula, yes', by: 'Ula', at: 1 }] },
  ]);
  const unsigned = { notes: [note('c', undefined, 'Nis')] };
  expect(withSignedNotes(unsigned, () => 'Ula')).toBe(unsigned);
});

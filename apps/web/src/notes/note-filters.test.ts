import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { Note } from '@mint-lamp/core/document/notes/note';
import { expect, it, test } from 'vitest';
import { filteredNotes, type NoteFilters } from './note-filters.ts';

const note = (id: string, at: number, more: Partial<Note> = {}): Note => ({
  id,
  on: { kind: 'role', role: SKERRY_LINE.roles[0]!.id },
  text: id,
  by: '',
  at,
  settled: false,
  answers: [],
  ...more,
});
const NOTES = [
  note('first', 1, { author: 'ula', forClient: true }),
  note('answered', 2, {
    by: 'Nis',
    answers: [{ id: 'a', text: 'Warmer, @Ula', author: 'pia', by: '', at: 9, mentions: ['ula'] }],
  }),
  note('settled', 8, { settled: true, on: { kind: 'base', family: 'buoy' } }),
  note('shade', 4, { on: { kind: 'shade', family: 'buoy', shade: '300' } }),
  note('page', 3, { on: { kind: 'scene', scene: 'board' }, text: '@Ula, this', mentions: ['ula'] }),
];
const ALL: NoteFilters = { state: 'all', on: '', by: '', to: '', find: '' };

test.each<[Partial<NoteFilters>, string[]]>([
  [{}, ['answered', 'shade', 'page', 'first', 'settled']],
  [{ state: 'open' }, ['answered', 'shade', 'page', 'first']],
  [{ state: 'settled' }, ['settled']],
  [{ on: 'color' }, ['shade', 'settled']],
  [{ on: 'scene' }, ['page']],
  [{ by: 'id pia' }, ['answered']],
  [{ by: 'by Nis' }, ['answered']],
  [{ to: 'client' }, ['first']],
  [{ to: 'team' }, ['answered', 'shade', 'page', 'settled']],
  [{ to: 'me' }, ['answered', 'page']],
  [{ find: 'warmer' }, ['answered']],
  [{ find: ' Buoy 3' }, ['shade']],
  [{ find: 'board', state: 'open' }, ['page']],
  [{ find: 'nothing such' }, []],
])('%j', (filters, ids) => {
  expect(filteredNotes(NOTES, SKERRY_LINE, { ...ALL, ...filters }, 'ula').map(({ id }) => id)).toEqual(ids);
});

it('names nobody where nobody is told apart', () => {
  expect(filteredNotes(NOTES, SKERRY_LINE, { ...ALL, to: 'me' }, null)).toEqual([]);
});

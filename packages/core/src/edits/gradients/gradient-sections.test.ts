import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Gradient } from '../../document/gradients/gradient.ts';
import { gradientSections, movedBeside, neighbourOf } from './gradient-sections.ts';

const [light] = SKERRY_LINE.gradients;
const copies = ['a', 'b', 'c', 'd'].map((id): Gradient => ({ ...light!, id, name: `Fade ${id}` }));
const doc = after(
  SKERRY_LINE,
  ...copies.map((gradient) => ({ type: 'addGradient', gradient }) as const),
  { type: 'setGradient', gradient: 'b', change: { group: 'Notices' } },
  { type: 'setGradient', gradient: 'd', change: { group: 'Notices' } },
  { type: 'setGradient', gradient: 'c', change: { favourite: true } },
);
const listed = ({ gradients }: ProjectDocument) =>
  gradientSections(gradients).map(({ kind, group, gradients: list }) => [
    group || kind,
    list.map(({ id }) => id).join(' '),
  ]);
const moved = (from: ProjectDocument, id: string, other: string) =>
  after(from, { type: 'batch', label: 'move', commands: movedBeside(from.gradients, id, other) });

describe('gradients as they are listed', () => {
  it('are favourites first, then those on their own, then groups', () => {
    expect(listed(doc)).toEqual([
      ['favourites', 'c'],
      ['own', 'first-light wake a'],
      ['Notices', 'b d'],
    ]);
  });

  it('are put beside others, into their group, and back by one undo each', () => {
    const there = moved(doc, 'a', 'd');
    expect(listed(there)).toEqual([
      ['favourites', 'c'],
      ['own', 'first-light wake'],
      ['Notices', 'b a d'],
    ]);
    expect(listed(moved(there, 'a', 'wake'))[1]).toEqual(['own', 'first-light a wake']);
    // Among the favourites it keeps its group.
    const first = moved(doc, 'b', 'c');
    expect(listed(first)[0]).toEqual(['favourites', 'b c']);
    expect(first.gradients.find(({ id }) => id === 'b')).toMatchObject({ group: 'Notices', favourite: true });
    expect(movedBeside(doc.gradients, 'a', 'a')).toEqual([]);
    expect(movedBeside(doc.gradients, 'a', 'gone')).toEqual([]);
  });

  it('have neighbours in their own section only', () => {
    const ids = (id: string) =>
      ([-1, 1] as const).map((way) => neighbourOf(doc.gradients, id, way)?.id ?? null);
    expect([ids('first-light'), ids('wake'), ids('d'), ids('c')]).toEqual([
      [null, 'wake'],
      ['first-light', 'a'],
      ['b', null],
      [null, null],
    ]);
  });
});

import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import type { ProjectDocument } from '../document/document.ts';
import { documentSchema } from '../document/document-schema.ts';
import { notedName } from '../document/naming/note-name.ts';
import type { Note } from '../document/notes/note.ts';
import { resolveSystem } from '../system/resolve.ts';
import { castOf } from '../system/scenes/cast.ts';
import { scenePaints } from '../system/scenes/scene-paints.ts';
import { sharedDocument } from './shared-document.ts';

const DOCUMENT: ProjectDocument = {
  ...SKERRY_LINE,
  notes: [
    note('a', { kind: 'role', role: SKERRY_LINE.roles[0]!.id }, true),
    note('b', { kind: 'role', role: SKERRY_LINE.roles[0]!.id }, false),
    note('c', { kind: 'base', family: SKERRY_LINE.families[1]!.id }, true),
    note('d', { kind: 'swatch', swatch: SKERRY_LINE.tray[0]!.id }, true),
    note('e', { kind: 'project' }, true),
    note('f', { kind: 'scene', scene: 'board' }, true),
    note('g', { kind: 'theme', theme: SKERRY_LINE.themes[0]!.id }, true),
    note('h', { kind: 'scene', scene: 'attic' }, true),
  ],
};

function note(id: string, on: Note['on'], isForClient: boolean): Note {
  return {
    id,
    on,
    text: id,
    author: 'p1',
    by: '',
    at: 0,
    settled: false,
    answers: [{ id: `${id}-answer`, text: 'Yes', author: 'p2', by: '', at: 1, mentions: ['p1'] }],
    ...(isForClient ? { forClient: true } : {}),
  };
}

type Subject = Parameters<typeof sharedDocument>[1];
const shared = (subject: Subject, document = DOCUMENT, tries = false) =>
  sharedDocument(document, subject, tries, () => 'Ula');

const SUBJECTS: readonly Subject[] = [
  { kind: 'project' },
  { kind: 'report' },
  ...['landing', 'board', 'phone'].map((scene) => ({ kind: 'scene', scene }) as const),
  ...DOCUMENT.gradients.map(({ id }) => ({ kind: 'gradient', gradient: id }) as const),
  ...DOCUMENT.families.map(({ id }) => ({ kind: 'family', family: id }) as const),
];

/** A document that follows itself all over, with much left out at Deliver. */
const LEFT_OUT: ProjectDocument = {
  ...DOCUMENT,
  delivery: {
    ...DOCUMENT.delivery,
    leftOut: {
      family: DOCUMENT.families.slice(0, 2).map(({ id }) => id),
      role: DOCUMENT.roles.slice(3, 6).map(({ id }) => id),
      theme: [DOCUMENT.themes.at(-1)!.id],
      gradient: [DOCUMENT.gradients[0]!.id],
    },
  },
};

describe('what a share shows of a project', () => {
  const cases = [DOCUMENT, LEFT_OUT].flatMap((document, i) =>
    SUBJECTS.flatMap((subject) =>
      [false, true].map((tries) => ({ subject, tries, document, whole: i ? 'with much left out' : 'whole' })),
    ),
  );
  it.each(cases)('is a document, every colour what it was: $subject, $whole, tries $tries', (one) => {
    const { subject, tries, document } = one;
    const part = shared(subject, document, tries)!;
    expect(documentSchema.validate(part).error).toBeUndefined();
    const [before, after] = [resolveSystem(document), resolveSystem(part)];
    for (const theme of after.themes.values()) {
      const then = before.themes.get(theme.theme.id)!;
      for (const [id, { color }] of theme.roles) expect(color?.css).toBe(then.roles.get(id)!.color?.css);
      for (const [id, { colors }] of theme.gradients)
        expect(colors.map((color) => color?.css)).toEqual(then.gradients.get(id)!.colors.map((c) => c?.css));
    }
    for (const [id, { shades }] of after.families)
      expect(shades.map(({ css }) => css)).toEqual(before.families.get(id)!.shades.map(({ css }) => css));
    const { tray, rounds, artworks, pictures, declined, relatives } = part;
    expect([tray, rounds, artworks, pictures, declined, relatives.rows]).toEqual(Array(6).fill([]));
    for (const { on } of part.notes) expect(notedName(part, on)).not.toBeNull();
  });

  it('has the notes that are for the client, on what is in it, signed by name', () => {
    const texts = (subject: Subject) =>
      shared(subject)!.notes.map(({ text, by, author }) => [text, by, author]);
    expect(texts({ kind: 'project' })).toEqual([
      ['a', 'Ula', undefined],
      ['c', 'Ula', undefined],
      ['e', 'Ula', undefined],
      ['f', 'Ula', undefined],
      ['g', 'Ula', undefined],
    ]);
    expect(shared({ kind: 'project' })!.notes[0]!.answers).toEqual([
      { id: 'a-answer', text: 'Yes', by: 'Ula', at: 1 },
    ]);
    const ids = (subject: Subject) => shared(subject)!.notes.map(({ id }) => id);
    expect(ids({ kind: 'scene', scene: 'board' })).toEqual(expect.arrayContaining(['f', 'g']));
    expect(ids({ kind: 'scene', scene: 'phone' })).not.toContain('f');
    expect(ids({ kind: 'gradient', gradient: DOCUMENT.gradients[0]!.id })).toEqual([]);
    expect(texts({ kind: 'family', family: DOCUMENT.families[1]!.id })).toEqual([['c', 'Ula', undefined]]);
    expect(texts({ kind: 'family', family: DOCUMENT.families[0]!.id })).toEqual([]);
  });

  it('paints scenes with what painted them, among fewer roles', () => {
    const unused = { ...DOCUMENT.roles[0]!, id: 'unused', group: [], name: 'xylophone' };
    const more = { ...DOCUMENT, roles: [...DOCUMENT.roles, unused] };
    const part = shared({ kind: 'scene', scene: 'board' }, more)!;
    expect(part.families).toEqual([]);
    expect(part.roles.map(({ id }) => id)).not.toContain('unused');
    const [before, after] = [more, part].map((document) => {
      const uses = castOf(document);
      return [...resolveSystem(document).themes.values()].map((theme) =>
        scenePaints(uses, theme, () => null),
      );
    });
    // Of gradients only the hero's is needed.
    expect(after).toEqual(before);
    expect(shared({ kind: 'scene', scene: 'board' }, DOCUMENT, true)!.families).toHaveLength(
      DOCUMENT.families.length,
    );
  });

  it('is nothing of what is gone', () => {
    expect(shared({ kind: 'gradient', gradient: 'gone' })).toBeNull();
    expect(shared({ kind: 'family', family: 'gone' })).toBeNull();
  });
});

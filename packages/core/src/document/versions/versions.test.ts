import { readFileSync } from 'node:fs';
import { describe, expect, it, test } from 'vitest';
import { readColor } from '../../color/parse.ts';
import { MINT_LAMP_INTERFACE } from '../../demo/interface.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { writeCss } from '../../exchange/css.ts';
import { declarationsOf } from '../../exchange/declarations.fixture.ts';
import { type Growth, grow } from '../../family/grow.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { after } from '../commands/after.fixture.ts';
import type { Command } from '../commands/command.ts';
import { commandSchema } from '../commands/command-schema.ts';
import { ENTWINED } from '../commands/small-documents.fixture.ts';
import type { ProjectDocument } from '../document.ts';
import { documentSchema } from '../document-schema.ts';
import { roleNameIn } from '../naming/role-name.ts';
import { NO_WORDS } from '../project/sample-words.ts';
import { DOCUMENT_VERSION } from '../version.ts';
import { readLater } from './later.ts';
import { migrateCommand, migrateDocument } from './versions.ts';

const fixture = (name: string) => readFileSync(new URL(`fixtures/${name}`, import.meta.url), 'utf8');
const stored = (name: string) => JSON.parse(fixture(name));

/** A document without what came with version 11: answers to its notes. */
const unanswered = (document: ProjectDocument): ProjectDocument => ({
  ...document,
  notes: document.notes.map((note) => ({ ...note, answers: [] })),
});

/** A document without what came with version 7 either: what paints its scenes and what they say. */
const sceneless = (document: ProjectDocument): ProjectDocument => ({
  ...unanswered(document),
  scenes: { cast: {}, words: {} },
  artworks: [],
});

/** A document without what came with version 5 either: the words of its samples, and declined pairs. */
const wordless = (document: ProjectDocument): ProjectDocument => ({
  ...sceneless(document),
  words: NO_WORDS,
  declined: [],
});

/** A stored document in today's schema, as the schema has it. */
function migrated(name: string): ProjectDocument {
  const result = migrateDocument(stored(name));
  if (!result.ok) throw new Error(result.why);
  const { error } = documentSchema.validate(result.value);
  if (error) throw error;
  return result.value as ProjectDocument;
}

describe('documents of version 1', () => {
  test.each([
    ['skerry-line-1.json', SKERRY_LINE],
    ['interface-1.json', MINT_LAMP_INTERFACE],
  ])('%s is what that demo is today', (name, today) => {
    expect(migrated(name)).toEqual(wordless(today));
  });

  it('export what they exported then', () => {
    const css = writeCss(resolveSystem(migrated('skerry-line-1.json')));
    expect(declarationsOf(css)).toEqual(declarationsOf(fixture('skerry-line-1.css')));
  });

  it('take the commands of that version, and export then too what they exported', () => {
    const unsent = Object.values(stored('unsent-1.json')).map((old) => {
      const result = migrateCommand(old, 1);
      if (!result.ok) throw new Error(result.why);
      const { error } = commandSchema.validate(result.value);
      if (error) throw error;
      return result.value as Command;
    });
    expect(unsent).toHaveLength(10);
    const doc = after(migrated('edited-1.json'), ...unsent);
    expect(roleNameIn(doc.roles, 'ticket-stub')).toBe('ticket.stub-no-1.quiet-text');
    expect(declarationsOf(writeCss(resolveSystem(doc)))).toEqual(
      declarationsOf(fixture('edited-and-sent-1.css')),
    );
  });
});

describe('documents of version 2', () => {
  it('have trays without groups', () => {
    expect(migrated('skerry-line-2.json')).toEqual(wordless(SKERRY_LINE));
  });

  it('take the commands of that version', () => {
    const unsent = Object.values(stored('unsent-2.json')).map((kept) => {
      const { form, command } = kept as { form: number; command: unknown };
      const result = migrateCommand(command, form);
      if (!result.ok) throw new Error(result.why);
      const { error } = commandSchema.validate(result.value);
      if (error) throw error;
      return result.value as Command;
    });
    const { tray } = after(migrated('skerry-line-2.json'), ...unsent);
    expect(tray.map(({ id, group, added }) => [id, group, added]).slice(2, 3)).toEqual([['rope', '', 0]]);
    expect(tray.at(-1)).toEqual({ id: 'tar', name: 'Tar', color: '#202020', group: '', added: 0 });
  });
});

describe('documents of version 3', () => {
  it('have no pictures, relatives, rounds of proposals, recipes or notes', () => {
    expect(migrated('skerry-line-3.json')).toEqual(wordless(SKERRY_LINE));
  });

  it('have families that follow nobody, and grow on plain colours what they grew then', () => {
    const old = stored('grown-3.json').families as { base: string; growth: Growth }[];
    const now = migrated('grown-3.json');
    const { families } = resolveSystem(now);
    now.families.forEach(({ id, follows }, i) => {
      expect(follows).toBeNull();
      const { base, growth } = old[i]!;
      expect(families.get(id)!.shades.map(({ css }) => css)).toEqual(
        grow(readColor(base), growth).map(({ hex }) => hex),
      );
    });
    expect(now.families[3]!.growth).toMatchObject({ ground: { to: 'color', color: '#07191e' } });
  });

  it('migrate commands with growths, in a batch too', () => {
    const commands = (stored('unsent-3.json') as unknown[]).map((old) => {
      const result = migrateCommand(old, 3);
      if (!result.ok) throw new Error(result.why);
      const { error } = commandSchema.validate(result.value);
      if (error) throw error;
      return result.value as Command;
    });
    const { families } = after(migrated('grown-3.json'), ...commands);
    expect(families.at(-1)).toMatchObject({
      id: 'mist',
      follows: null,
      growth: { kind: 'opacity', ground: { to: 'color', color: '#ffffff' } },
    });
    expect(families[1]!.growth).toMatchObject({ ground: { to: 'color', color: '#ffffff' } });
    expect(families[4]!.growth).toMatchObject({ kind: 'mix' });
  });

  it('take other commands of that version as they are', () => {
    const { swatch, ...rest } = stored('add-swatch-3.json');
    const result = migrateCommand({ ...rest, swatch }, 3);
    expect(result.ok && commandSchema.validate(result.value).error).toBeUndefined();
    const { tray, pictures } = after(migrated('skerry-line-3.json'), { ...rest, swatch } as Command);
    expect([tray.at(-1), pictures]).toEqual([swatch, []]);
  });
});

describe('documents of version 4', () => {
  it('have no words of their own for samples, and no pair was declined', () => {
    expect(migrated('skerry-line-4.json')).toEqual(wordless(SKERRY_LINE));
    expect(migrated('entwined-4.json')).toEqual(wordless(ENTWINED));
  });

  it('take the commands of that version, with pairs that have nothing that may be left out', () => {
    const commands = (stored('unsent-4.json') as unknown[]).map((old) => {
      const result = migrateCommand(old, 4);
      if (!result.ok) throw new Error(result.why);
      const { error } = commandSchema.validate(result.value);
      if (error) throw error;
      return result.value as Command;
    });
    const { pairs } = after(migrated('skerry-line-4.json'), ...commands);
    expect([pairs[0]!.id, pairs.at(-1)]).toEqual([
      'p10',
      {
        id: 'p9',
        foreground: 'text-main',
        background: 'page-sunken',
        target: { level: 'AAA', content: 'large' },
        size: 28,
        weight: 700,
      },
    ]);
    expect(pairs).toHaveLength(SKERRY_LINE.pairs.length + 1);
  });
});

describe('documents of version 5', () => {
  it('have gradients in no group, none a favourite, and none paints a role', () => {
    expect(migrated('skerry-line-5.json')).toEqual(sceneless(SKERRY_LINE));
    expect(migrated('entwined-5.json')).toEqual(sceneless(ENTWINED));
  });

  it('take the commands of that version', () => {
    const commands = (stored('unsent-5.json') as unknown[]).map((old) => {
      const result = migrateCommand(old, 5);
      if (!result.ok) throw new Error(result.why);
      const { error } = commandSchema.validate(result.value);
      if (error) throw error;
      return result.value as Command;
    });
    const { gradients, roles } = after(migrated('skerry-line-5.json'), ...commands);
    expect(gradients[0]).toMatchObject({ id: 'first-light', kind: 'conic', from: 30, space: 'srgb' });
    expect(Object.keys(gradients[0]!)).not.toContain('group');
    expect(roles.find(({ id }) => id === 'action-fill')!.links).toMatchObject({
      day: { to: 'shade', family: 'buoy', shade: '700' },
      glare: { to: 'role', role: 'text-main', opacity: 0.5 },
    });
  });
});

describe('documents of version 6', () => {
  it('have nothing chosen for scenes, which say plain words', () => {
    expect(migrated('skerry-line-6.json')).toEqual(sceneless(SKERRY_LINE));
    expect(migrated('entwined-6.json')).toEqual(sceneless(ENTWINED));
  });

  it('take the commands of that version', () => {
    const commands = (stored('unsent-6.json') as unknown[]).map((old) => {
      const result = migrateCommand(old, 6);
      if (!result.ok) throw new Error(result.why);
      const { error } = commandSchema.validate(result.value);
      if (error) throw error;
      return result.value as Command;
    });
    const { gradients, roles, words, scenes } = after(migrated('skerry-line-6.json'), ...commands);
    expect(gradients[0]).toMatchObject({ id: 'first-light', favourite: true });
    expect(roles.find(({ id }) => id === 'board-ground')!.links.day).toEqual({
      to: 'gradient',
      gradient: 'first-light',
    });
    expect([words.text, scenes]).toEqual(['Hallin', { cast: {}, words: {} }]);
  });
});

describe('documents of version 7', () => {
  it('hand over everything, in the usual forms', () => {
    expect(migrated('skerry-line-7.json')).toEqual(SKERRY_LINE);
    expect(migrated('entwined-7.json')).toEqual(unanswered(ENTWINED));
  });

  it('take the commands of that version', () => {
    const commands = (stored('unsent-7.json') as unknown[]).map((old) => {
      const result = migrateCommand(old, 7);
      if (!result.ok) throw new Error(result.why);
      const { error } = commandSchema.validate(result.value);
      if (error) throw error;
      return result.value as Command;
    });
    const { notes, roles, scenes, delivery } = after(migrated('skerry-line-7.json'), ...commands);
    expect(notes).toEqual([
      {
        id: 'n1',
        on: { kind: 'role', role: 'text-main' },
        text: 'Darker?',
        by: '',
        at: 0,
        settled: true,
        answers: [],
      },
    ]);
    expect(roles.find(({ id }) => id === 'sea')).toMatchObject({ group: ['map'], name: 'sea', use: 'fill' });
    expect(scenes.words.headline).toBe('Off to Hallin');
    expect(delivery).toEqual(SKERRY_LINE.delivery);
  });
});

describe('documents of version 8', () => {
  it('have roles that do not know what they were', () => {
    expect(migrated('skerry-line-8.json')).toEqual(SKERRY_LINE);
    expect(migrated('entwined-8.json')).toEqual(unanswered(ENTWINED));
  });

  it('take the commands of that version', () => {
    const commands = (stored('unsent-8.json') as unknown[]).map((old) => {
      const result = migrateCommand(old, 8);
      if (!result.ok) throw new Error(result.why);
      const { error } = commandSchema.validate(result.value);
      if (error) throw error;
      return result.value as Command;
    });
    const { roles, delivery } = after(migrated('skerry-line-8.json'), ...commands);
    expect(roles.find(({ id }) => id === 'sea')).toEqual({
      id: 'sea',
      group: ['map'],
      name: 'sea',
      about: 'Water on maps',
      retired: 'page.ground',
      links: {},
    });
    expect(delivery.copied).toBe('oklch');
  });
});

describe('documents of version 9', () => {
  it('have notes that do not know whose they are', () => {
    expect(migrated('skerry-line-9.json')).toEqual(SKERRY_LINE);
    expect(migrated('entwined-9.json')).toEqual(unanswered(ENTWINED));
  });

  it('take the commands of that version', () => {
    const commands = (stored('unsent-9.json') as unknown[]).map((old) => {
      const result = migrateCommand(old, 9);
      if (!result.ok) throw new Error(result.why);
      const { error } = commandSchema.validate(result.value);
      if (error) throw error;
      return result.value as Command;
    });
    const { notes } = after(migrated('skerry-line-9.json'), ...commands);
    expect(notes).toEqual([
      {
        id: 'n1',
        on: { kind: 'role', role: 'text-main' },
        text: 'Darker?',
        by: 'Ula',
        at: 7,
        settled: true,
        answers: [],
      },
    ]);
  });
});

describe('documents of version 10', () => {
  it('have notes that nobody could answer', () => {
    expect(migrated('skerry-line-10.json')).toEqual(SKERRY_LINE);
    expect(migrated('entwined-10.json')).toEqual(unanswered(ENTWINED));
  });

  it('take the commands of that version, in a batch too', () => {
    const commands = (stored('unsent-10.json') as unknown[]).map((old) => {
      const result = migrateCommand(old, 10);
      if (!result.ok) throw new Error(result.why);
      const { error } = commandSchema.validate(result.value);
      if (error) throw error;
      return result.value as Command;
    });
    const { notes } = after(migrated('skerry-line-10.json'), ...commands);
    expect(notes.map(({ id, text, settled, answers }) => [id, text, settled, answers])).toEqual([
      ['n2', 'Warmer?', false, []],
      ['n1', 'Darker, please', true, []],
    ]);
    const [, first] = notes;
    expect(first).toMatchObject({ author: 'p1', forClient: true });
  });
});

describe('migrating', () => {
  it('leaves today’s documents and commands as they are', () => {
    expect(migrateDocument(SKERRY_LINE)).toEqual({ ok: true, value: SKERRY_LINE });
    const command: Command = { type: 'removeTheme', theme: 'night' };
    expect(migrateCommand(command, DOCUMENT_VERSION)).toEqual({ ok: true, value: command });
  });

  test.each([
    [{ ...SKERRY_LINE, version: DOCUMENT_VERSION + 1 }, 'later'],
    [{ ...SKERRY_LINE, version: 0 }, 'unreadable'],
    [{ ...SKERRY_LINE, version: '1' }, 'unreadable'],
    [{ version: 1, roles: 7 }, 'unreadable'],
    [null, 'unreadable'],
    ['text', 'unreadable'],
  ])('says why not, %#', (document, why) => {
    expect(migrateDocument(document)).toEqual({ ok: false, why });
  });

  it('says why not of commands, and never throws', () => {
    expect(migrateCommand({ type: 'addRole' }, 1)).toEqual({ ok: false, why: 'unreadable' });
    expect(migrateCommand({ type: 'removeTheme', theme: 'x' }, DOCUMENT_VERSION + 1)).toEqual({
      ok: false,
      why: 'later',
    });
    expect(migrateCommand({ type: 'constructor' }, 1)).toMatchObject({ ok: true });
  });
});

describe('a document of a later version', () => {
  it('is read as far as its things are of today’s schema', () => {
    const later = {
      ...SKERRY_LINE,
      version: DOCUMENT_VERSION + 1,
      moods: ['calm'],
      roles: [
        { ...SKERRY_LINE.roles[0], mood: 'calm' },
        { id: 'spiral', kind: 'unheard of' },
      ],
    };
    const { moods: _, ...rest } = later;
    expect(readLater(later)).toEqual({
      ...rest,
      version: DOCUMENT_VERSION,
      roles: [SKERRY_LINE.roles[0]],
    });
  });

  test.each([
    [null],
    [7],
    [{ version: DOCUMENT_VERSION + 1 }],
    [{ ...SKERRY_LINE, themes: [] }],
    [{ ...SKERRY_LINE, name: 5 }],
  ])('that says too little is not shown, %#', (stored) => {
    expect(readLater(stored)).toBeNull();
  });
});

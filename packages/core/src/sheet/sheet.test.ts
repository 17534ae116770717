import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { isDeepStrictEqual } from 'node:util';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../test/runs.ts';
import { readBlocks } from '../cascade/rules.ts';
import { MINT_LAMP_INTERFACE } from '../demo/interface.ts';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { applyCommand } from '../document/commands/apply.ts';
import { commandSchema } from '../document/commands/command-schema.ts';
import { anyDocument } from '../document/commands/random-document.fixture.ts';
import { emptyDocument, type ProjectDocument } from '../document/document.ts';
import { documentSchema } from '../document/document-schema.ts';
import type { RoleLink } from '../document/links/link.ts';
import { writeRoleName } from '../document/naming/role-name.ts';
import { writeCss } from '../exchange/css.ts';
import { resolveSystem } from '../system/resolve.ts';
import { rolePaint } from '../system/roles/role-paint.ts';
import { adoptSheet, type SheetChoice, wholeOf } from './adopt.ts';
import { readSheet, type SheetSystem } from './sheet-system.ts';
import { themesOf } from './theme-blocks.ts';

const require = createRequire(import.meta.url);
const read = (css: string): SheetSystem => {
  const system = readSheet(css);
  if (!system) throw new Error('Nothing was read.');
  return system;
};
let ids = 0;
const newId = () => `n${++ids}`;
const EMPTY = emptyDocument('New', [
  { id: 'light', name: 'Light' },
  { id: 'dark', name: 'Dark' },
]);

function adopted(
  document: ProjectDocument,
  system: SheetSystem,
  choice: SheetChoice = wholeOf(system),
): ProjectDocument {
  const adoption = adoptSheet(document, system, choice, newId);
  if (!adoption) return document;
  const { command } = adoption;
  const { error } = commandSchema.validate(command);
  if (error) throw error;
  const result = applyCommand(document, command);
  if (!result.ok) throw new Error(result.reason);
  const back = applyCommand(result.document, result.inverse);
  if (!back.ok || !isDeepStrictEqual(back.document, document)) throw new Error('It is not taken back.');
  return result.document;
}

/** Whether the shade where a family's base stands is another colour: then a link to the base is written as a colour. */
function isSetByHand(document: ProjectDocument, id: string): boolean {
  const resolved = resolveSystem(document).families.get(id);
  return resolved !== undefined && resolved.family.handSet[resolved.base.label] !== undefined;
}

/** A document as what can be seen of it in its CSS, by name, without ids; `isWritten`: as the CSS has it. */
function inNames(document: ProjectDocument, isWritten = false) {
  const system = resolveSystem(document);
  const roles = new Map(document.roles.map((role) => [role.id, writeRoleName(role)]));
  const families = new Map(document.families.map(({ id, name }) => [id, name]));
  const gradients = new Map(document.gradients.map(({ id, name }) => [id, name]));
  const link = (one: RoleLink) => {
    if (one.to === 'gradient') return gradients.get(one.gradient);
    // A plain colour under an opacity is a plain colour again.
    if (one.to === 'color' || (isWritten && one.to === 'base' && isSetByHand(document, one.family)))
      return 'plain';
    const under = one.opacity === undefined || one.opacity === 1 ? '' : ` @ ${one.opacity}`;
    return `${one.to === 'role' ? roles.get(one.role) : `${families.get(one.family)} ${one.to === 'base' ? 'base' : one.shade}`}${under}`;
  };
  const themes = [...system.themes.values()].map(({ theme, roles: resolved }) => [
    theme.name,
    [...resolved.values()].flatMap(({ role, link: own }) => {
      const paint = rolePaint(system.themes.get(theme.id)!, role.id);
      return own && paint ? [[writeRoleName(role), link(own), paint]] : [];
    }),
  ]);
  return {
    themes,
    families: [...system.families.values()].map(({ family, shades }) => [
      family.name,
      shades.map(({ label, css }) => [label, css]),
    ]),
  };
}

describe('the rules of a style sheet', () => {
  it('come with the comments about them, however they are nested', () => {
    const [root, inner, dark] = readBlocks(`
      /* Day */
      :root, [data-theme="a,b"] {
        /* Deep
           water */
        --a: #123; /* the first */
        --b: rgb(1, 2, 3)
      }
      @supports (color: red) { .x { color: red; &:hover { color: /* or blue */ blue } } }
      @media (prefers-color-scheme: dark) { :root { --a: #fff } }`).filter(
      ({ selectors }) => selectors[0] !== '.x',
    );
    expect(root).toMatchObject({ selectors: [':root', '[data-theme="a,b"]'], asks: {}, heading: 'Day' });
    expect(root!.declarations.map(({ at: _, ...rest }) => rest)).toEqual([
      {
        property: '--a',
        value: '#123',
        important: false,
        line: 6,
        heading: 'Deep water',
        remark: 'the first',
      },
      {
        property: '--b',
        value: 'rgb(1, 2, 3)',
        important: false,
        line: 7,
        heading: 'Deep water',
        remark: null,
      },
    ]);
    expect(inner).toMatchObject({
      selectors: ['.x:hover'],
      declarations: [{ property: 'color', value: 'blue' }],
    });
    expect(dark).toMatchObject({ asks: { scheme: 'dark' }, selectors: [':root'] });
  });

  it('are closed at the end of a sheet that is cut off, and what closes nothing is passed over', () => {
    const whole = [{ selectors: [':root'], declarations: [{ property: '--a', value: '#123456' }] }];
    expect(readBlocks('} ) :root { --a: #123456')).toMatchObject(whole);
    expect(readBlocks('] :root { --a: #123456 /* never')).toMatchObject(whole);
    expect(readBlocks('@media print { a { b: c } ) } :root { --a: #123456 } [')).toMatchObject([
      {},
      ...whole,
    ]);
  });

  it('are not swallowed by a bracket that was forgotten in one of them', () => {
    const rules = readBlocks(
      'a { color: rgb(300 20 } b { color: #b23a18 }\n@media (x { i { y: [1 } } u { z: "}" }',
    );
    expect(rules.map(({ selectors, declarations }) => [selectors[0], declarations[0]?.value])).toEqual([
      ['a', 'rgb(300 20 )'],
      ['b', '#b23a18'],
      ['i', '[1 ]'],
      ['u', '"}"'],
    ]);
  });

  test.each([
    [''],
    ['}'],
    ['a{'],
    ['/* never ends'],
    ['@media {'],
    [':root { --a: ; --b }'],
    ['a { color: #12345 }'],
  ])('are read as far as they go: %j', (css) => {
    expect(() => readSheet(css)).not.toThrow();
  });
});

it('reads anything at all without a throw, and what it proposes can be taken', () => {
  const piece = fc.constantFrom(
    ...[
      ':root',
      '{',
      '}',
      '--a',
      '--sea-100',
      '--sea-200',
      '--sea-300',
      ':',
      ';',
      '#0b5f6b',
      'rgb(1 2 3 / 0.4)',
    ],
    ...[
      'var(--a)',
      'var(--sea-200)',
      ' ',
      '/* x, grown from 100 */',
      '[data-theme=day]',
      '.dark',
      '@media (',
      ',',
    ],
    ...[
      'color-mix(in srgb, var(--a) 40%, transparent)',
      'linear-gradient(red, var(--a) 130%)',
      '"',
      '\\',
      '\n',
      'color',
    ],
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 60 }), (pieces) => {
      const system = readSheet(pieces.join(''));
      if (system) adopted(EMPTY, system);
    }),
    { numRuns: runs(10_000) },
  );
});

describe('the themes of a style sheet', () => {
  const themes = (css: string) => themesOf(readBlocks(css)).map(({ name }) => name);
  const light = ':root { --page: #fff; --text: #111; --line: #ccc }';
  test.each([
    ['a page alone', light, ['Light']],
    [
      'a colour scheme',
      `${light} @media (prefers-color-scheme: dark) { :root { --page: #000; --text: #eee } }`,
      ['Light', 'Dark'],
    ],
    ['an attribute', `${light} [data-theme=dark] { --page: #000; --text: #eee }`, ['Light', 'Dark']],
    ['a class', `${light} .theme-sea-fog { --page: #ccd; --text: #112 }`, ['Standard', 'Sea fog']],
    [
      'both, as one',
      `${light} .dark { --page: #000; --text: #fff } @media (prefers-color-scheme: dark) { :root:not(.light) { --page: #000 } }`,
      ['Light', 'Dark'],
    ],
    [
      'one that the page has unasked',
      ':root, [data-theme=day] { --page: #fff; --text: #111 } [data-theme=night] { --page: #000; --text: #fff }',
      ['Day', 'Night'],
    ],
    [
      'no part of the page',
      `${light} .button { --button: #123456; --page: #eee }  .card { --card: red; --card-line: blue }`,
      ['Light'],
    ],
  ])('%s', (_, css, names) => {
    expect(themes(css)).toEqual(names);
  });
});

describe('reading a style sheet as a system', () => {
  test.each([
    ['the ferry line', SKERRY_LINE],
    ['the interface of Mint Lamp', MINT_LAMP_INTERFACE],
  ])('brings back what was exported: %s', (_, document) => {
    const back = adopted(EMPTY, read(writeCss(resolveSystem(document))));
    expect(inNames(back)).toEqual(inNames(document));
    expect(back.gradients.map(({ name }) => name)).toEqual(document.gradients.map(({ name }) => name));
    // And once more, to the letter.
    expect(writeCss(resolveSystem({ ...back, name: document.name }))).toBe(writeCss(resolveSystem(document)));
  });

  it('brings back what was exported, of any document', () => {
    fc.assert(
      fc.property(anyDocument, (document) => {
        const css = writeCss(resolveSystem(document));
        const system = readSheet(css);
        const was = inNames(document, true);
        const withValue = was.themes.filter(([, roles]) => roles!.length);
        if (!system || !withValue.length) return;
        const back = inNames(adopted(EMPTY, system));
        // Told shortly: the difference of two systems would take long to write for each try.
        const themes = back.themes.filter(([, roles]) => roles!.length);
        if (!isDeepStrictEqual(themes, withValue)) throw new Error('The themes are not the same.');
        if (!isDeepStrictEqual(back.families, was.families))
          throw new Error('The families are not the same.');
      }),
      { numRuns: runs(2000) },
    );
  });

  it('links what uses var() under no opacity at all, as what it was', () => {
    const [first] = SKERRY_LINE.roles;
    const [theme] = SKERRY_LINE.themes;
    const unseen = { to: 'shade', family: 'deepwater', shade: '50', opacity: 0 } as const;
    const document = { ...SKERRY_LINE, roles: [{ ...first!, links: { [theme!.id]: unseen } }], pairs: [] };
    const { roles, families } = adopted(EMPTY, read(writeCss(resolveSystem(document))));
    const back = families.find(({ name }) => name === 'Deepwater')!.id;
    expect(Object.values(roles[0]!.links)).toEqual([{ ...unseen, family: back }]);
  });

  it('links what uses var(), also with an opacity, and leaves circles and what is gone without a value', () => {
    const system = read(`:root {
      --brand: #0b5f6b; --action-fill: var(--brand); --action-veil: color-mix(in srgb, var(--brand) 40%, transparent);
      --brand-rgb: 11, 95, 107; --shade: rgba(var(--brand-rgb), .5); --a: var(--b); --b: var(--a); --lost: var(--gone);
      --space: 4px }`);
    const { roles } = adopted(EMPTY, system, { ...wholeOf(system), families: new Set() });
    const links = Object.fromEntries(
      roles.map((role) => [writeRoleName(role), Object.values(role.links)[0]]),
    );
    const brand = roles.find(({ name }) => name === 'brand')!.id;
    expect(links).toEqual({
      brand: { to: 'color', color: '#0b5f6b' },
      'action.fill': { to: 'role', role: brand },
      'action.veil': { to: 'role', role: brand, opacity: 0.4 },
      shade: { to: 'role', role: brand, opacity: 0.5 },
    });
  });

  it('gathers loose colours by hue, each at its nearest shade, the farthest first, and leaves strangers over', () => {
    const system =
      read(`a { color: #0b5f6b; background: #a9dbe4 } b { color: #0b5f6b; border: 1px solid #08454e }
      i { color: #777; background: #eee } u { color: #333 } s { color: #e2552b }`);
    expect(system.families.map(({ name, base, snapped }) => [name, base, snapped.length])).toEqual([
      ['Blue-green', '#0b5f6b', 3],
      ['Neutral', '#777777', 3],
    ]);
    for (const { snapped } of system.families) {
      const distances = snapped.map(({ distance }) => distance);
      expect(distances).toEqual([...distances].sort((a, b) => b - a));
      expect(distances[0]).toBeLessThan(0.09);
    }
    expect(system.leftOver).toEqual([{ color: '#e2552b', count: 1 }]);
    expect(system.colors).toBe(7);
  });

  it('takes names that say nothing, are too long or mean something else, and colours of which nothing is seen', () => {
    const long = 'x'.repeat(90);
    const system = read(`:root {
      /* Sea */
      --sea-100: #dff3f5; /* brand */ --sea-500: #0b5f6b; --sea-900: #02272c; --sea-constructor: #123456;
      --_: #fff; --${long}: var(--_); --clear: transparent; --veil: rgb(0 0 0 / 50%) }
      [data-theme="${long}"] { --_: #eee }`);
    const { families, roles, themes } = adopted(EMPTY, system, {
      ...wholeOf(system),
      families: new Set(['spelled-0']),
    });
    expect(families.map(({ growth }) => growth.labels)).toEqual([]);
    expect(roles.map(({ name }) => name)).toContain('colour');
    for (const { name } of [...roles, ...themes]) expect(name.length).toBeLessThanOrEqual(80);
    const white = roles.find(({ name }) => name === 'colour')!;
    expect(roles.find(({ name }) => name.startsWith('xxx'))!.links).toEqual(
      Object.fromEntries(themes.map(({ id }) => [id, { to: 'role', role: white.id }])),
    );
    // Nothing is seen of what is transparent: it is not black.
    expect(read('a { color: transparent; background: #e2552b }')).toMatchObject({ colors: 1 });
    expect(
      read(':root { --sea-1: #dff3f5; /* brand */ --sea-2: #0b5f6b; --sea-3: #02272c }').families,
    ).toMatchObject([{ growth: { labels: ['1', '2', '3'] } }]);
  });

  it('takes in part: what is not taken is followed to its colour, and what is not snapped stays plain', () => {
    const system = read(`:root { --sea-100: #dff3f5; --sea-500: #0b5f6b; --sea-900: #02272c;
      --brand: var(--sea-500); --action: var(--brand); --warn: #e2552b }
      a { color: #e2552b; background: #f3b29c }`);
    const whole = wholeOf(system);
    const warm = system.families.find(({ snapped }) => snapped.some(({ color }) => color === '#e2552b'))!;
    const linksOf = (choice: SheetChoice) =>
      adopted(EMPTY, system, choice).roles.map((role) => [role.name, Object.values(role.links)[0]]);
    expect(linksOf({ ...whole, families: new Set(), roles: new Set(['--action']) })).toEqual([
      ['action', { to: 'color', color: '#0b5f6b' }],
    ]);
    expect(linksOf({ ...whole, roles: new Set(['--warn']) })).toEqual([
      [
        'warn',
        {
          to: 'shade',
          family: expect.any(String),
          shade: warm.snapped.find(({ color }) => color === '#e2552b')!.shade,
        },
      ],
    ]);
    expect(linksOf({ ...whole, roles: new Set(['--warn']), unsnapped: new Set(['#e2552b']) })).toEqual([
      ['warn', { to: 'color', color: '#e2552b' }],
    ]);
    expect(
      adoptSheet(
        EMPTY,
        system,
        { ...whole, themes: new Set(), families: new Set(), roles: new Set(), gradients: new Set() },
        newId,
      ),
    ).toBeNull();
  });

  it('is put beside what a project has: its themes by name, other names with a number', () => {
    const system = read(`:root { --page-ground: #fff; --text-main: #111; --line: #ccc }
      .night-sailing { --page-ground: #000; --text-main: #fff }`);
    const both = adopted(SKERRY_LINE, system);
    expect(both.themes.map(({ name }) => name)).toEqual(['Day sailing', 'Night sailing', 'Standard']);
    expect(both.roles.slice(SKERRY_LINE.roles.length).map(writeRoleName)).toContain('page-ground-2');
    expect(documentSchema.validate(both).error).toBeUndefined();
  });

  it('comes to a system for a large public style sheet, none of whose colours is lost', () => {
    const css = readFileSync(require.resolve('bootstrap/dist/css/bootstrap.css'), 'utf8');
    const system = read(css);
    expect(system.themes.map(({ name }) => name)).toEqual(['Light', 'Dark']);
    const snapped = system.families.flatMap((family) => family.snapped.map(({ color }) => color));
    const spelled = system.families.flatMap(({ colors }) => [...colors.values()]);
    const all = [...new Set([...snapped, ...spelled, ...system.leftOver.map(({ color }) => color)])];
    for (const [hex] of css.matchAll(/#[0-9a-f]{6}\b/gi)) expect(all).toContain(hex.toLowerCase());
    const document = adopted(EMPTY, system);
    expect(documentSchema.validate(document).error).toBeUndefined();
    expect(document.roles.length).toBeGreaterThan(50);
  });
});

import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../test/runs.ts';
import { type PageState, pageOf } from '../cascade/page.ts';
import { anySheet } from '../cascade/random-sheet.fixture.ts';
import { readRules } from '../cascade/rules.ts';
import { parseColor } from '../color/parse.ts';
import { MOST_THEMES } from '../document/limits.ts';
import { cssNames } from '../exchange/css-names.ts';
import { asPainted } from '../sheet/as-painted.ts';
import { differenceOf, paint } from '../system/painted.ts';
import { resolveSystem } from '../system/resolve.ts';
import { billOf } from './bill.ts';
import { writeBillPage } from './bill-page.ts';
import { moveSheets } from './move-sheets.ts';
import { movementOf } from './pair-ratios.ts';
import { writeReplacements } from './replacements-table.ts';
import { sheetsAgain, takeAgain } from './sheets-again.ts';
import { edited, newId, taken } from './taken.fixture.ts';

const bytesOf = (css: string) => {
  const { r, g, b, alpha } = paint(css);
  return `${r} ${g} ${b} ${Math.round(alpha * 255)}`;
};
const file = (text: string, name = 'old.css') => [{ name, text }];

/** What custom properties are on a page, as bytes; what is no fixed colour is left out. */
function colorsOn(css: string, state: PageState): Map<string, string> {
  const { properties, scheme } = pageOf(readRules(css))(state);
  return new Map(
    [...properties].flatMap(([name, { value }]) => {
      const parsed = /^[\da-f]+$/i.test(value) ? null : parseColor(value, scheme);
      return parsed?.ok ? [[name, bytesOf(asPainted(parsed.color))] as const] : [];
    }),
  );
}

describe('random sheets', () => {
  it('come to systems in which no colour moves, in any theme', () => {
    let compared = 0;
    fc.assert(
      fc.property(anySheet, (css) => {
        const all = taken(file(css));
        if (!all) return;
        const { themes } = resolveSystem(all.document);
        expect(all.system.themes.length).toBeLessThanOrEqual(MOST_THEMES);
        for (const { key, state } of all.system.themes)
          for (const [name, bytes] of colorsOn(css, state)) {
            const id = all.adoption.roles.get(name);
            const at = all.adoption.shades.get(name);
            expect(id ?? at, name).toBeDefined();
            if (id === undefined) continue;
            const color = themes.get(all.adoption.themes.get(key)!)!.roles.get(id)!.color;
            expect(color && bytesOf(color.css), `${name} in ${key}`).toBe(bytes);
            compared += 1;
          }
      }),
      { numRuns: runs(3000) },
    );
    expect(compared).toBeGreaterThan(300);
  });

  it('are rewritten to the same colours under other names', () => {
    fc.assert(
      fc.property(anySheet, (css) => {
        const all = taken(file(css));
        if (!all) return;
        const { colors, files } = moveSheets(all.files, all.document, all.system, all.adoption);
        const names = cssNames(all.document);
        const after = [colors, ...files].map(({ text }) => text).join('\n');
        for (const { state } of all.system.themes) {
          const is = colorsOn(after, state);
          for (const [name, bytes] of colorsOn(css, state)) {
            const id = all.adoption.roles.get(name);
            const own = (id && is.get(names.role(id))) ?? is.get(name);
            if (id) expect(own, `${name} in\n${css}\nas\n${after}`).toBe(bytes);
          }
        }
      }),
      { numRuns: runs(3000) },
    );
  });

  it('have no colour that moves further than it may, and as many fewer as is said', () => {
    fc.assert(
      fc.property(anySheet, fc.double({ min: 0.001, max: 0.3, noNaN: true }), (css, farthest) => {
        const [exact, moved] = [taken(file(css)), taken(file(css), farthest)];
        if (!exact || !moved) return;
        const [was, is] = [resolveSystem(exact.document), resolveSystem(moved.document)];
        for (const [property, id] of exact.adoption.roles)
          for (const [key, theme] of exact.adoption.themes) {
            const a = was.themes.get(theme)!.roles.get(id)!.color;
            const own = moved.adoption.roles.get(property)!;
            const b = is.themes.get(moved.adoption.themes.get(key)!)!.roles.get(own)!.color;
            if (a && b) expect(differenceOf(paint(a.css), paint(b.css))).toBeLessThanOrEqual(farthest + 1e-9);
          }
        const { moved: gone, left, furthest } = movementOf(moved.system);
        expect(gone + left).toBe(exact.system.colors);
        expect(furthest).toBeLessThanOrEqual(farthest);
      }),
      { numRuns: runs(2000) },
    );
  });
});

const many = (n: number, of: (i: number) => string) => Array.from({ length: n }, (_, i) => of(i)).join('');

/** Sheets that somebody made to break a reader, or a build that went wrong. */
const HOSTILE: readonly (readonly [string, string])[] = [
  ['nothing', ''],
  ['an opened brace', '{'],
  ['closed braces alone', '}'.repeat(10_000)],
  ['opened braces alone', '{'.repeat(10_000)],
  ['an unclosed rule', ':root { --a: #123456'],
  ['an unclosed string', ':root { --a: "#123456; --b: #fff }'],
  ['an unclosed comment', ':root { --a: #123456; /* --b: #fff }'],
  ['an unclosed function', ':root { --a: rgb(1, 2, 3; --b: #fff } body { color: red }'],
  ['an unclosed address', ':root { --a: url(x; --b: #fff }'],
  ['nesting 3,000 deep', `${'a {'.repeat(3000)} --a: red; color: red ${'}'.repeat(3000)}`],
  ['nesting with & 200 deep', `${'.a & {'.repeat(200)} --a: red ${'}'.repeat(200)}`],
  ['media in media, 500 deep', `${'@media (min-width: 1px) {'.repeat(500)}:root{--a:red}${'}'.repeat(500)}`],
  ['brackets 20,000 deep', `:root { --a: ${'('.repeat(20_000)}red${')'.repeat(20_000)} }`],
  ['mixes 500 deep', `:root { --a: ${'color-mix(in srgb, red, '.repeat(500)}blue${')'.repeat(500)} }`],
  ['a circle of one', ':root { --a: var(--a); --b: #123 }'],
  ['a circle of 3,000', `:root { ${many(3000, (i) => `--c${i}: var(--c${(i + 1) % 3000});`)} --x: #123 }`],
  ['a circle in a fallback', ':root { --a: var(--b, var(--a, red)); --b: var(--a, blue) }'],
  ['a chain of 5,000', `:root { --v0: #123456; ${many(5000, (i) => `--v${i + 1}: var(--v${i});`)} }`],
  [
    'variables that double 40 times',
    `:root { --d0: red; ${many(40, (i) => `--d${i + 1}: var(--d${i}) var(--d${i});`)} }`,
  ],
  [
    '1 MB in one line',
    `:root{${many(30_000, (i) => `--p${i}:#${(i * 551).toString(16).padStart(6, '0').slice(-6)};`)}}`,
  ],
  ['one selector of 1 MB', `${many(100_000, (i) => `.c${i},`)}.z { color: #123 }`],
  ['a value of 1 MB', `:root { --a: ${'red '.repeat(250_000)}; --b: #123 }`],
  [
    '300 themes',
    `:root { --a: #111; --b: #222; --c: #333 } ${many(300, (i) => `.theme-${i} { --a: #${String(100 + i)}; --b: #abc; --c: #def }`)}`,
  ],
  [
    '2,000 layers',
    many(2000, (i) => `@layer l${i} { :root { --a: #${String(i).padStart(4, '0').slice(-3)} } }`),
  ],
  ['NUL and other signs', ':root { --\0a: #123; --b\u202e: #456; --\ud83d\ude00: red }'],
  ['lone surrogates', ':root { --a\ud800: #123; --b: "\udc00" }'],
  [
    'names of objects',
    ':root { --constructor: red; --__proto__: blue; --toString: #fff } .constructor { color: red }',
  ],
  ['numbers beyond all', ':root { --a: rgb(1e999 0 0); --b: hsl(9e99 50% 50%); --c: rgb(calc(1 / 0) 0 0) }'],
  ['a name of 100,000 letters', `:root { --${'x'.repeat(100_000)}: #123; --b: #456; --c: #789 }`],
  ['binary', String.fromCharCode(...Array.from({ length: 5000 }, (_, i) => (i * 7919) % 256))],
  [
    'selectors with brackets in brackets',
    `${':is('.repeat(300)}a${')'.repeat(300)} { --a: #123; color: #456 }`,
  ],
];

test.each(HOSTILE)('a hostile sheet ends with an answer: %s', (_, css) => {
  const all = taken(file(css));
  if (!all) return;
  expect(all.system.colors).toBeGreaterThan(0);
  const { files, colors } = moveSheets(all.files, all.document, all.system, all.adoption);
  expect(files).toHaveLength(1);
  expect(colors.name).toBe('colours.css');
  expect(writeBillPage('Hostile', billOf(all.files, all.system))).toContain('the bill');
});

const OLD = `:root { --page-bg: #fdfbf5; --ink: #12262b; --brand: #0b5f6b; --size: 16px }
.night { --page-bg: #002f39; --ink: #e6f1f2 }
body { background: var(--page-bg); color: var(--ink) }
.go { background: #0b5f6b; color: #ffffff }
.go:hover { background: #0b5e6b; color: #ffffff }
.quiet { color: #9aa7a9; background: #fdfbf5 }
`;

describe('a small sheet', () => {
  const { system, adoption, document, files } = taken(file(OLD))!;

  it('has roles and pairs from its rules, named by where they stand', () => {
    const names = system.roles.map(({ group, name }) => [...group, name].join('.'));
    expect(names).toEqual(
      expect.arrayContaining(['brand', 'ink', 'page-bg', 'text.go', 'text.quiet', 'ground.go-hover']),
    );
    expect(system.pairs.map(({ text, ground }) => `${text} on ${ground}`)).toEqual([
      '--ink on --page-bg',
      'text #ffffff on --brand',
      'text #ffffff on ground #0b5e6b',
      'text #9aa7a9 on ground #fdfbf5',
    ]);
    expect(system.themes.map(({ name }) => name)).toEqual(['Day', 'Night']);
  });

  it('says of each role what it was, in which file and line', () => {
    const origin = (name: string) => document.roles.find((role) => role.name === name)!.origin;
    expect(origin('ink')).toEqual({ property: '--ink', value: '#12262b', file: 'old.css', line: 1 });
    expect(origin('quiet')).toEqual({
      property: 'text #9aa7a9',
      value: '#9aa7a9',
      file: 'old.css',
      line: 6,
    });
  });

  it('is billed: near-twins, what is written once, pairs that fail', () => {
    const bill = billOf(files, system);
    expect(bill).toMatchObject({ colors: 8, written: 11, measured: 8 });
    expect(bill.twins.map(({ lead, twins }) => [lead.color, ...twins.map(({ color }) => color)])).toEqual([
      ['#0b5f6b', '#0b5e6b'],
    ]);
    expect(bill.once.map(({ color }) => color)).toContain('#9aa7a9');
    expect(bill.failing.map(({ key, theme }) => `${key}, ${theme}`)).toEqual(
      ['text #9aa7a9 on ground #fdfbf5'.replace('text ', '').replace('ground ', '')].flatMap((key) => [
        `${key}, Day`,
        `${key}, Night`,
      ]),
    );
    const page = writeBillPage('<b>Old</b>', bill);
    expect(page).toContain('&lt;b&gt;Old&lt;/b&gt;');
    expect(page).not.toMatch(/<script|<link|url\(|@import/i);
  });

  it('is rewritten: variables renamed, colours by what they stand for, all in a list', () => {
    const moved = moveSheets(files, document, system, adoption);
    expect(moved.files).toEqual([
      {
        name: 'old.css',
        text: expect.stringContaining('body { background: var(--page-bg); color: var(--ink) }'),
      },
    ]);
    const { text } = moved.files[0]!;
    expect(text).toContain('--size: 16px');
    expect(text).not.toMatch(/#[0-9a-f]{6}/);
    expect(moved.colors.text).toMatch(/\.night \{\n {2}--page-bg: var\(--[\w-]+\);/);
    const white = moved.replacements.find(({ from }) => from.startsWith('#ffffff'))!;
    expect(white).toMatchObject({ from: '#ffffff (text)', to: '--text-go', count: 2 });
    const table = writeReplacements(moved.replacements);
    expect(table.split('\r\n')[0]).toBe('from,to,times,selectors');
    expect(table).toContain('#ffffff (text),--text-go,2,.go | .go:hover');
  });

  it('comes again: what is changed, new and gone, taken in part', () => {
    expect(sheetsAgain(document, system, ['old.css'])).toEqual({
      fresh: [],
      changed: [],
      gone: [],
      same: system.roles.length,
    });
    const next = taken(
      file(OLD.replace('#12262b', '#101c20').replace('--brand: #0b5f6b;', '--sea: #2b8190;')),
    )!.system;
    const again = sheetsAgain(document, next, ['old.css'])!;
    expect(again.changed.map(({ name, colors }) => [name, colors])).toEqual([
      [
        'ink',
        [
          { theme: 'Day', was: '#12262b', is: '#101c20' },
          { theme: 'Night', was: '#e6f1f2', is: '#e6f1f2' },
        ],
      ],
    ]);
    expect(again.fresh.map(({ key }) => key)).toContain('--sea');
    expect(again.gone.map(({ name }) => name)).toContain('brand');
    // Of another file nothing is missed.
    expect(sheetsAgain(document, next, ['other.css'])!.gone).toEqual([]);

    const command = takeAgain(
      document,
      next,
      {
        fresh: new Set(['--sea']),
        changed: new Set(['--ink']),
        gone: new Set(again.gone.map(({ key }) => key)),
      },
      newId,
    )!;
    const after = edited(document, command);
    const { themes } = resolveSystem(after);
    const day = [...themes.values()][0]!;
    const colorOf = (name: string) =>
      day.roles.get(after.roles.find((role) => role.name === name)!.id)!.color!.css;
    expect([colorOf('ink'), colorOf('sea')]).toEqual(['#101c20', '#2b8190']);
    expect(after.roles.find(({ name }) => name === 'brand')!.retired).toBe('');
    expect(after.roles.find(({ name }) => name === 'ink')!.origin!.value).toBe('#101c20');
    // What was left alone is still said to be otherwise.
    expect(sheetsAgain(after, next, ['old.css'])!.changed).toEqual([]);
  });
});

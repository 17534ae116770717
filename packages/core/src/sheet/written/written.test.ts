import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { pageOf } from '../../cascade/page.ts';
import { readRules } from '../../cascade/rules.ts';
import { parseColor } from '../../color/parse.ts';
import { paint } from '../../system/painted.ts';
import { asPainted } from '../as-painted.ts';
import { joinedSheets } from '../sheet-files.ts';
import { readSheet } from '../sheet-system.ts';
import { sheetOf } from './sheet-of.ts';

const cssOf = (name: string, text: string): string => {
  const read = sheetOf({ name, text });
  if (!read.ok) throw new Error(read.reason);
  return read.file.text;
};

/** What a custom property comes to on a page with a sheet; null for what is no colour. */
function colorIn(css: string, property: string, theme?: string): string | null {
  const marks = theme ? [{ kind: 'attribute', name: 'data-theme', value: theme } as const] : [];
  const { properties, scheme } = pageOf(readRules(css))({
    marks,
    device: { scheme: 'light', contrast: 'no-preference' },
  });
  const parsed = parseColor(properties.get(property)?.value ?? '', scheme);
  return parsed.ok ? paint(asPainted(parsed.color)).css : null;
}

describe('SCSS', () => {
  // What the language's own compiler comes to for these.
  test.each([
    ['$a: #0b5f6b;', '#0b5f6b'],
    ['$b: #0b5f6b; $a: $b;', '#0b5f6b'],
    ['$a: #0b5f6b !default; $a: #ffffff;', '#ffffff'],
    ['$a: #ffffff; $a: #0b5f6b !default;', '#ffffff'],
    ['$a: lighten(#0b5f6b, 10%);', '#108899'],
    ['$a: darken(#0b5f6b, 10%);', '#06363d'],
    ['$a: mix(#ffffff, #000000, 25%);', '#404040'],
    ['$b: #e2552b; $a: rgba($b, .5);', 'rgb(226 85 43 / 0.5)'],
    ['$a: rgba(226, 85, 43, 0.5);', 'rgb(226 85 43 / 0.5)'],
    ['$a: transparentize(#e2552b, 0.25);', 'rgb(226 85 43 / 0.75)'],
    ['$a: adjust-hue(#ff0000, 120deg);', '#00ff00'],
    ['$a: invert(#112233);', '#eeddcc'],
    ['$a: grayscale(#ff0000);', '#808080'],
    ['$a: mix(lighten(#000, 20%), #fff);', '#999999'],
    ['$map: ("sea": #0b5f6b, "sky": lighten(#0b5f6b, 10%)); $a: map-get($map, "sky");', '#108899'],
    ['// $a: #fff;\n$a: #0b5f6b; // not #000', '#0b5f6b'],
    ['$a: url("//x") ; $a: #0b5f6b;', '#0b5f6b'],
  ])('%s', (scss, color) => {
    expect(colorIn(cssOf('a.scss', scss), '--a')).toBe(color);
  });

  it('has its rules too, on the lines on which they stand; what would be run is left out', () => {
    const scss = `$sea: #0b5f6b;
@mixin go($x) { color: $x; }
@use "other";
.card {
  $own: #fbe3b4;
  background: $own;
  &:hover { color: darken($sea, 5%); }
  @include go(#fff);
}`;
    const { blocks } = readRules(cssOf('a.scss', scss));
    expect(
      blocks.map(({ selectors, declarations }) => [
        selectors.join(),
        ...declarations.map(({ property, value, line }) => `${line} ${property}: ${value}`),
      ]),
    ).toEqual([
      [':root', '1 --sea: #0b5f6b'],
      ['.card', '5 --own: #fbe3b4', '6 background: var(--own)'],
      ['.card:hover', '7 color: hsl(from var(--sea) h s max(0, calc(l - 5)))'],
    ]);
  });

  it('of a public package comes to families and roles', () => {
    const require = createRequire(import.meta.url);
    const folder = require.resolve('bootstrap/dist/css/bootstrap.css').replace(/dist.*/, 'scss/');
    const files = ['_variables.scss', '_variables-dark.scss', '_root.scss', '_buttons.scss'].map((name) => {
      const read = sheetOf({ name, text: readFileSync(folder + name, 'utf8') });
      if (!read.ok) throw new Error(read.reason);
      return read.file;
    });
    const css = joinedSheets(files).text;
    const system = readSheet(css)!;
    expect(system.families.length).toBeGreaterThan(9);
    expect(colorIn(css, '--blue-300')).toBe('#6ea8fe');
    expect(colorIn(css, '--primary-bg-subtle-dark')).toBe('#031633');
  });
});

describe('LESS', () => {
  test.each([
    ['@a: #0b5f6b;', '#0b5f6b'],
    ['@b: #0b5f6b; @a: @b;', '#0b5f6b'],
    // Here the last counts, wherever it stands.
    ['@a: @b; @b: #fff; @b: #0b5f6b;', '#0b5f6b'],
    ['@a: fade(#e2552b, 50%);', 'rgb(226 85 43 / 0.5)'],
    ['@a: tint(#000000, 25%);', '#404040'],
    ['@a: shade(#ffffff, 25%);', '#bfbfbf'],
    ['@a: spin(#ff0000, 120);', '#00ff00'],
    ['@media print { :root { --a: #fff } } @a: #0b5f6b;', '#0b5f6b'],
  ])('%s', (less, color) => {
    expect(colorIn(cssOf('a.less', less), '--a')).toBe(color);
  });
});

describe('design tokens', () => {
  it('are custom properties by their paths, references among them', () => {
    const css = cssOf(
      'a.tokens.json',
      JSON.stringify({
        $type: 'color',
        sea: {
          500: { $value: { colorSpace: 'srgb', components: [0.0431, 0.3725, 0.4196], hex: '#0b5f6b' } },
        },
        'page ground': { $value: '{sea.500}' },
        soft: { $value: { colorSpace: 'srgb', components: [1, 1, 1], alpha: 0.5 } },
        wide: { value: '#e2552b', type: 'color' },
        size: { $type: 'dimension', $value: '4px' },
      }),
    );
    expect(colorIn(css, '--sea-500')).toBe('#0b5f6b');
    expect(colorIn(css, '--page-ground')).toBe('#0b5f6b');
    expect(colorIn(css, '--soft')).toBe('rgb(255 255 255 / 0.5)');
    expect(colorIn(css, '--wide')).toBe('#e2552b');
    expect(css).not.toContain('size');
  });

  it('come in themes where groups come in two kinds', () => {
    const css = cssOf(
      'a.json',
      JSON.stringify({
        color: {
          light: { page: { $value: '#ffffff' }, ink: { $value: '#101010' } },
          dark: { page: { $value: '#101010' }, ink: { $value: '#ffffff' } },
        },
      }),
    );
    expect([colorIn(css, '--color-page', 'light'), colorIn(css, '--color-page', 'dark')]).toEqual([
      '#ffffff',
      '#101010',
    ]);
    expect(readSheet(css)!.themes.map(({ name }) => name)).toEqual(['Light', 'Dark']);
  });
});

test.each([
  ['a.json', '{"size": {"$value": "4px"}}', 'There is no design token in it that is a colour.'],
  ['a.json', '{ not json', 'There is no design token in it that is a colour.'],
  ['a.html', '<p>Hallin', 'The page has no style element; its sheets are files of their own.'],
  ['a.sass', '$a: #fff', 'Sass with indents is not read; save it as SCSS or as CSS.'],
  ['a.css', 'PNG\0\0', 'This is no text.'],
])('%s with %j says why it is none', (name, text, reason) => {
  expect(sheetOf({ name, text })).toEqual({ ok: false, name, reason });
});

it('takes the styles of a page', () => {
  const css = cssOf('a.html', '<style>:root{--a:#0b5f6b}</style><p>x<style media=all>b{color:red}</style>');
  expect(colorIn(css, '--a')).toBe('#0b5f6b');
  expect(css).toContain('b{color:red}');
});

it('never throws, whatever it is given', () => {
  const piece = fc.constantFrom(
    ...['$a', '@a', ': ', '#fff', ';', '{', '}', '(', ')', '"', "'", '//', '/*', '*/', '\n', ',', '#{', '@{'],
    ...['lighten(', 'mix(', 'rgba(', 'map-get(', '!default', '@media ', '@mixin x', '&', ' .b ', '\\', '1%'],
    ...['<style>', '</style', '{"$value":', '"{a.b}"', '[', ']', 'url('],
  );
  fc.assert(
    fc.property(
      fc.array(piece, { maxLength: 40 }),
      fc.constantFrom('a.scss', 'a.less', 'a.json', 'a.html', 'a.css', 'a'),
      (pieces, name) => {
        const read = sheetOf({ name, text: pieces.join('') });
        if (read.ok) readSheet(joinedSheets([read.file]).text);
        else expect(read.reason).toMatch(/\.$/);
      },
    ),
    { numRuns: runs(10_000) },
  );
});

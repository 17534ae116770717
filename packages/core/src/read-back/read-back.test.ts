import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../test/runs.ts';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { anyDocument } from '../document/commands/random-document.fixture.ts';
import { choicesOf } from '../document/delivery/forms.ts';
import { emptyDocument, type ProjectDocument } from '../document/document.ts';
import { groundOfGrowth } from '../document/links/growth-ground.ts';
import { sameJson } from '../document/same.ts';
import { writeCss } from '../exchange/css.ts';
import { writeCsvTable } from '../exchange/csv-table.ts';
import { HOSTILE } from '../exchange/hostile-names.fixture.ts';
import { writeTokens } from '../exchange/tokens.ts';
import { followingByName, groundByName, NamesById, pairByName } from '../exchange/tokens-by-name.ts';
import { resolveSystem } from '../system/resolve.ts';
import { comesBackWhole, lostBy } from './lost-by.ts';
import { readBack } from './read-back.ts';

let count = 0;
const newId = () => `n${count++}`;
const EMPTY = emptyDocument('Empty', [
  { id: 'light', name: 'Light' },
  { id: 'dark', name: 'Dark' },
]);

const back = (text: string, present: ProjectDocument = EMPTY) => {
  const result = readBack(text, present, newId);
  if (!result.ok) throw new Error(result.reason);
  return result;
};
const MARK = { id: 'mark', group: ['mark'], name: 'every-theme' };
/** A role with a value in each theme, so that a file has each. */
const marked = ({ themes }: ProjectDocument) => ({
  ...MARK,
  links: Object.fromEntries(themes.map(({ id }) => [id, { to: 'color' as const, color: '#123456' }])),
});

/** A document in which nothing leads nowhere, so that a file can hold all of it that its form has words for. */
function whole(drawn: ProjectDocument): ProjectDocument {
  const document = drawn.roles.some(({ id }) => id === MARK.id)
    ? drawn
    : { ...drawn, roles: [...drawn.roles, marked(drawn)] };
  const system = resolveSystem(document);
  const names = new NamesById(document);
  const gradients = document.gradients.filter(({ id }) =>
    [...system.themes.values()].every((theme) => theme.gradients.get(id)!.colors.every(Boolean)),
  );
  const kept = new Set(gradients.map(({ id }) => id));
  const roles = document.roles.map((role) => ({
    ...role,
    links: Object.fromEntries(
      Object.entries(role.links).filter(([theme]) => {
        const { color, gradient } = system.themes.get(theme)!.roles.get(role.id)!;
        return color || (gradient && kept.has(gradient));
      }),
    ),
  }));
  const families = document.families.map((family) => {
    const ground = groundOfGrowth(family.growth);
    const isLost =
      (ground && !groundByName(ground, names)) || (family.follows && !followingByName(family.follows, names));
    return isLost ? { ...family, follows: null, growth: SKERRY_LINE.families[0]!.growth } : family;
  });
  const pairs = document.pairs.filter((pair) => pairByName(pair, names));
  const next = { ...document, gradients, roles, families, pairs };
  // What was taken out may have been what something else led to.
  return sameJson(next, document) ? document : whole(next);
}

/** Whether a theme has nothing that a file could tell it by. */
const lacksValues = ({ roles, themes }: ProjectDocument) =>
  themes.some(({ id }) => !roles.some(({ links }) => links[id]));
const tokens = (document: ProjectDocument) => writeTokens(resolveSystem(document), choicesOf({}, 'tokens'));
const css = (document: ProjectDocument) => writeCss(resolveSystem(document));
const csv = (document: ProjectDocument) => writeCsvTable(resolveSystem(document), choicesOf({}, 'csv'));

describe('what was exported comes back', () => {
  test.each([
    ['tokens', tokens],
    ['style sheet', css],
    ['table', csv],
  ] as const)('as the same %s, of the demo and with hostile names', (_, write) => {
    for (const document of [SKERRY_LINE, HOSTILE]) {
      const { wanted } = back(write(document));
      expect(write({ ...wanted, name: document.name })).toBe(write(document));
    }
  });

  it('with growth, pairs and ground by tokens', () => {
    const { wanted, losses } = back(tokens(SKERRY_LINE));
    expect(losses).toEqual([]);
    expect(wanted.families.map(({ growth }) => growth)).toEqual(
      SKERRY_LINE.families.map(({ growth }) => growth),
    );
    expect(wanted.pairs).toHaveLength(SKERRY_LINE.pairs.length);
    expect(wanted.roles.find(({ id }) => id === wanted.ground)).toMatchObject({
      group: ['page'],
      name: 'ground',
    });
  });

  test.each([
    ['tokens', tokens],
    ['css', css],
    ['csv', csv],
  ] as const)('as the same %s of any document in which nothing is broken', (form, write) => {
    let same = 0;
    fc.assert(
      fc.property(anyDocument.map(whole), (document) => {
        if (lacksValues(document) || !comesBackWhole(form, resolveSystem(document))) return;
        const text = write(document);
        const { wanted, losses } = back(text);
        const again = write({ ...wanted, name: document.name });
        if (again !== text) throw new Error(firstDifference(text, again));
        expect(losses).toEqual([]);
        same += 1;
      }),
      { numRuns: runs(1000) },
    );
    expect(same).toBeGreaterThan(20);
  });

  test.each([
    ['tokens', tokens],
    ['css', css],
    ['csv', csv],
  ] as const)('and where %s cannot hold a document, the list of what is lost says so', (form, write) => {
    fc.assert(
      fc.property(anyDocument, (document) => {
        if (lacksValues(document)) return;
        const text = write(document);
        const result = readBack(text, EMPTY, newId);
        const again = result.ok ? write({ ...result.wanted, name: document.name }) : '';
        if (again !== text && !lostBy(form, resolveSystem(document)).length)
          throw new Error(firstDifference(text, again));
      }),
      { numRuns: runs(1000) },
    );
  });
});

/** The first lines in which two texts differ. */
function firstDifference(a: string, b: string): string {
  const [x, y] = [a.split('\n'), b.split('\n')];
  const at = Math.max(
    3,
    x.findIndex((line, i) => line !== y[i]),
  );
  return `line ${at}:\n${x.slice(at - 3, at + 3).join('\n')}\n≠\n${y.slice(at - 3, at + 3).join('\n')}`;
}

describe('what comes back into a project that is there', () => {
  it('is nothing new where nothing is: things of one name are the same thing', () => {
    for (const write of [tokens, css, csv]) {
      const { wanted, stays } = back(write(SKERRY_LINE), SKERRY_LINE);
      expect(wanted).toEqual(SKERRY_LINE);
      expect(stays).toEqual([]);
    }
  });
});

describe('files of others', () => {
  const named = (document: ProjectDocument) => ({
    families: document.families.map(({ name, growth }) => [name, growth.labels.join(' ')]),
    roles: document.roles.map(({ group, name }) => [...group, name].join('.')),
    gradients: document.gradients.map(({ name }) => name),
  });

  it('are tokens of the format, by a resolver with more than themes, with references to what is missing', () => {
    const color = (hex: string) => ({ $type: 'color', $value: hex });
    const { wanted, losses } = back(
      JSON.stringify({
        version: '2025.10',
        sets: {
          base: {
            sources: [
              {
                sea: { '100': color('#dff3f5'), '500': color('#0b5f6b'), '900': color('#02272c') },
                space: { $type: 'dimension', s: { $value: '4px' } },
              },
              { $ref: 'more.tokens.json' },
            ],
          },
        },
        modifiers: {
          theme: {
            contexts: {
              light: [
                {
                  text: { main: { $type: 'color', $value: '{sea.900}', $description: 'Body' } },
                  lost: { $type: 'color', $value: '{sea.950}' },
                },
              ],
              dark: [{ text: { main: { $type: 'color', $value: { $ref: '#/sea/100/$value' } } } }],
            },
            default: 'light',
          },
          density: { contexts: { roomy: [] }, default: 'roomy' },
        },
        resolutionOrder: [{ $ref: '#/sets/base' }, { $ref: '#/modifiers/theme' }],
      }),
    );
    expect(named(wanted)).toEqual({
      families: [['Sea', '100 500 900']],
      roles: ['text.main', 'lost'],
      gradients: [],
    });
    expect(wanted.themes.map(({ name }) => name)).toEqual(['light', 'dark']);
    const role = wanted.roles[0]!;
    expect(Object.values(role.links)).toEqual([
      { to: 'shade', family: wanted.families[0]!.id, shade: '900' },
      { to: 'shade', family: wanted.families[0]!.id, shade: '100' },
    ]);
    expect(role.about).toBe('Body');
    expect(losses).toEqual([
      'The set base points to more.tokens.json, a file that is not in this one.',
      'The modifier density, of which only roomy is taken: themes here differ in one thing.',
      'lost points to sea.950, which is not in the file.',
      '1 token of the type dimension, which is no colour.',
    ]);
  });

  it('are of older notations: values without a dollar sign, colours as text, nested types, references with .value', () => {
    const { wanted, losses } = back(
      JSON.stringify({
        color: {
          brand: {
            100: { value: '#dff3f5', type: 'color' },
            500: { value: 'rgb(11, 95, 107)', type: 'color' },
            900: { value: 'hsl(187 90% 9%)', type: 'color', comment: 'Deep' },
          },
          text: { value: '{color.brand.900.value}', type: 'color' },
        },
        fade: {
          $type: 'gradient',
          $value: [
            { color: '{color.brand.100}', position: 0 },
            { color: '#000', position: 2 },
          ],
        },
        font: { value: 'x', type: 'fontFamily' },
      }),
    );
    expect(named(wanted)).toEqual({
      families: [['Brand', '100 500 900']],
      roles: ['color.text'],
      gradients: ['Fade'],
    });
    expect(Object.values(wanted.roles[0]!.links)[0]).toMatchObject({ to: 'shade', shade: '900' });
    expect(losses).toEqual(['1 token of the type fontFamily, which is no colour.']);
  });

  it('are colours in any space, translucent and with missing channels', () => {
    const token = (colorSpace: string, components: unknown[], alpha?: number) => ({
      $type: 'color',
      $value: { colorSpace, components, ...(alpha === undefined ? {} : { alpha }) },
    });
    const { wanted } = back(
      JSON.stringify({
        a: token('oklch', [0.5, 0.1, 200]),
        b: token('srgb', [1, 0, 0], 0.5),
        c: token('hsl', ['none', 0, 50]),
      }),
    );
    expect(wanted.roles.map(({ links }) => Object.values(links)[0])).toEqual([
      { to: 'color', color: 'oklch(0.5 0.1 200)' },
      { to: 'color', color: 'rgb(255 0 0 / 0.5)' },
      { to: 'color', color: expect.stringMatching(/^hsl\(none 0% 50%\)$|^#808080$/) },
    ]);
  });

  it('are drawings: shapes named by code become swatches, those named as ours families', () => {
    const rect = (attributes: string, title = '') =>
      `<rect ${attributes}>${title && `<title>${title}</title>`}</rect>`;
    const { wanted } = back(
      `<svg xmlns="http://www.w3.org/2000/svg">${rect('fill="#dff3f5"', 'Sea 100, #dff3f5')}${rect('fill="#0b5f6b"', 'Sea 500, #0b5f6b')}${rect('style="fill: #02272c"', 'Sea 900, #02272c')}${rect('id="Rope" fill="#d9c7a0"')}${rect('fill="#3d4a4d"', '#3d4a4d')}${rect('fill="none"')}</svg>`,
      SKERRY_LINE,
    );
    expect(wanted.families.map(({ name }) => name)).toContain('Sea');
    expect(wanted.tray.slice(SKERRY_LINE.tray.length).map(({ name, color }) => [name, color])).toEqual([
      ['Rope', '#d9c7a0'],
      ['#3d4a4d', '#3d4a4d'],
    ]);
  });

  it.each([
    ['{', /no JSON/],
    ['{"a": 1}', /no colour token/],
    ['kind,name\r\n', /no shade, role or gradient/],
    ['kind;x\r\n', /no table of colours/],
    ['<svg xmlns="http://www.w3.org/2000/svg"></svg>', /no shape with a plain colour/],
    ['hello', /no colour in this style sheet/],
  ])('%s is refused with the reason', (text, reason) => {
    const result = readBack(text, SKERRY_LINE, newId);
    expect(result.ok ? '' : result.reason).toMatch(reason);
  });

  it('are read in time however deep and however much', () => {
    const deep = `${'{"a":'.repeat(3000)}{"$type":"color","$value":"#fff"}${'}'.repeat(3000)}`;
    expect(readBack(deep, EMPTY, newId).ok).toBe(false);
    const chain = Object.fromEntries(
      Array.from({ length: 3000 }, (_, i) => [
        `t${i}`,
        { $type: 'color', $value: i ? `{t${i - 1}}` : '#0b5f6b' },
      ]),
    );
    expect(readBack(JSON.stringify(chain), EMPTY, newId)).toMatchObject({ ok: expect.any(Boolean) });
    const proto =
      '{"__proto__": {"$type": "color", "$value": "#fff"}, "constructor": {"$type":"color","$value":"#000"}}';
    expect(readBack(proto, EMPTY, newId)).toMatchObject({ ok: true });
  });
});

describe('a file that has less', () => {
  it('leaves what is not in it, and says so', () => {
    const part = {
      ...SKERRY_LINE,
      roles: SKERRY_LINE.roles.slice(0, 3),
      families: SKERRY_LINE.families.slice(0, 2),
      gradients: [],
      pairs: [],
    };
    const { wanted, stays } = back(css(part), SKERRY_LINE);
    expect(wanted.roles).toHaveLength(SKERRY_LINE.roles.length);
    expect(stays).toContain('Kelp');
    expect(stays).toContain('notice.delay.text');
    expect(stays).not.toContain('Deepwater');
  });

  it('changes what is another in it, and keeps the growth of families that are not', () => {
    const text = css(SKERRY_LINE).replace('--buoy-500: #c83d19', '--buoy-500: #c83d1a');
    const { wanted } = back(text, SKERRY_LINE);
    const of = (id: string) => wanted.families.find((family) => family.id === id)!;
    expect(of('deepwater')).toEqual(SKERRY_LINE.families[0]);
    expect(resolveSystem(wanted).families.get('buoy')!.byLabel.get('500')!.css).toBe('#c83d1a');
  });
});

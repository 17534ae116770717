import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { defineConfig, parse as parseTokens } from '@terrazzo/parser';
import Ajv from 'ajv';
import { unzipSync } from 'fflate';
import { Features, transform } from 'lightningcss';
import Papa from 'papaparse';
import postcss from 'postcss';
import { compileString } from 'sass';
import { SaxesParser } from 'saxes';
import { compile } from 'tailwindcss';
import { beforeAll, describe, expect, it, test } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { choicesIn, choicesOf, type FormId, type KeptChoices } from '../document/delivery/forms.ts';
import type { ProjectDocument } from '../document/document.ts';
import { documentSchema } from '../document/document-schema.ts';
import { gradientCss } from '../system/gradients/gradient-css.ts';
import { resolveSystem } from '../system/resolve.ts';
import { fileFormat } from './file-formats.ts';
import { HOSTILE } from './hostile-names.fixture.ts';
import { TOKENS_SCHEMA } from './tokens-schema.fixture.ts';
import { zipped } from './zipped.ts';

/** The demo, with a theme, a gradient role, a retired role and a note more, so that every part of a form is met. */
const FULL: ProjectDocument = {
  ...SKERRY_LINE,
  roles: [
    ...SKERRY_LINE.roles.map((role) =>
      role.id === 'text-link'
        ? { ...role, about: 'For links; never on a notice.', retired: 'text.main' }
        : role.id === 'action-hover'
          ? { ...role, links: { ...role.links, day: { to: 'gradient' as const, gradient: 'wake' } } }
          : role,
    ),
  ].map(
    (role) =>
      // A stop of that gradient pointed to the role that it paints now.
      role,
  ),
  gradients: SKERRY_LINE.gradients.map((gradient) =>
    gradient.id === 'wake'
      ? {
          ...gradient,
          repeating: true,
          stops: gradient.stops.map((item) =>
            item.kind === 'stop'
              ? {
                  ...item,
                  places: [{ value: item.places[0].value * 0.8, unit: '%' as const }] as const,
                  ...(item.color.to === 'role'
                    ? { color: { to: 'shade' as const, family: 'deepwater', shade: '500' } }
                    : {}),
                }
              : item,
          ),
        }
      : gradient,
  ),
};
const DOCUMENTS = { full: FULL, hostile: HOSTILE } as const;
const SYSTEMS = { full: resolveSystem(FULL), hostile: resolveSystem(HOSTILE) };

async function write(
  form: Exclude<FormId, 'project' | 'pdf' | 'png' | 'jpeg' | 'svg'>,
  name: keyof typeof DOCUMENTS,
  own: Readonly<Record<string, string | boolean | null>> = {},
): Promise<string> {
  const writer = await fileFormat(form).writer();
  const choices: KeptChoices = { [form]: own };
  const handed = {
    system: SYSTEMS[name],
    choices,
    at: '2026-06-14T08:15:00Z',
    revision: 7,
    fonts: () => Promise.reject(new Error('No font is needed.')),
  };
  return (await writer(handed)) as string;
}

/** Every value of every choice once, beside the usual ones. */
function variants(form: FormId): Record<string, string | boolean>[] {
  return Object.entries(choicesIn(form)).flatMap(([key, choice]): Record<string, string | boolean>[] => {
    if (choice.as === 'one') return Object.keys(choice.options).map((value) => ({ [key]: value }));
    if (choice.as === 'yes') return [{ [key]: true }, { [key]: false }];
    return choice.as === 'prefix' ? [{ [key]: 'sk' }] : [{ [key]: 'night' }];
  });
}

describe.each(['full', 'hostile'] as const)(
  'the files of the %s project are taken by those who read them',
  (name) => {
    test.each(variants('css'))('CSS by postcss and lightningcss without a warning, with %o', async (own) => {
      const css = await write('css', name, own);
      const result = await postcss([]).process(css, { from: undefined });
      expect(result.warnings()).toEqual([]);
      const { warnings } = transform({
        filename: 'own.css',
        code: Buffer.from(css),
        minify: true,
        // Left as they are: what is checked is that they are read.
        exclude: Features.LightDark,
      });
      expect(warnings).toEqual([]);
      // Nothing but what we write: no selector and no at-rule came out of a name.
      const selectors = new Set<string>();
      result.root.walkRules((rule) => {
        for (const one of rule.selectors) selectors.add(one);
      });
      for (const selector of selectors)
        expect(selector).toMatch(
          /^(:root(:not\(\[(data-theme|class\*="theme-")\]\))?|\[data-theme="[^"]+"\]|\.[^\s.#:>~+]+)$/u,
        );
      result.root.walkAtRules((rule) => {
        expect(['media', 'supports', 'property']).toContain(rule.name);
      });
    });

    test.each(variants('scss'))('SCSS by sass, with %o', async (own) => {
      const scss = await write('scss', name, own);
      const { css } = compileString(scss);
      expect(css.trim()).toBe('');
    });

    test.each(variants('tailwind'))('the theme by its framework, with %o', async (own) => {
      const theme = await write('tailwind', name, own);
      const require = createRequire(import.meta.url);
      const compiler = await compile(`@import "tailwindcss";\n${theme}`, {
        loadStylesheet: async (id, base) => {
          const path = require.resolve(id === 'tailwindcss' ? 'tailwindcss/index.css' : id);
          return { path, base: dirname(path) || base, content: readFileSync(path, 'utf8') };
        },
      });
      const first = SYSTEMS[name].document.families[0]!;
      const css = compiler.build(
        name === 'full'
          ? ['bg-deepwater-700', 'text-text-main', 'bg-first-light', 'theme-night-sailing:bg-action-fill']
          : [],
      );
      expect(css).toContain('--color-');
      if (name === 'full') {
        expect(css).toContain('.bg-deepwater-700');
        expect(css).toContain('.text-text-main');
        expect(css).toMatch(/\.bg-first-light[^}]*background-image/);
        if (own.themes !== 'scheme') expect(css).toContain('.theme-night-sailing\\:bg-action-fill');
      }
      expect(first).toBeDefined();
    });

    test.each(variants('csv'))('CSV by a parser, with %o', async (own) => {
      const csv = await write('csv', name, own);
      const { data, errors } = Papa.parse<Record<string, string>>(csv.replace(/\r\n$/, ''), { header: true });
      expect(errors).toEqual([]);
      const { roles, themes, families } = DOCUMENTS[name];
      const rowsOf = (kind: string) => data.filter((row) => row.kind === kind);
      expect(rowsOf('role')).toHaveLength(roles.length * themes.length);
      expect(rowsOf('shade').length + rowsOf('base').length).toBe(
        families.reduce((sum, { growth }) => sum + growth.labels.length, 0),
      );
      for (const row of data)
        for (const value of Object.values(row)) expect(value).not.toMatch(/^[=+\-@\t\r]/);
    });

    it('JSON as data, every name as it is', async () => {
      const table = JSON.parse(await write('json', name));
      const { families, themes } = DOCUMENTS[name];
      expect(table.families.map((one: { name: string }) => one.name)).toEqual(
        families.map((one) => one.name),
      );
      expect(table.themes.map((one: { name: string }) => one.name)).toEqual(themes.map((one) => one.name));
    });
  },
);

describe('SCSS', () => {
  it('gives the colours of the system, by variable, map and function, and says which name is wrong', async () => {
    const scss = await write('scss', 'full');
    const { css } = compileString(
      `${scss}
a { color: $deepwater-700; background: $day-sailing-first-light-x; }`.replace(
        '$day-sailing-first-light-x',
        'role("action-fill", "night-sailing")',
      ),
    );
    const system = SYSTEMS.full;
    expect(css).toContain(`color: ${system.families.get('deepwater')!.byLabel.get('700')!.css}`);
    expect(css).toContain(`background: ${system.themes.get('night')!.roles.get('action-fill')!.color!.css}`);
    expect(() => compileString(`${scss} a { color: role("nothing") }`)).toThrow(/no role named nothing/);
  });
});

describe('TypeScript', () => {
  const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-types-'));
  const root = join(import.meta.dirname, '../../../..');
  const check = (code: string) => {
    writeFileSync(join(folder, 'own.ts'), code);
    const { stdout, status } = spawnSync(
      'npx',
      ['tsc', '--noEmit', '--strict', '--target', 'es2022', '--module', 'esnext', join(folder, 'own.ts')],
      { cwd: root, encoding: 'utf8' },
    );
    return { status, stdout };
  };

  it('is taken by its compiler, with names that are known and others that are not', async () => {
    for (const name of ['full', 'hostile'] as const)
      expect(check(await write('typescript', name))).toEqual({ status: 0, stdout: '' });
    const code = await write('typescript', 'full');
    const used = `${code}
const fill: string = roles['day-sailing']['action.fill'];
const name: RoleName = 'text.main';
const base: (typeof families)['Deepwater']['700'] = '#0b5f6b';
export { fill, name, base };`;
    expect(check(used).status).toBe(0);
    expect(check(`${code}\nexport const wrong: RoleName = 'text.nothing';`).stdout).toContain('error TS2322');
    rmSync(folder, { recursive: true });
  }, 60_000);
});

describe('design tokens', () => {
  const validate = new Ajv({ strict: false, allowUnionTypes: true }).compile(TOKENS_SCHEMA.tokens);
  const validateResolver = new Ajv({ strict: false, allowUnionTypes: true }).compile(TOKENS_SCHEMA.resolver);

  test.each(['full', 'hostile'] as const)('of the %s project are as the format has them', async (name) => {
    const whole = JSON.parse(await write('tokens', name));
    expect(validateResolver(whole), JSON.stringify(validateResolver.errors?.[0])).toBe(true);
    const sources = [
      ...whole.sets.families.sources,
      ...Object.values<object[]>(whole.modifiers.theme.contexts).flat(),
    ];
    for (const source of sources) expect(validate(source), JSON.stringify(validate.errors?.[0])).toBe(true);
    for (const theme of DOCUMENTS[name].themes) {
      const one = JSON.parse(await write('tokens', name, { file: 'theme', theme: theme.id }));
      expect(validate(one), JSON.stringify(validate.errors?.[0])).toBe(true);
    }
  });

  describe('read by a parser of the registry', () => {
    let tokens: Awaited<ReturnType<typeof parseTokens>>['tokens'];
    beforeAll(async () => {
      const src = await write('tokens', 'full', { file: 'theme', theme: 'night' });
      const config = defineConfig({}, { cwd: new URL(import.meta.url) });
      ({ tokens } = await parseTokens([{ filename: new URL('file:///own.tokens.json'), src }], { config }));
    });

    it('come to the colours of the theme, through references', () => {
      const night = SYSTEMS.full.themes.get('night')!;
      for (const role of FULL.roles) {
        const { color } = night.roles.get(role.id)!;
        const token = tokens[['role', ...role.group, role.name].join('.')];
        expect(token?.$type, role.name).toBe('color');
        const { components, alpha } = token!.$value as { components: number[]; alpha: number };
        expect(components.map((v) => Math.round(v * 255))).toEqual([color!.r, color!.g, color!.b]);
        expect(alpha ?? 1).toBeCloseTo(color!.alpha, 4);
      }
      expect(tokens['role.text.link']).toMatchObject({
        $description: 'For links; never on a notice.',
        $deprecated: 'text.main',
      });
    });

    it('have gradients with their stops', () => {
      const night = SYSTEMS.full.themes.get('night')!;
      const token = tokens['gradient.First light'];
      expect(token?.$type).toBe('gradient');
      const stops = token!.$value as { color: { components: number[] }; position: number }[];
      const { colors } = night.gradients.get('first-light')!;
      expect(stops.map(({ color }) => color.components.map((v) => Math.round(v * 255)))).toEqual(
        colors.map((color) => [color!.r, color!.g, color!.b]),
      );
      expect(stops.map(({ position }) => position)).toEqual([0, 0.46, 0.82, 1]);
    });
  });
});

describe('the hostile project', () => {
  it('is one that the schema takes, with more than 250 names', () => {
    expect(documentSchema.validate(HOSTILE).error).toBeUndefined();
    const { families, roles, gradients, themes } = HOSTILE;
    expect(families.length + roles.length + gradients.length + themes.length).toBeGreaterThan(250);
  });
});

describe('with hostile names', () => {
  const files = ['DejaVuSans', 'DejaVuSans-Bold'].map(
    (font) =>
      new Uint8Array(
        readFileSync(createRequire(import.meta.url).resolve(`dejavu-fonts-ttf/ttf/${font}.ttf`)),
      ),
  );
  const handed = {
    system: SYSTEMS.hostile,
    choices: {},
    at: '2026-06-14T08:15:00Z',
    revision: 7,
    fonts: async () => ({ regular: files[0]!, bold: files[1]! }),
  };
  const hostile = async (form: Exclude<FormId, 'project'>) => (await fileFormat(form).writer())(handed);

  it('a page has no element of theirs, a drawing is XML with every name, a check runs', async () => {
    const page = String(await hostile('page'));
    expect(page).not.toMatch(/<script|<img/i);
    const titles: string[] = [];
    let open = false;
    const parser = new SaxesParser();
    parser.on('opentag', ({ name }) => {
      open = name === 'title';
    });
    parser.on('text', (text) => {
      if (open) titles.push(text);
    });
    parser.on('error', (error) => {
      throw error;
    });
    parser.write(String(await hostile('svg'))).close();
    for (const { name } of HOSTILE.families)
      expect(titles.some((title) => title.startsWith(name))).toBe(true);
    const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-hostile-'));
    writeFileSync(join(folder, 'check.mjs'), await hostile('check'));
    writeFileSync(join(folder, 'own.css'), await hostile('css'));
    const { status, stdout } = spawnSync('node', ['check.mjs', 'own.css'], { cwd: folder, encoding: 'utf8' });
    rmSync(folder, { recursive: true });
    expect([status, stdout]).toEqual([0, expect.stringContaining('0')]);
  });

  it('papers and pictures are written', async () => {
    for (const form of ['pdf', 'png', 'jpeg', 'hex'] as const)
      expect((await hostile(form)).length).toBeGreaterThan(2000);
  });

  it('a package has files of plain names, each once', () => {
    const names = ['../../x.css', 'a/b\\c.css', 'CON', 'x.css', 'X.css', '..', '.hidden'];
    const files = unzipSync(
      zipped(
        names.map((name) => ({ name, content: 'x' })),
        '2026-06-14T08:15:00Z',
      ),
    );
    const packed = Object.keys(files);
    expect(packed).toHaveLength(names.length);
    expect(new Set(packed.map((name) => name.toLowerCase())).size).toBe(names.length);
    for (const name of packed) expect(name).toMatch(/^[^./\\][^/\\]*$/);
  });
});

describe('choices', () => {
  it('leave gradients as they are mixed where every engine paints them alike, and write others in plain stops', async () => {
    const wake = SYSTEMS.full.themes.get('night')!.gradients.get('wake')!;
    const mixed = gradientCss(wake)!;
    expect(mixed).toContain('repeating');
    const alike = await write('css', 'full', { roles: 'resolved' });
    expect(alike).not.toContain(mixed);
    expect(alike).toContain('in plain stops, which every browser paints alike');
    expect(alike).toMatch(/--gradient-first-light: linear-gradient\(105deg in oklab/);
    expect(await write('css', 'full', { roles: 'resolved', gradients: 'mixed' })).toContain(mixed);
    const both = await write('css', 'full', { roles: 'resolved', gradients: 'fallback' });
    expect(both.indexOf(mixed)).toBeGreaterThan(
      both.indexOf('@supports (background: linear-gradient(in oklab'),
    );
  });

  it('are what the usual ones are where nothing is kept', () => {
    expect(choicesOf({}, 'pdf')).toEqual({ paper: 'a4', codes: true, notes: true });
    expect(choicesOf({ pdf: { paper: 'letter' } }, 'pdf').paper).toBe('letter');
  });
});

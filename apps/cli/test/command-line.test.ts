import { execFile, spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { FILE_FORMATS } from '@mint-lamp/core/exchange/file-formats';
import { HOSTILE } from '@mint-lamp/core/exchange/hostile-names.fixture';
import { writeProjectFile } from '@mint-lamp/core/exchange/project-file';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { SaxesParser } from 'saxes';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';

const BIN = join(import.meta.dirname, '../bin/mint-lamp.mjs');
const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-cli-'));
const SKERRY = 'skerry.mintlamp';

const mintLamp = (...args: string[]) =>
  new Promise<{ code: number; out: string; said: string }>((resolve) => {
    execFile('node', [BIN, ...args], { cwd: folder, maxBuffer: 1e8 }, (error, out, said) =>
      resolve({ code: error ? Number(error.code) : 0, out, said }),
    );
  });

beforeAll(() => {
  const before = {
    ...SKERRY_LINE,
    roles: SKERRY_LINE.roles.map((role) => (role.id === 'text-main' ? { ...role, name: 'body' } : role)),
  };
  const checkpoints = [{ name: 'As handed over', at: '2026-06-14T08:15:00.000Z', document: before }];
  writeFileSync(join(folder, SKERRY), writeProjectFile({ document: SKERRY_LINE, checkpoints, pictures: [] }));
  writeFileSync(join(folder, 'hostile.json'), JSON.stringify(HOSTILE));
  writeFileSync(join(folder, 'broken.mintlamp'), 'PK no zip');
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('export', () => {
  test.each(FILE_FORMATS.map(({ id, fileName }) => [id, fileName('skerry-line')]))(
    'writes %s',
    async (form, name) => {
      const { code, said } = await mintLamp('export', SKERRY, '--form', form);
      expect([code, said.trim()]).toEqual([0, `${name} is written.`]);
      expect(readFileSync(join(folder, name)).length).toBeGreaterThan(1000);
    },
  );

  it('is what the app writes, with choices by flags', async () => {
    const { out } = await mintLamp(
      'export',
      SKERRY,
      '--out',
      '-',
      '--code=oklch',
      '--classes',
      '--prefix',
      'sk',
    );
    const system = resolveSystem(SKERRY_LINE);
    expect(out).toBe(
      writeCss(system, { ...choicesOf({}, 'css'), code: 'oklch', classes: true, prefix: 'sk' }),
    );
  });

  test.each([
    [['export'], /Say one project/],
    [['export', 'nothing.mintlamp'], /cannot be read/],
    [['export', 'broken.mintlamp'], /no project file/],
    [['export', SKERRY, '--form', 'paint'], /There is no form "paint". Known are: css/],
    [['export', SKERRY, '--code', 'cmyk'], /"cmyk" cannot be code: write one of hex/],
    [['export', SKERRY, '--out', '/nowhere/x.css'], /cannot be written/],
    [['export', `${SKERRY}#Then`], /no checkpoint "Then". Known are: As handed over/],
    [['check', SKERRY, '--form', 'css'], /There is no --form here. Known are: --format/],
    [['check', 'http://127.0.0.1:9/p/5ce77000-0000-4000-8000-000000000001'], /does not answer/],
    [['paint'], /There is no command "paint"/],
  ])('%o ends with 2 and says why', async (args, why) => {
    const { code, said } = await mintLamp(...args);
    expect(code).toBe(2);
    expect(said).toMatch(why);
    expect(said.trim().split('\n')).toHaveLength(1);
  });
});

describe('check', () => {
  it('ends with 1 and names the pairs that fall short, as text, JSON and for builds', async () => {
    const text = await mintLamp('check', SKERRY);
    expect(text.code).toBe(1);
    expect(text.out).toContain('FAILS  Day sailing: notice.delay.text on notice.delay.ground, 4.27 of 4.5');
    expect(text.out).toContain('33 of 36 measurements pass.');
    const json = JSON.parse((await mintLamp('check', SKERRY, '--format', 'json')).out);
    expect([json.passing, json.of]).toEqual([33, 36]);
    const { out } = await mintLamp('check', SKERRY, '--format', 'junit');
    const seen: string[] = [];
    const parser = new SaxesParser();
    parser.on('opentag', ({ name }) => seen.push(name));
    parser.on('error', (error) => {
      throw error;
    });
    parser.write(out).close();
    expect(seen.filter((name) => name === 'testsuite')).toHaveLength(2);
    expect(seen.filter((name) => name === 'failure')).toHaveLength(3);
    expect(seen.filter((name) => name === 'testcase')).toHaveLength(36);
  });

  it('ends with 0 where there is nothing to fail', async () => {
    expect(await mintLamp('check', 'hostile.json')).toMatchObject({ code: 0 });
  });
});

describe('diff', () => {
  it('tells names and values between a checkpoint and now, and ends with 1 where something changed', async () => {
    const { code, out } = await mintLamp('diff', `${SKERRY}#As handed over`, SKERRY);
    expect([code, out.includes('- `--text-body` → `--text-main`')]).toEqual([1, true]);
    const names = await mintLamp('diff', `${SKERRY}#As handed over`, SKERRY, '--format', 'names');
    expect(JSON.parse(names.out)).toEqual([{ search: '--text-body(?![\\w-])', replace: '--text-main' }]);
    expect(await mintLamp('diff', SKERRY, SKERRY)).toMatchObject({ code: 0 });
  });
});

describe('watch', () => {
  it('writes the form anew when the file has changed', async () => {
    const [own, out] = [join(folder, 'watched.json'), join(folder, 'watched.css')];
    writeFileSync(own, JSON.stringify(SKERRY_LINE));
    const child = spawn('node', [BIN, 'watch', own, '--out', out], { stdio: ['ignore', 'ignore', 'pipe'] });
    const written = async () => void (await once(child.stderr, 'data'));
    await written();
    expect(readFileSync(out, 'utf8')).toContain('--text-main: ');
    const next = written();
    const roles = SKERRY_LINE.roles.map((role) =>
      role.id === 'text-main' ? { ...role, name: 'body' } : role,
    );
    writeFileSync(own, JSON.stringify({ ...SKERRY_LINE, roles }));
    await next;
    expect(readFileSync(out, 'utf8')).toContain('--text-body: ');
    child.kill();
    expect(existsSync(out)).toBe(true);
  });
});

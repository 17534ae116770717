import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { axeFaults, expect, expectSaved, onServer, send, test } from '../support/test.ts';

const system = resolveSystem(SKERRY_LINE);
const forms = (page: Page) => page.getByRole('navigation', { name: 'Forms' });
const choices = (page: Page) => page.getByRole('complementary', { name: 'Choices' });
const file = (page: Page) => page.locator('main pre');

/** Downloads the form that is open, and what the file is called. */
async function download(page: Page): Promise<{ name: string; path: string }> {
  const coming = page.waitForEvent('download');
  await page.locator('[data-next]').click();
  const got = await coming;
  return { name: got.suggestedFilename(), path: await got.path() };
}

async function show(page: Page, form: string): Promise<void> {
  await forms(page).getByRole('link', { name: form, exact: true }).click();
  await expect(page.locator('[data-next]')).toBeEnabled();
}

test('a form is chosen, its choices are kept with undo, and the file on the screen is the file', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('deliver');
  await expect(file(page)).toContainText('[data-theme="night-sailing"]');
  await choices(page).getByLabel('Themes', { exact: true }).selectOption('by a class');
  await expect(file(page)).toContainText('.theme-night-sailing {');
  await choices(page).getByLabel('Names begin with').fill('A B');
  await choices(page).getByLabel('Names begin with').press('Enter');
  await expect(choices(page)).toContainText('Up to 24 small letters and digits');
  await choices(page).getByLabel('Names begin with').fill('sk');
  await choices(page).getByLabel('Names begin with').press('Enter');
  await expect(file(page)).toContainText('--sk-text-main: ');
  await choices(page).getByLabel('Classes for text, ground and line').check();
  await expect(file(page)).toContainText('.sk-text-main {');
  const shown = await file(page).textContent();
  const { name, path } = await download(page);
  expect(name).toBe('copy-of-the-demo.css');
  expect(readFileSync(path, 'utf8')).toBe(shown);
  await expectSaved(page);
  expect((await onServer(stack, project)).document.delivery.choices).toEqual({
    css: { themes: 'class', prefix: 'sk', classes: true },
  });
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(file(page)).not.toContainText('.sk-text-main {');
  expect(await axeFaults(page)).toEqual([]);

  // What is left out goes as colours, where something that goes needs them.
  await choices(page).getByRole('button', { name: 'Choose what to include' }).click();
  const dialog = page.getByRole('dialog', { name: 'What’s included' });
  await dialog.getByLabel('Deepwater', { exact: true }).uncheck();
  await dialog.getByLabel('All of notice.delay').uncheck();
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(choices(page)).toContainText('Everything but 1 family, 2 roles.');
  await expect(file(page)).toContainText('--sk-action-fill: #0b5f6b;');
  await expect(file(page)).not.toContainText('--sk-notice-delay');
});

test('every download is a hand-over; what changed since is marked, told, and put into files', async ({
  page,
  open,
  goOn,
  stack,
  project,
}) => {
  await open('deliver');
  await expect(page.getByRole('region', { name: 'Handed over' })).toBeHidden();
  await download(page);
  await expect(page.getByText('downloaded and saved as a hand-over.')).toBeVisible();
  await expect(page.getByText('as last handed over')).toBeVisible();
  await send(stack, project, [
    { type: 'setBase', family: 'buoy', color: '#aa3311' },
    { type: 'renameRole', role: 'text-main', group: ['text'], name: 'body' },
  ]);
  await expect(file(page).locator('mark').first()).toContainText('--buoy-');
  await expect(file(page)).toContainText('--text-body');
  await expect(page.getByText(/lines changed since it went out/)).toBeVisible();
  await page.getByRole('link', { name: 'What changed since' }).click();
  const changed = page.getByRole('region', { name: /^What changed since/ });
  await expect(changed).toContainText('--text-main → --text-body');
  await expect(changed.getByRole('region', { name: 'Values that changed' })).toContainText('Buoy 500');
  await expect(changed.getByRole('region', { name: 'Contrast that changed' })).toContainText(
    'accent.text on accent.fill',
  );
  // Off what it happens to lie on now, whose hint would come up.
  await page.mouse.move(1, 1);
  await expect(page.getByRole('tooltip')).toHaveCount(0);
  expect(await axeFaults(page)).toEqual([]);
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  await changed.getByRole('button', { name: 'Copy the list of changes for a developer' }).click();
  const list = await page.evaluate(() => navigator.clipboard.readText());
  expect(list).toContain('- `--text-main` → `--text-body`');
  expect(list).toMatch(/- `--buoy-500` \(Buoy 500\): #c83d19 → #[0-9a-f]{6}/);
  const coming = page.waitForEvent('download');
  await changed.getByRole('button', { name: 'Page for the client' }).click();
  const html = readFileSync(await (await coming).path(), 'utf8');
  await goOn('deliver');
  await page.setContent(html);
  await expect(page.getByRole('heading', { level: 2 }).first()).toHaveText('Colours, before and after');
  expect(await axeFaults(page)).toEqual([]);
});

test('what needs a look before leads to its place and back, by keyboard', async ({
  page,
  open,
  stack,
  project,
}) => {
  await send(stack, project, [
    { type: 'addFamily', family: { ...SKERRY_LINE.families[0]!, id: 'foam', name: 'Foam' } },
  ]);
  await open('deliver');
  const before = page.getByRole('region', { name: 'Before you hand over' });
  await expect(before.getByRole('listitem')).toHaveCount(2);
  await before.getByRole('link', { name: /^1 family is not used/ }).press('Enter');
  await expect(page).toHaveURL(/grow\/foam$/);
  await page.getByRole('link', { name: 'Back to Deliver' }).press('Enter');
  await expect(page).toHaveURL(/deliver$/);
  await expect(page.getByRole('link', { name: 'Back to Deliver' })).toBeHidden();
  // A form, a choice and a tick by keys alone.
  await forms(page).getByRole('link', { name: 'SCSS' }).press('Enter');
  await expect(file(page)).toContainText('$deepwater-700: #0b5f6b;');
  await choices(page).getByLabel('Colours').focus();
  await page.keyboard.press('ArrowDown');
  await expect(file(page)).toContainText('$deepwater-700: rgb(11 95 107);');
  await forms(page).getByLabel('SCSS in the package').press('Space');
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Download 4 as a zip' }).press('Enter');
  const zip = await coming;
  expect(zip.suggestedFilename()).toMatch(/^copy-of-the-demo-\d{4}-\d\d-\d\d\.zip$/);
  const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-zip-'));
  execFileSync('unzip', ['-q', await zip.path(), '-d', folder]);
  const listed = execFileSync('unzip', ['-Z1', await zip.path()], { encoding: 'utf8' })
    .trim()
    .split('\n');
  expect(listed.sort()).toEqual([
    '_copy-of-the-demo.scss',
    'copy-of-the-demo.css',
    'copy-of-the-demo.html',
    'copy-of-the-demo.tokens.json',
  ]);
  expect(readFileSync(join(folder, '_copy-of-the-demo.scss'), 'utf8')).toBe(await file(page).textContent());
  rmSync(folder, { recursive: true });
});

test('single values are copied in the notation that was chosen once', async ({ page, open }) => {
  await open('deliver/values');
  const row = page
    .getByRole('region', { name: 'Values' })
    .getByRole('listitem')
    .filter({ hasText: '--action-fill' });
  await expect(row).toContainText('#0b5f6b');
  await page.getByLabel('Copied as').selectOption('oklch()');
  await expect(row).toContainText('oklch(');
  await page.getByLabel('Copied as').selectOption('name');
  await expect(row).toContainText('action.fill');
  expect(await axeFaults(page)).toEqual([]);
});

test('the page for the client passes axe, shows codes on request and the same on a phone', async ({
  page,
  open,
  stack,
  project,
}) => {
  // Pairs that fall short are said to on the page, and seen to by whoever looks at it.
  await send(stack, project, [
    {
      type: 'setLink',
      role: 'notice-delay-text',
      theme: 'day',
      link: { to: 'shade', family: 'lantern', shade: '700' },
    },
  ]);
  await open('deliver');
  await show(page, 'Page for the client');
  await expect(page.frameLocator('iframe').getByRole('heading', { level: 1 })).toHaveText('Copy of the demo');
  expect(await axeFaults(page)).toEqual([]);
  const { path } = await download(page);
  const html = readFileSync(path, 'utf8');
  expect(html).not.toContain('<script');
  await page.goto('about:blank');
  const requests: string[] = [];
  page.on('request', (request) => requests.push(request.url()));
  for (const colorScheme of ['light', 'dark'] as const)
    for (const width of [1280, 375]) {
      await page.emulateMedia({ colorScheme });
      await page.setViewportSize({ width, height: 800 });
      await page.setContent(html);
      expect(await page.evaluate(() => document.documentElement.scrollWidth), `${width}`).toBe(width);
      expect(await axeFaults(page), `${colorScheme} ${width}`).toEqual([]);
      await expect(page.getByText('#0b5f6b').first()).toBeHidden();
    }
  await page.getByLabel('Show codes').check();
  await expect(page.getByText('#0b5f6b').first()).toBeVisible();
  // Chips of a theme are painted as in the app.
  const fill = page
    .locator('section', { hasText: 'Night sailing' })
    .last()
    .locator('.roles li', { hasText: 'fill' });
  const { r, g, b } = system.themes.get('night')!.roles.get('action-fill')!.color!;
  await expect(fill.first().locator('.chip')).toHaveCSS('background-color', `rgb(${r}, ${g}, ${b})`);
  expect(requests).toEqual([]);
});

test('sheets of swatches are drawn in the colours of the system: SVG with named shapes, PNG and JPEG', async ({
  page,
  open,
}) => {
  await open('deliver');
  await show(page, 'SVG of swatches');
  const svg = readFileSync((await download(page)).path, 'utf8');
  await show(page, 'PNG of swatches');
  expect(await axeFaults(page)).toEqual([]);
  const png = readFileSync((await download(page)).path);
  await show(page, 'JPEG of swatches');
  const jpeg = readFileSync((await download(page)).path);
  const boxes = [...svg.matchAll(/<rect id="([^"]+)" x="([\d.]+)" y="([\d.]+)" width="([\d.]+)"/g)].map(
    ([, id, x, y, width]) => ({ id: id!, x: Number(x) + Number(width) / 2, y: Number(y) + 12 }),
  );
  expect(boxes.map(({ id }) => id)).toContain('deepwater-700');
  expect(svg).toContain('<title>Deepwater 700, #0b5f6b</title>');
  const [width, height] = [PNG.sync.read(png).width, PNG.sync.read(png).height];
  await page.setViewportSize({ width, height });
  for (const [address, most] of [
    [`data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}`, 0],
    [`data:image/png;base64,${png.toString('base64')}`, 0],
    [`data:image/jpeg;base64,${jpeg.toString('base64')}`, 2],
  ] as const) {
    await page.setContent(`<style>body{margin:0}</style><img src="${address}">`);
    await page.locator('img').evaluate((img: HTMLImageElement) => img.decode());
    const seen = PNG.sync.read(await page.screenshot());
    const kind = address.slice(5, 14);
    for (const { family, shades } of system.families.values())
      for (const shade of shades) {
        const box = boxes.find(({ id }) => id === `${family.name.toLowerCase()}-${shade.label}`)!;
        const at = (Math.round(box.y) * seen.width + Math.round(box.x)) * 4;
        [shade.r, shade.g, shade.b].forEach((v, i) => {
          expect(Math.abs(seen.data[at + i]! - v), `${kind} ${box.id}`).toBeLessThanOrEqual(most);
        });
      }
  }
});

test('the PDF has all pages, its text can be found, and its colours are drawn within 1 of 255', async ({
  page,
  open,
  stack,
  project,
}) => {
  await send(stack, project, [
    { type: 'renameFamily', family: 'kelp', name: 'Ламинария Φύκι' },
    {
      type: 'addNote',
      note: {
        id: 'n1',
        on: { kind: 'role', role: 'text-main' },
        text: 'Chosen with the harbour office.',
        by: 'Ida',
        at: 0,
        settled: true,
        forClient: true,
        answers: [{ id: 'a1', text: 'They said so on the pier.', by: 'Ula', at: 1 }],
      },
    },
  ]);
  await open('deliver');
  await show(page, 'PDF for the client');
  for (const [paper, size, all] of [
    ['A4', '595.28 x 841.89', 5],
    ['letter', '612 x 792', 7],
  ] as const) {
    await choices(page).getByLabel('Paper').selectOption(paper);
    await expect(page.locator('[data-next]')).toBeEnabled();
    const { path } = await download(page);
    const info = execFileSync('pdfinfo', [path], { encoding: 'utf8' });
    expect(info).toContain(size);
    expect(info).toMatch(/Title:\s+Copy of the demo: colours/);
    const pages = Number(/Pages:\s+(\d+)/.exec(info)![1]);
    expect(pages).toBe(all);
    const text = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });
    for (const said of [
      'Ламинария Φύκι',
      'Night sailing',
      'notice.delay',
      '#0b5f6b',
      'Chosen with the harbour office.',
      'They said so on the pier.',
      'answered by Ula',
      'is hard to read',
    ])
      expect(text).toContain(said);
    expect(execFileSync('pdffonts', [path], { encoding: 'utf8' })).toMatch(
      /DejaVuSans\S* +CID TrueType +Identity-H +yes/,
    );
    // Only the letters that are used are in it.
    expect(readFileSync(path).length).toBeLessThan(120_000);
    // Every shade is somewhere on the first page.
    const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-pdf-'));
    execFileSync('pdftoppm', ['-r', '72', '-f', '1', '-l', '1', '-png', path, join(folder, 'page')]);
    const png = PNG.sync.read(readFileSync(join(folder, 'page-1.png')));
    rmSync(folder, { recursive: true });
    const found = new Set<number>();
    for (let at = 0; at < png.data.length; at += 4)
      found.add((png.data[at]! << 16) | (png.data[at + 1]! << 8) | png.data[at + 2]!);
    const isThere = (r: number, g: number, b: number) => {
      for (let i = -1; i < 2; i++)
        for (let j = -1; j < 2; j++)
          for (let k = -1; k < 2; k++) if (found.has(((r + i) << 16) | ((g + j) << 8) | (b + k))) return true;
      return false;
    };
    for (const { shades } of system.families.values())
      for (const { r, g, b, css } of shades) expect(isThere(r, g, b), css).toBe(true);
  }
});

test('hand-overs and an empty project say what is next', async ({ page, open, stack }) => {
  await open('deliver/hand-overs');
  await expect(page.getByText('Nothing handed over yet')).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  const answer = await fetch(`${stack.address}/api/projects`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Empty' }),
  });
  const { id } = await answer.json();
  await page.goto(`/p/${id}/deliver`);
  await expect(page.getByText('Nothing to hand over yet')).toBeVisible();
});

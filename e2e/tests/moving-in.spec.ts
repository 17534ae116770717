import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { axeFaults, expect, expectSaved, onServer, post, test } from '../support/test.ts';

type Stack = Parameters<typeof post>[0];

/** An empty project, open where sheets are gathered. */
async function openSheets(page: Page, stack: Stack): Promise<string> {
  const { id } = await post(stack, '/projects', { name: 'Old ferry' });
  await page.goto(`/p/${id}/gather/sheets`);
  await expect(page.getByRole('heading', { name: 'Gather', level: 1 })).toBeVisible();
  return id;
}

const CSS = `:root { --page-bg: #fdfbf5; --ink: #12262b; --brand: #0b5f6b }
.night { --page-bg: #002f39; --ink: #e6f1f2; --brand: #6fb6c0 }
body { background: var(--page-bg); color: var(--ink) }
.go { background: #e2552b; color: #ffffff }
.go:hover { background: #e1542b; color: #ffffff }
.quiet { color: #9aa7a9; background: #ffffff }
.focus { outline: 2px solid currentColor }
`;
const SCSS = '$sand: #d8c7a0; // beaches\n$deep-sand: darken($sand, 20%);\n';

const role = async (stack: Stack, id: string, name: string) => {
  const { document } = await onServer(stack, id);
  return document.roles.find((one: { name: string }) => one.name === name);
};

test('several files become a system by mouse: nothing moves, then not visibly; taken, looked up, and taken back', async ({
  page,
  stack,
}) => {
  const id = await openSheets(page, stack);
  expect(await axeFaults(page)).toEqual([]);
  const files = page.getByLabel('Sheets as files');
  await files.setInputFiles([
    { name: 'deck.css', mimeType: 'text/css', buffer: Buffer.from(CSS) },
    { name: 'sand.scss', mimeType: 'text/x-scss', buffer: Buffer.from(SCSS) },
    { name: 'empty.json', mimeType: 'application/json', buffer: Buffer.from('{"size":{"$value":"4px"}}') },
  ]);
  const list = page.getByRole('region', { name: 'Sheets', exact: true });
  await expect(list).toContainText('There is no design token in it that is a colour.');
  await list.getByRole('button', { name: 'Remove empty.json' }).click();
  await expect(list).not.toContainText('empty.json');
  await expect(page.getByText(/^All \d+ colours stay as they are\.$/)).toBeVisible();
  const pairs = page.getByRole('region', { name: 'Proposed pairs' });
  await expect(pairs).toContainText('text.quiet on ground.quiet');
  await expect(pairs).toContainText('3 of 4 fail 4.5');
  await expect(page.getByRole('region', { name: 'Proposed roles' })).toContainText('deep-sand');

  // What stands in rules, and where.
  const uses = page.getByRole('region', { name: 'Written out in rules' });
  await uses.getByRole('button', { name: /#e2552b/ }).click();
  await expect(uses).toContainText('.go, first in deck.css, line 4');

  // Let to move, two greens and oranges are one; said before anything is taken.
  await page.getByRole('radio', { name: 'not visibly' }).click();
  await expect(
    page.getByText(/^\d of \d+ colours give way to another, the furthest by ΔE 0\.01\d/),
  ).toBeVisible();
  await expect(page.getByText('After', { exact: true })).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('radio', { name: 'not at all' }).click();
  await expect(page.getByText(/^All \d+ colours stay/)).toBeVisible();

  await page.getByRole('button', { name: /^Add \d+ families, \d+ roles, 4 pairs$/ }).click();
  await expect(page.getByRole('heading', { name: 'Grow', level: 1 })).toBeVisible();
  await expectSaved(page);
  const { document } = await onServer(stack, id);
  expect(document.themes.map(({ name }: { name: string }) => name)).toEqual(['Day', 'Night']);
  expect(document.pairs).toHaveLength(4);
  const ink = await role(stack, id, 'ink');
  expect(ink.origin).toEqual({ property: '--ink', value: '#12262b', file: 'deck.css', line: 1 });
  // What a role was is looked up where it is.
  await page.goto(`/p/${id}/assign/${ink.id}`);
  await expect(page.getByText('Was --ink: #12262b, deck.css, line 1')).toBeVisible();
  const sand = await role(stack, id, 'deep-sand');
  expect(sand.origin).toMatchObject({ file: 'sand.scss', line: 2 });
  await page.keyboard.press('Control+z');
  await expectSaved(page);
  expect((await onServer(stack, id)).document).toMatchObject({ roles: [], families: [], pairs: [] });
});

test('by keyboard: an example, its way, what is left out, the bill, and taken', async ({ page, stack }) => {
  const id = await openSheets(page, stack);
  await page.getByRole('button', { name: 'Try an example' }).press('Enter');
  const ways = page.getByRole('radiogroup', { name: 'Colours may shift' });
  await expect(ways).toBeVisible();
  await ways.getByRole('radio', { name: 'not at all' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(ways.getByRole('radio', { name: 'not visibly' })).toBeChecked();
  await expect(page.getByText(/colours? give way to another/)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(ways.getByRole('radio', { name: 'this far' })).toBeChecked();
  const far = page.getByRole('slider', { name: 'How far, ΔE OK' });
  await far.focus();
  await page.keyboard.press('End');
  await page.keyboard.press('Tab');
  await expect(page.getByText('ΔE 0.150')).toBeVisible();
  await expect(page.getByText(/the furthest by ΔE 0\.1/)).toBeVisible();

  const pair = page.getByRole('region', { name: 'Proposed pairs' }).getByRole('checkbox').first();
  await pair.press('Space');
  await expect(pair).not.toBeChecked();
  // The choice stays when colours move otherwise.
  await ways.getByRole('radio', { name: 'this far' }).focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowLeft');
  await page.getByRole('radio', { name: 'not at all' }).press('Space');
  await expect(page.getByText(/^All \d+ colours stay/)).toBeVisible();

  await page.getByRole('button', { name: 'Colour audit' }).press('Enter');
  const bill = page.frameLocator('iframe[title="Colour audit"]');
  await expect(bill.getByRole('heading', { name: 'Near-twins' })).toBeVisible();
  await expect(bill.getByText('#5b6e73')).not.toHaveCount(0);
  expect(await axeFaults(page)).toEqual([]);
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the page' }).press('Enter'),
  ]);
  expect(saved.suggestedFilename()).toBe('old-ferry-bill.html');
  await page.getByRole('button', { name: 'Close the audit' }).press('Enter');
  await expect(page.locator('iframe[title="Colour audit"]')).toBeHidden();

  await page.getByRole('button', { name: /^Add \d+ famil/ }).press('Enter');
  await expectSaved(page);
  expect((await onServer(stack, id)).document.roles.length).toBeGreaterThan(5);
});

test('the list of replacements and the rewritten sheets are handed back', async ({ page, stack }) => {
  await openSheets(page, stack);
  await page
    .getByLabel('Sheets as files')
    .setInputFiles([{ name: 'deck.css', mimeType: 'text/css', buffer: Buffer.from(CSS) }]);
  const take = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name, exact: true }).click(),
    ]);
    return { name: download.suggestedFilename(), bytes: await readFile((await download.path())!) };
  };
  const list = await take('List of replacements');
  expect(list.name).toBe('old-ferry-replacements.csv');
  expect(list.bytes.toString().split('\r\n')).toEqual(
    expect.arrayContaining([
      'from,to,times,selectors',
      '#e2552b (ground),--ground-go,1,.go',
      '--ink,--ink,1,body',
    ]),
  );
  const sheets = await take('Rewritten sheets');
  expect(sheets.name).toBe('old-ferry-sheets.zip');
  const text = sheets.bytes.toString('latin1');
  for (const file of ['colours.css', 'deck.css', 'replacements.csv']) expect(text).toContain(file);
});

test('a page with its sheets comes by its address; what is not public, or not there, is told', async ({
  page,
  stack,
}) => {
  await openSheets(page, stack);
  await page.getByRole('button', { name: 'The old timetable, a page' }).click();
  const list = page.getByRole('region', { name: 'Sheets', exact: true });
  // Its sheet, the one that this takes in before it, and what stands in the page.
  await expect(list.getByRole('listitem')).toContainText([
    'old-colours.css',
    'old-site.css',
    'timetable.html',
  ]);
  const roles = page.getByRole('region', { name: 'Proposed roles' });
  await expect(roles).toContainText('brand-soft');
  const uses = page.getByRole('region', { name: 'Written out in rules' });
  await uses.getByRole('button', { name: /#b8234a/ }).click();
  await expect(uses).toContainText(/\.late, first in .*timetable\.html, line 1/);
  await expect(page.getByRole('checkbox', { name: 'Dark' })).toBeChecked();
  const address = page.getByLabel('A page’s address, with its sheets');
  for (const [typed, told] of [
    ['http://127.0.0.1/', 'fetched from the public web only'],
    ['ftp://piers.example/', 'https or http'],
    ['not an address', 'no web address'],
  ] as const) {
    await address.fill(typed);
    await address.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: told })).toBeVisible();
  }
  // What is there stays.
  await expect(list).toContainText('old-site.css');
});

test('a folder is gone through, and a text that is pasted is one more sheet', async ({ page, stack }) => {
  await openSheets(page, stack);
  const folder = await mkdtemp(join(tmpdir(), 'sheets-'));
  await writeFile(join(folder, 'a.css'), ':root { --sea: #0b5f6b; --sky: #9ad }');
  await writeFile(join(folder, 'b.less'), '@buoy: #e2552b;');
  await writeFile(join(folder, 'picture.png'), 'no sheet');
  await page.getByLabel('A folder of sheets').setInputFiles(folder);
  const list = page.getByRole('region', { name: 'Sheets', exact: true });
  await expect(list.getByRole('button', { name: /a\.css$/ }).first()).toBeVisible();
  await expect(list).not.toContainText('picture.png');
  const roles = page.getByRole('region', { name: 'Proposed roles' });
  await expect(roles).toContainText('buoy');
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', ':root { --rust: #a83a1c }');
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
  });
  await expect(list).toContainText('pasted.css');
  await expect(roles).toContainText('rust');
  // It is still there when one comes back.
  await page.reload();
  await expect(roles).toContainText('rust');
});

test('a sheet that comes again is compared, and taken in part', async ({ page, stack }) => {
  const id = await openSheets(page, stack);
  const files = page.getByLabel('Sheets as files');
  const give = (text: string) =>
    files.setInputFiles([{ name: 'deck.css', mimeType: 'text/css', buffer: Buffer.from(text) }]);
  await give(CSS);
  await page.getByRole('button', { name: /^Add \d+ famil/ }).click();
  await expectSaved(page);
  await page.goto(`/p/${id}/gather/sheets`);
  const again = page.getByRole('region', { name: 'Since you added it' });
  await expect(again).toContainText('Nothing has changed');
  await give(CSS.replace('--ink: #12262b', '--ink: #101c20; --rust: #a83a1c').replace(/\.quiet .*\n/, ''));
  await expect(again).toContainText('1 changed, 1 new, 2 gone');
  expect(await axeFaults(page)).toEqual([]);
  // What is gone stays in use here.
  for (const gone of ['text.quiet', 'ground.quiet'])
    await again.getByRole('checkbox', { name: gone }).uncheck();
  await again.getByRole('button', { name: 'Apply 1 changed, 1 new' }).click();
  await expect(page.getByText('Applied. Undo takes all of it back.')).toBeVisible();
  await expectSaved(page);
  const { document } = await onServer(stack, id);
  const found = (name: string) => document.roles.find((one: { name: string }) => one.name === name);
  expect(found('ink').origin.value).toBe('#101c20');
  expect(found('rust')).toBeDefined();
  expect(found('quiet').retired).toBeUndefined();
  await expect(again).toContainText('0 changed, 0 new, 2 gone');
  await page.keyboard.press('Control+z');
  await expect(again).toContainText('1 changed, 1 new, 2 gone');
});

test('5 MB are read with progress, and can be stopped', async ({ page, stack }) => {
  await openSheets(page, stack);
  const rule = (i: number) =>
    `.card-${i} { color: #${(i * 7919).toString(16).padStart(6, '0').slice(-6)}; background: hsl(${i % 360}, 40%, 50%); border: 1px solid rgb(0 0 0 / 20%) }\n`;
  const text = `:root { --a: #123 }\n${Array.from({ length: 52_000 }, (_, i) => rule(i)).join('')}`;
  expect(text.length).toBeGreaterThan(4_500_000);
  await page
    .getByLabel('Sheets as files')
    .setInputFiles([{ name: 'large.css', mimeType: 'text/css', buffer: Buffer.from(text) }]);
  await expect(page.getByRole('progressbar', { name: 'Reading the sheets' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped; nothing was read.')).toBeVisible();
  await page.getByRole('button', { name: 'Read again' }).click();
  await expect(page.getByRole('region', { name: 'Proposed families' })).toBeVisible({ timeout: 60_000 });
});

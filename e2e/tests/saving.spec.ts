import { SCHEMA_VERSION_HEADER } from '@mint-lamp/core/wire/schema-version';
import type { Page } from '@playwright/test';
import { saveData } from '../support/saved-data.ts';
import { addColor, expect, expectSaved, onServer, SKERRY, test } from '../support/test.ts';

const swatches = async (page: Page) =>
  page.getByRole('region', { name: 'Tray' }).getByRole('listitem').allTextContents();

const trayOnServer = async (stack: Parameters<typeof onServer>[0], id: string) =>
  (await onServer(stack, id)).document.tray.map((swatch: { color: string }) => swatch.color);

test('two tabs on one project both end with both edits, live', async ({
  page,
  other,
  open,
  stack,
  project,
}) => {
  await open('grow');
  await open('grow', other);
  await addColor(page, '#111111');
  await addColor(other, '#222222');
  await addColor(page, '#333333');
  for (const tab of [page, other]) {
    await expectSaved(tab);
    await expect.poll(() => swatches(tab)).toHaveLength(7);
  }
  expect(await swatches(page)).toEqual(await swatches(other));
  expect(await trayOnServer(stack, project)).toEqual(
    expect.arrayContaining(['#111111', '#222222', '#333333']),
  );
  // Undo takes back one's own edit, not the other's.
  await page.keyboard.press('Control+z');
  await expect.poll(() => trayOnServer(stack, project)).not.toContain('#333333');
  expect(await trayOnServer(stack, project)).toContain('#222222');
});

test('two tabs at two servers on one database both end with both edits, live, also when one server is killed', async ({
  page,
  other,
  open,
  stack,
  project,
}) => {
  const second = await stack.anotherServer();
  await open('grow');
  await other.goto(`${second.address}/p/${project}/grow`);
  await expect(other.locator('main h1')).toBeVisible();
  await addColor(page, '#111111');
  await addColor(other, '#222222');
  for (const tab of [page, other]) await expect.poll(() => swatches(tab)).toHaveLength(6);
  await second.kill();
  await addColor(other, '#333333');
  await expect(other.locator('[data-saving]')).toHaveText('1 edit kept here');
  await addColor(page, '#444444');
  await expectSaved(page);
  await second.start();
  for (const tab of [page, other]) {
    await expectSaved(tab);
    await expect.poll(() => swatches(tab)).toHaveLength(8);
  }
  expect(await swatches(page)).toEqual(await swatches(other));
  expect((await trayOnServer(stack, project)).slice(4)).toEqual(['#111111', '#222222', '#444444', '#333333']);
  await second.kill();
});

test('seven tabs of one browser open, and all hear what one of them does, also after the first is closed', async ({
  page,
  context,
  open,
  project,
}) => {
  await open('grow');
  const tabs = [];
  for (let i = 0; i < 6; i++) {
    const tab = await context.newPage();
    await tab.goto(`/p/${project}/grow`);
    await expect(tab.locator('main h1')).toBeVisible();
    tabs.push(tab);
  }
  await addColor(tabs[5]!, '#111111');
  for (const tab of [page, ...tabs]) await expect.poll(() => swatches(tab)).toHaveLength(5);
  await page.close();
  await addColor(tabs[0]!, '#222222');
  for (const tab of tabs) await expect.poll(() => swatches(tab)).toHaveLength(6);
});

test('a page that is older than the server is told to load anew, and loses nothing', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow');
  await expectSaved(page);
  await page.route('**/commands', (route) =>
    route.continue({ headers: { ...route.request().headers(), [SCHEMA_VERSION_HEADER]: '1' } }),
  );
  await addColor(page, '#abcdef');
  await expect(page.locator('[data-saving]')).toContainText('1 edit kept here');
  await addColor(page, '#fedcba');
  await expect(page.locator('[data-saving]')).toContainText('2 edits kept here');
  expect(await trayOnServer(stack, project)).toHaveLength(4);
  await page.unroute('**/commands');
  await page.getByRole('button', { name: 'Reload' }).click();
  await expectSaved(page);
  await expect.poll(() => swatches(page)).toHaveLength(6);
  expect((await trayOnServer(stack, project)).slice(4)).toEqual(['#abcdef', '#fedcba']);
});

test('an edit that no longer fits is told, and the others go through', async ({
  page,
  browser,
  open,
  stack,
  project,
}) => {
  await open('grow/kelp');
  await page.route('**/commands', (route) => route.abort());
  await page.getByLabel('Family', { exact: true }).fill('Weed');
  await page.keyboard.press('Enter');
  await addColor(page, '#444444');
  await expect(page.locator('[data-saving]')).toContainText('2 edits kept here');
  // Meanwhile the family is removed in another browser.
  const elsewhere = await browser.newContext();
  await saveData(elsewhere);
  const other = await elsewhere.newPage();
  await other.goto(`${stack.address}/p/${project}/grow/kelp`);
  await other.getByRole('button', { name: 'Remove …' }).click();
  await other.getByRole('button', { name: 'Remove Kelp' }).click();
  await expectSaved(other);
  await page.unroute('**/commands');
  await expectSaved(page);
  await expect(page.getByText('An edit could not be saved')).toBeVisible();
  expect(await trayOnServer(stack, project)).toContain('#444444');
  await elsewhere.close();
});

test.describe('with all parts fetched ahead', () => {
  test.use({ fetchesAhead: true });

  test('while the server is away editing goes on, also across a closed tab, and all arrives once and in order', async ({
    page,
    context,
    open,
    stack,
    project,
  }) => {
    await open('grow');
    await expectSaved(page);
    // The other stations have been fetched ahead by now; they open without the server.
    await expect(page.locator('html')).toHaveAttribute('data-ahead', 'fetched');
    await stack.killServer();
    await page.getByRole('link', { name: 'Fade' }).click();
    await expect(page.locator('figure svg').first()).toBeVisible();
    await page.getByRole('link', { name: 'Gather' }).click();
    await page.getByLabel('Text with colours').fill('#123456');
    await expect(page.getByText('1 colour found')).toBeVisible();
    await page.getByRole('link', { name: 'Deliver' }).click();
    await expect(page.getByRole('heading', { name: 'Deliver' })).toBeVisible();
    const colors = ['#100000', '#200000', '#300000'];
    for (const color of colors) await addColor(page, color);
    await expect(page.locator('[data-saving]')).toHaveText('3 edits kept here');
    await page.close();
    await stack.startServer();
    expect((await trayOnServer(stack, project)).length).toBe(4);
    const later = await context.newPage();
    // The page of all projects sends what waits already; a project's own page has nothing left to send.
    await later.goto('/');
    await expect.poll(async () => (await trayOnServer(stack, project)).length).toBe(7);
    await open('grow', later);
    await expectSaved(later);
    await expect
      .poll(() => trayOnServer(stack, project))
      .toEqual([...['#0b5f6b', '#e2552b', '#d9c7a0', '#3d4a4d'], ...colors]);
    expect(
      await later.evaluate(() => Object.keys(localStorage).filter((key) => key.includes('unsent'))),
    ).toEqual([]);
  });
});

test('while the database is away the state says so, and what was done is saved when it is back', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow');
  await expectSaved(page);
  await stack.killDatabase();
  await addColor(page, '#abcdef');
  await expect(page.locator('[data-saving]')).toHaveText('1 edit kept here');
  const answer = await fetch(`${stack.address}/api/projects`);
  expect(answer.status).toBe(503);
  expect((await answer.json()).error.code).toBe('DATABASE_AWAY');
  stack.cluster.restart();
  await expectSaved(page);
  expect(await trayOnServer(stack, project)).toContain('#abcdef');
});

test('every edit shown as saved is there, once, after server and database are killed in a stream of edits', async ({
  page,
  open,
  stack,
  project,
}) => {
  test.setTimeout(120_000);
  await open('grow');
  let n = 0;
  const shownAsSaved = new Set<string>();
  const streamFor = async (count: number) => {
    for (let i = 0; i < count; i++) {
      n += 1;
      await addColor(page, `#00${n.toString(16).padStart(4, '0')}`);
      if ((await page.locator('[data-saving]').getAttribute('data-saving')) === 'idle')
        for (let k = 1; k <= n; k++) shownAsSaved.add(`#00${k.toString(16).padStart(4, '0')}`);
    }
  };
  const stream = streamFor(24);
  await expect.poll(() => n).toBeGreaterThan(5);
  await stack.killServer();
  await stack.startServer();
  await expect.poll(() => n).toBeGreaterThan(14);
  await stack.killDatabase();
  const atKill = new Set(shownAsSaved);
  stack.cluster.restart();
  const survived = await trayOnServer(stack, project);
  for (const color of atKill) expect(survived).toContain(color);
  await stream;
  await expectSaved(page);
  const all = (await trayOnServer(stack, project)).slice(4);
  expect(all).toEqual(Array.from({ length: 24 }, (_, i) => `#00${(i + 1).toString(16).padStart(4, '0')}`));
});

test('what was undone can be redone after a reload', async ({ page, open }) => {
  await open('grow');
  await addColor(page, '#445566');
  await expectSaved(page);
  await page.reload();
  await expect.poll(() => swatches(page)).toHaveLength(5);
  await page.keyboard.press('Control+z');
  await expect.poll(() => swatches(page)).toHaveLength(4);
  await expectSaved(page);
  await page.reload();
  await expect.poll(() => swatches(page)).toHaveLength(4);
  await page.keyboard.press('Shift+Control+z');
  await expect.poll(() => swatches(page)).toHaveLength(5);
});

test('what keys have come to is kept where the way back is taken at once', async ({
  page,
  goOn,
  stack,
  project,
}) => {
  const baseOf = async () => (await onServer(stack, project)).document.families[0].base;
  const before = await baseOf();
  await page.goto('/');
  await goOn('grow/deepwater');
  await page.getByRole('slider', { name: 'Base of Deepwater' }).press('ArrowRight');
  await page.evaluate(() => history.back());
  await expect(page.getByRole('heading', { name: 'What do you have?' })).toBeVisible();
  await expect.poll(baseOf).not.toEqual(before);
});

test('the demo projects are there and can be opened', async ({ page }) => {
  await page.goto(`/p/${SKERRY}`);
  await expect(page).toHaveURL(/grow$/);
  await expect(page.getByRole('heading', { name: 'Grow' })).toBeVisible();
});

import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { axeFaults, expect, expectSaved, onServer, test } from '../support/test.ts';

test('pairs are filtered, put under their grounds, and shown in one theme alone', async ({ page, open }) => {
  await open('check');
  const rows = page.getByRole('list', { name: 'Pairs, worst first' }).getByRole('listitem');
  await expect(rows).toHaveCount(18);
  await expect(rows.first()).toContainText('3.33 needs 4.5 in Night sailing, 1.17 too low');
  await expect(rows.first()).toContainText('10.45 passes 4.5 in Day sailing, 5.95 to spare');
  const which = page.getByRole('group', { name: 'Which pairs' });
  await which.getByLabel('failing').check();
  await expect(rows).toHaveCount(3);
  await expect(which.getByRole('status')).toHaveText('3 of 18 pairs');
  await which.getByLabel('Theme').selectOption('Day sailing');
  await expect(rows).toHaveCount(1);
  await expect(rows.first()).toContainText('notice.delay.text');
  await expect(rows.first()).not.toContainText('Night sailing');
  await which.getByLabel('Content').selectOption('graphics and controls');
  await expect(page.getByRole('heading', { name: 'None of these fails' })).toBeVisible();
  await which.getByRole('button', { name: 'Show all' }).click();
  await which.getByLabel('Group').selectOption('action');
  await expect(rows).toHaveCount(3);
  await which.getByRole('button', { name: 'Show all' }).click();
  await which.getByLabel('Order').selectOption('by ground');
  const grounds = page.getByRole('list', { name: 'Pairs by ground' }).getByRole('heading', { level: 2 });
  await expect(grounds.first()).toHaveText('on page.ground 5');
  // Graphics are shown as what the role is for.
  const drawn = (pair: string) =>
    page.getByRole('listitem', { name: pair }).locator('[data-graphic]').first().getAttribute('data-graphic');
  expect(await drawn('focus.ring on page.ground')).toBe('ring');
  expect(await drawn('action.fill on page.ground')).toBe('control');
  expect(await drawn('line.strong on page.raised')).toBe('line');
  expect(await axeFaults(page)).toEqual([]);
});

test('an open pair shows the ways to mend it and what each does to others, by keyboard', async ({
  page,
  open,
}) => {
  await open('check');
  const row = page.getByRole('listitem', { name: 'notice.delay.text on notice.delay.ground' });
  await row.getByRole('button', { name: /notice\.delay\.text/ }).press('Enter');
  const ways = row.getByRole('list', { name: 'Ways to repair it' });
  await expect(ways).toContainText('Use Lantern 700 for the text: 6.01');
  await expect(ways).toContainText(/Use a darker base of Lantern, #[\da-f]{6}: 4\.\d\d/);
  await expect(ways).toContainText('All that follows the family moves along, in every theme.');
  expect(await axeFaults(page)).toEqual([]);
  await ways.getByRole('button', { name: /^Use Lantern 700/ }).press('Enter');
  await expect(page.getByLabel('Readout')).toContainText('34 of 36 overall');
  await expect(ways).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(ways).toBeVisible();
});

test('both ends of a pair stand on the light axis, and are dragged or moved by keys along their families', async ({
  page,
  open,
}) => {
  await open('check/text-quiet-on-page-ground');
  const row = page.getByRole('listitem', { name: 'text.quiet on page.ground' });
  const text = row.getByRole('slider', { name: 'Lightness of the text, text.quiet' });
  await expect(text).toHaveAttribute('aria-valuetext', 'L* 44.9, rgb(99 108 107)');
  expect(await axeFaults(page)).toEqual([]);
  await text.press('ArrowRight');
  await expect(row).toContainText(/3\.\d\d needs 4\.5 in Day sailing/);
  await page.keyboard.press('Control+z');
  await expect(row).toContainText('5.04 passes 4.5 in Day sailing');
  // Dragged, it snaps to the shades, live; one undo takes the whole drag back.
  const box = (await text.boundingBox())!;
  const y = box.y + 20;
  await page.mouse.move(box.x + box.width / 2, y);
  await page.mouse.down();
  await page.mouse.move(box.x - 120, y, { steps: 6 });
  await expect(row).toContainText(/(7|8|9|1\d)\.\d\d passes 4\.5 in Day sailing/);
  // The readout's counts are those of what is shown, also while it is dragged.
  await page.mouse.move(box.x + 160, y, { steps: 6 });
  await expect(page.getByLabel('Readout')).toContainText('15 of 18 pairs pass in Day sailing');
  await page.mouse.move(box.x - 120, y, { steps: 6 });
  await expect(page.getByLabel('Readout')).toContainText('17 of 18 pairs pass in Day sailing');
  await page.mouse.up();
  await page.keyboard.press('Control+z');
  await expect(row).toContainText('5.04 passes 4.5 in Day sailing');
  // The ground too.
  await row.getByRole('slider', { name: 'Lightness of the ground, page.ground' }).press('ArrowLeft');
  await expect(row).toContainText('4.04 needs 4.5 in Day sailing, 0.46 too low');
});

test('all failing pairs are repaired as one proposal: seen on the board, taken in part or whole, one undo', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('check');
  const readout = page.getByLabel('Readout');
  // By keyboard: to the next step of the station, and to its answer.
  await page.keyboard.press('m');
  await expect(page.locator(':focus')).toHaveText('Repair all …');
  await page.keyboard.press('Enter');
  const bar = page.getByRole('region', { name: 'Proposed repairs' });
  await expect(bar).toContainText('3 of 3 failing measurements pass by 2 other links');
  await expect(page.locator(':focus')).toHaveText('Apply all');
  const board = page.getByRole('list', { name: 'Pairs, worst first' });
  await expect(board.getByRole('listitem').first()).toContainText('3.33 → 4.67 passes 4.5 in Night sailing');
  await expect(readout).toContainText('36 of 36 overall');
  expect(await axeFaults(page)).toEqual([]);
  // Nothing is made yet.
  const linkOf = async (role: string, theme: string) =>
    (await onServer(stack, project)).document.roles.find((one: { id: string }) => one.id === role).links[
      theme
    ];
  expect(await linkOf('board-quiet', 'night')).toMatchObject({ shade: '600' });
  await bar.getByText('Choose link by link').click();
  await bar.getByLabel(/^notice\.delay\.text in Day sailing: Lantern 600 → Lantern 700/).uncheck();
  await expect(bar).toContainText('2 of 3 failing measurements pass by one other link');
  await expect(readout).toContainText('35 of 36 overall');
  await bar.getByRole('button', { name: 'Apply 1 of 2' }).click();
  await expect(bar).toBeHidden();
  await expectSaved(page);
  expect(await linkOf('board-quiet', 'night')).toMatchObject({ family: 'shingle', shade: '500' });
  expect(await linkOf('notice-delay-text', 'day')).toMatchObject({ shade: '600' });
  await page.keyboard.press('Control+z');
  await expect(readout).toContainText('33 of 36 overall');
  // Whole, by mouse; then there is nothing left to repair.
  await page.getByRole('button', { name: 'Repair all …' }).click();
  await bar.getByRole('button', { name: 'Apply all' }).click();
  await expect(readout).toContainText('36 of 36 overall');
  await expect(page.getByRole('button', { name: 'Repair all …' })).toBeHidden();
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Repair all …' }).click();
  await bar.getByRole('button', { name: 'Discard' }).click();
  await expect(readout).toContainText('33 of 36 overall');
});

test('the matrix holds all against all: by arrow keys, the worst of all themes, only what reaches, a press makes a pair', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('check/matrix');
  const grid = page.getByRole('grid', { name: 'Matrix of ratios' });
  const cell = (name: RegExp) => grid.getByRole('gridcell', { name });
  await expect(
    cell(/^text\.quiet on page\.ground: 5\.04 to 1, enough for AA body text, a pair$/),
  ).toBeVisible();
  await expect(cell(/^action\.fill on action\.fill: nothing to show$/)).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  // The least of all themes is that of the pair where it is worst.
  await page.getByLabel('In', { exact: true }).selectOption('the worst of all themes');
  await expect(cell(/^text\.quiet on page\.raised: 5\.40/)).toBeVisible();
  await expect(cell(/^text\.link on page\.ground: 6\.84/)).toBeVisible();
  await page.getByLabel('At least').fill('7');
  await page.keyboard.press('Enter');
  await page.getByLabel('hide the rest').check();
  await expect(cell(/^text\.quiet on page\.raised: nothing to show$/)).toBeVisible();
  await page.getByLabel('hide the rest').uncheck();
  // By keyboard: one cell is in the order of the page, the arrow keys go on from it, out of the window too.
  await cell(/^text\.main on page\.ground/).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await expect(page.locator(':focus')).toHaveAccessibleName(/^text\.quiet on page\.sunken: 4\.\d\d to 1/);
  const before = (await onServer(stack, project)).document.pairs.length;
  await page.keyboard.press('Enter');
  await expect(page.getByText('text.quiet on page.sunken is a pair now')).toBeVisible();
  await expect(page.locator(':focus')).toHaveAccessibleName(/, a pair$/);
  await expectSaved(page);
  const { pairs } = (await onServer(stack, project)).document;
  expect(pairs).toHaveLength(before + 1);
  expect(pairs.at(-1)).toMatchObject({ foreground: 'text-quiet', background: 'page-sunken' });
  for (let i = 0; i < 14; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('PageDown');
  await expect(page.locator(':focus')).toBeInViewport();
  // A press on what is a pair goes there.
  await cell(/^text\.main on page\.ground/).click();
  await expect(
    page.getByRole('listitem', { name: 'text.main on page.ground' }).getByLabel('Content'),
  ).toBeVisible();
  // Shades and the tray are held against each other too, and say that pairs are made of roles.
  await open('check/matrix');
  await page.getByLabel('Down').selectOption('shades');
  await page.getByLabel('Across').selectOption('tray colours');
  await expect(cell(/^Deepwater 50 on Letterhead: 6\.\d\d to 1/)).toBeVisible();
  await cell(/^Deepwater 50 on Letterhead/).click();
  await expect(page.getByText('Pairs are made of roles')).toBeVisible();
});

test('the report is handed over as a page that axe passes, as CSV and JSON, at an address; the check runs in a build', async ({
  page,
  open,
  goOn,
  stack,
  project,
}) => {
  await open('check');
  await page.getByRole('link', { name: 'Report' }).click();
  const night = page.getByRole('region', { name: 'Night sailing' });
  await expect(night).toContainText('16 of 18 pass');
  await expect(night.getByRole('row')).toHaveCount(2);
  await expect(night.getByRole('row').first()).toContainText(/board\.(text|quiet) on board\.ground/);
  await expect(night.getByRole('row').first()).toContainText('3.33');
  expect(await axeFaults(page)).toEqual([]);
  const files = page.getByRole('region', { name: 'Files' });
  const got = async (button: string) => {
    const download = page.waitForEvent('download');
    await files.getByRole('button', { name: button }).click();
    return (await download).path();
  };
  const { revision } = await onServer(stack, project);
  const data = JSON.parse(readFileSync(await got('Data (JSON)'), 'utf8'));
  expect([data.passing, data.of, data.revision]).toEqual([33, 36, revision]);
  const { at, ...same } = await (await fetch(`${stack.address}/api/projects/${project}/report`)).json();
  expect({ ...same, at: data.at }).toEqual(data);
  expect(Date.parse(at)).toBeGreaterThan(0);
  expect(readFileSync(await got('Paper (PDF)'), 'latin1')).toMatch(/^%PDF-1\.\d/);
  expect(
    readFileSync(await got('Table (CSV)'), 'utf8')
      .trim()
      .split('\r\n'),
  ).toHaveLength(37);
  // The page by itself, as somebody gets it who has nothing else.
  const html = readFileSync(await got('Page (HTML)'), 'utf8');
  await page.setContent(html);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Copy of the demo: contrast report');
  await expect(page.getByRole('table').first()).toContainText('notice.delay.text on notice.delay.ground');
  expect(await axeFaults(page)).toEqual([]);

  // Delivered CSS and the check of it, as a build runs them.
  await open('deliver');
  const deliver = async (form: string, name: RegExp) => {
    await page
      .getByRole('navigation', { name: 'Forms' })
      .getByRole('link', { name: form, exact: true })
      .click();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    return (await download).path();
  };
  const css = await deliver('CSS', /^Download .+\.css/);
  const script = await deliver('Contrast check', /^Download check-contrast\.mjs/);
  const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-build-'));
  copyFileSync(css, join(folder, 'colours.css'));
  copyFileSync(script, join(folder, 'check-contrast.mjs'));
  const { status, stderr } = spawnSync('node', ['check-contrast.mjs', 'colours.css'], {
    cwd: folder,
    encoding: 'utf8',
  });
  rmSync(folder, { recursive: true });
  expect(status).toBe(1);
  expect(stderr).toContain('3 of 36 measurements fail.');
  await goOn('check');
});

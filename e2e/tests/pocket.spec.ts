import type { Page } from '@playwright/test';
import { axeFaults, expect, onServer, send, test } from '../support/test.ts';

const copied = (page: Page) => page.evaluate(() => navigator.clipboard.readText());

test('the pocket at 240 × 320, by keyboard: it finds, copies, switches themes, and follows', async ({
  page,
  project,
  stack,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await page.setViewportSize({ width: 240, height: 320 });
  await page.goto(`/p/${project}/pocket`);
  await expect(
    page
      .getByRole('main', { name: 'Pocket of Skerry Line' })
      .or(page.getByRole('main', { name: /^Pocket of/ }))
      .first(),
  ).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(240);
  expect(await axeFaults(page)).toEqual([]);

  // Typing finds, wherever one is; Enter copies the first, arrows go on from there.
  await page
    .getByRole('button', { name: /^Copy Tray/ })
    .first()
    .focus();
  await page.keyboard.type('deepwater 7');
  const rows = page.getByRole('list', { name: 'Colours' }).getByRole('button');
  await expect(rows.first()).toHaveAccessibleName('Copy Deepwater 700, #0b5f6b');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status')).toHaveText('Copied #0b5f6b');
  expect(await copied(page)).toBe('#0b5f6b');
  await page.keyboard.press('Escape');
  await page.keyboard.type('action');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(rows.nth(1)).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Find a colour')).toBeFocused();

  // As it is chosen, in the theme that is chosen, as the project is.
  await page.getByLabel('Copied as').selectOption('custom property');
  await page.keyboard.press('Tab');
  await rows.first().click();
  expect(await copied(page)).toBe('var(--action-fill)');
  await page.getByLabel('Copied as').selectOption('hex');
  await page.getByLabel('Theme').selectOption('Night sailing');
  await expect(rows.first()).toHaveAccessibleName(/#83bac1|#[\da-f]{6}/);
  await page.getByLabel('Theme').selectOption('Day sailing');
  await expect(rows.first()).toHaveAccessibleName(/#0b5f6b/);
  const { document } = await onServer(stack, project);
  await send(stack, project, [{ type: 'setBase', family: document.families[0].id, color: '#4a2a7a' }]);
  await expect(rows.first()).not.toHaveAccessibleName(/#0b5f6b/);

  // What is dropped goes into the tray, also from a text; what holds no colour is told.
  await page.getByLabel('Find a colour').fill('');
  const drop = (text: string) =>
    page.getByRole('main').evaluate((main, dropped) => {
      const dataTransfer = new DataTransfer();
      dataTransfer.setData('text/plain', dropped);
      main.dispatchEvent(new DragEvent('drop', { dataTransfer, bubbles: true, cancelable: true }));
    }, text);
  await drop('the letterhead, rgb(10 20 30), and #fedcba');
  await expect(page.getByRole('status')).toHaveText('2 colours are in the tray');
  await expect
    .poll(async () =>
      (await onServer(stack, project)).document.tray.map(({ color }: { color: string }) => color),
    )
    .toEqual(expect.arrayContaining(['#0a141e', '#fedcba']));
  await drop('nothing of the kind');
  await expect(page.getByRole('status')).toHaveText('No colour was found in that.');
});

test('from the top bar the pocket is a small window, which the page draws and closes with', async ({
  page,
  open,
  context,
}) => {
  await open('grow');
  const [small] = await Promise.all([
    context.waitForEvent('page'),
    page.getByRole('button', { name: 'Pocket' }).click(),
  ]);
  await expect(small.getByRole('main', { name: /^Pocket of/ })).toBeVisible();
  await small.keyboard.type('buoy 4');
  await expect(small.getByRole('list', { name: 'Colours' }).getByRole('button').first()).toHaveAccessibleName(
    'Copy Buoy 400, #e2552b',
  );
  // What is undone and switched in the page is seen in it at once.
  await page.getByRole('radio', { name: 'Night sailing' }).click();
  await expect(small.getByLabel('Theme')).toHaveValue('night');
  await page.getByRole('button', { name: 'Pocket' }).click();
  await expect.poll(() => small.isClosed()).toBe(true);
});

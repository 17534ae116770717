import type { Page } from '@playwright/test';
import { expect, expectSaved, post, send, test } from '../support/test.ts';

const focused = (page: Page) => page.locator(':focus');
const isOnPage = (page: Page) => page.evaluate(() => document.activeElement === document.body);

test('after every action the focus is where one goes on: at the beginning, and with a text', async ({
  page,
}) => {
  await page.goto('/new/nothing');
  await page.getByLabel('Project name').fill('North quay');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Text with colours')).toBeFocused();
  await page.keyboard.insertText('Our green is #2F6B4F, the accent #E2552');
  const near = page.getByRole('region', { name: 'Possible typos' });
  await near.getByRole('button').first().focus();
  await page.keyboard.press('Enter');
  await expect(near).toBeHidden();
  await expect(page.getByLabel('Text with colours')).toBeFocused();
  const add = page.getByRole('button', { name: /^Add \d+ to the tray/ });
  await add.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Add to the tray' })).toBeFocused();
  // Nothing more happens by a press of it.
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Tray' }).getByRole('listitem')).toHaveCount(2);
  await page.keyboard.press('Tab');
  expect(await isOnPage(page)).toBe(false);
});

test('what is removed by keyboard leaves the focus to what stood beside it', async ({
  page,
  stack,
  open,
  project,
}) => {
  await open('gather');
  const tray = page.getByRole('region', { name: 'Tray' });
  const colors = tray.getByRole('listitem').getByRole('button');
  const before = await colors.count();
  await colors.first().focus();
  await page.keyboard.press('Delete');
  await expect(colors).toHaveCount(before - 1);
  await expect.poll(() => isOnPage(page)).toBe(false);
  await expect(focused(page)).toHaveCount(1);
  expect(await focused(page).evaluate((one) => one.closest('#tray') !== null)).toBe(true);
  // A proposal that is applied leaves it to the sheet.
  const { id } = await post(stack, '/projects', { name: 'Kiosk' });
  await send(stack, id, [
    { type: 'addSwatch', swatch: { id: 's', name: 'Deep', color: '#0b5f6b', group: '', added: 0 } },
  ]);
  await page.goto(`/p/${id}/assign`);
  await page.getByRole('button', { name: 'Make a first system …' }).click();
  await expect(focused(page)).toHaveText('Apply');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Proposed: a first system' })).toBeHidden();
  await expect.poll(() => isOnPage(page)).toBe(false);
  expect(await focused(page).evaluate((one) => one.closest('#station') !== null)).toBe(true);
  await expectSaved(page);
  expect(project).not.toBe(id);
});

test('single keys are turned off, or asked for with Alt, and it stays so; a family is grown from a typed colour', async ({
  page,
  open,
  project,
}) => {
  await open('grow');
  await page.keyboard.press('?');
  const sheet = page.getByRole('dialog', { name: 'Shortcuts' });
  // Those of the open station come first.
  await expect(sheet.getByRole('heading', { level: 3 }).first()).toHaveText('Grow: the rails');
  await sheet.getByRole('radio', { name: 'With Alt' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('4');
  await page.keyboard.press('Alt+5');
  await expect(page).toHaveURL(new RegExp(`/p/${project}/fade`));
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Fade', level: 1 })).toBeVisible();
  await page.keyboard.press('Alt+2');
  await expect(page).toHaveURL(new RegExp(`/p/${project}/grow`));
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder(/^A name, a shade/)).toBeFocused();
  await page.keyboard.type('shortcuts');
  await page.keyboard.press('Enter');
  await sheet.getByRole('radio', { name: 'Off' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('5');
  await page.keyboard.press('Alt+5');
  await page.keyboard.press('n');
  await expect(page).toHaveURL(new RegExp(`/p/${project}/grow`));
  await expect(page.getByRole('radio', { name: 'Day sailing' })).toBeChecked();

  await page.getByRole('button', { name: 'New family …' }).click();
  const panel = page.getByRole('dialog', { name: 'New family' });
  await panel.getByLabel('Any CSS colour').fill('#7a3b8');
  await panel
    .getByRole('button', { name: /^Use #/ })
    .first()
    .waitFor();
  await panel.getByLabel('Any CSS colour').fill('#7a3b8f');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/grow\/(?!deepwater)/);
  await expect(page.getByRole('slider', { name: /^Base of/ })).toHaveCount(7);
});

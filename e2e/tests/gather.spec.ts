import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Page } from '@playwright/test';
import {
  axeFaults,
  expect,
  expectSaved,
  onServer,
  PUBLIC_SHEET,
  paste,
  post,
  test,
} from '../support/test.ts';

/** An empty project, open at Gather. */
async function openEmpty(page: Page, stack: Parameters<typeof post>[0]): Promise<string> {
  const { id } = await post(stack, '/projects', { name: 'Empty' });
  await page.goto(`/p/${id}/gather`);
  await expect(page.getByLabel('Text with colours')).toBeVisible();
  return id;
}

test('names in prose are listed and taken when they are pressed, two words as one name; short codes are doubted', async ({
  page,
  stack,
}) => {
  const id = await openEmpty(page, stack);
  await page
    .getByLabel('Text with colours')
    .fill('Funnel #E2552B, hull CFF00, orange buoys in dark blue water');
  const tile = (name: RegExp) => page.getByRole('checkbox', { name });
  await expect(tile(/^#E2552B/)).toBeChecked();
  await expect(tile(/^orange/)).not.toBeChecked();
  await expect(tile(/^dark blue/)).not.toBeChecked();
  await tile(/^dark blue/).focus();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: '#ccff00' }).click();
  await page.getByRole('button', { name: 'Add 3 to the tray' }).click();
  await expectSaved(page);
  const { document } = await onServer(stack, id);
  expect(document.tray.map((swatch: { color: string }) => swatch.color)).toEqual([
    '#e2552b',
    '#ccff00',
    '#00008b',
  ]);
  expect(await axeFaults(page)).toEqual([]);
});

test('gradients in a text go to Fade whole, or into the tray as their colours', async ({ page, stack }) => {
  const id = await openEmpty(page, stack);
  await page
    .getByLabel('Text with colours')
    .fill('Hero: linear-gradient(105deg, #002f39, #0b5f6b 40%, #e2552b)\nlinear-gradient(#fff -20%, #000)');
  const found = page.getByRole('region', { name: 'Found gradients' }).getByRole('listitem');
  await expect(found).toHaveCount(2);
  await expect(found.first()).toContainText('linear at 105°, 3 colours, line 1');
  await found.last().getByRole('button', { name: 'To Fade' }).click();
  await expect(page.getByText('lies beyond its line')).toBeVisible();
  await found.last().getByRole('button', { name: 'Colours to the tray' }).click();
  await found.first().getByRole('button', { name: 'To Fade' }).click();
  await expect(page.getByRole('heading', { name: 'Fade', level: 1 })).toBeVisible();
  await expectSaved(page);
  const { document } = await onServer(stack, id);
  expect(document.tray).toHaveLength(2);
  expect(document.gradients).toMatchObject([
    {
      direction: { by: 'angle', degrees: 105 },
      stops: [
        { color: { to: 'color', color: '#002f39' }, places: [{ value: 0, unit: '%' }] },
        { color: { to: 'color', color: '#0b5f6b' }, places: [{ value: 40, unit: '%' }] },
        { color: { to: 'color', color: '#e2552b' }, places: [{ value: 100, unit: '%' }] },
      ],
    },
  ]);
});

test('a large public style sheet is read as a system beside the original, taken in part with one undo', async ({
  page,
  stack,
}) => {
  const id = await openEmpty(page, stack);
  await paste(page, PUBLIC_SHEET);
  await page.getByRole('link', { name: 'Read it as a system' }).click();
  await expect(page).toHaveURL(/gather\/sheets$/);
  await expect(page.getByRole('region', { name: 'Long text' })).toBeVisible();
  await expect(page.getByText(/^All \d+ colours stay as they are\.$/)).toBeVisible();
  const families = page.getByRole('region', { name: 'Proposed families' });
  const roles = page.getByRole('region', { name: 'Proposed roles' });
  await expect(families.getByRole('checkbox').nth(6)).toBeVisible();
  await expect(roles).toContainText('Blue 420');

  // Let to move, one that would stays as it is; a family is left out, and what it would have held is plain.
  await page.getByRole('radio', { name: 'not visibly' }).click();
  await expect(page.getByText(/colours give way to another, the furthest by ΔE 0\.0[01]\d/)).toBeVisible();
  const all = await families.getByRole('checkbox').count();
  const moved = families.getByRole('button', { name: /ΔE/ }).first();
  await moved.press('Enter');
  await expect(moved).toHaveAttribute('aria-pressed', 'true');
  await families.getByRole('checkbox', { name: /^Blue/ }).press('Space');
  await expect(roles).not.toContainText('Blue 420');
  await page.getByRole('button', { name: `Add ${all - 1} families` }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Grow', level: 1 })).toBeVisible();
  await expectSaved(page);
  const { document } = await onServer(stack, id);
  expect(document.families).toHaveLength(all - 1);
  expect(document.themes.map(({ name }: { name: string }) => name)).toEqual(['Light', 'Dark']);
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Undone: read a style sheet')).toBeVisible();
  await expectSaved(page);
  expect((await onServer(stack, id)).document).toMatchObject({ families: [], roles: [], gradients: [] });
});

test('a system that was exported and is pasted comes back with its names, themes, links and colours', async ({
  page,
  stack,
}) => {
  const id = await openEmpty(page, stack);
  const css = writeCss(resolveSystem(SKERRY_LINE));
  await paste(page, css);
  await page.getByRole('link', { name: 'Read it as a system' }).click();
  await expect(page.getByRole('region', { name: 'Proposed roles' })).toContainText('Deepwater 950');
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: /^Add 6 families/ }).click();
  await expectSaved(page);
  const { document } = await onServer(stack, id);
  expect(document.themes.map(({ name }: { name: string }) => name)).toEqual(['Day sailing', 'Night sailing']);
  expect(writeCss(resolveSystem({ ...document, name: SKERRY_LINE.name }))).toBe(css);
});

import { readFileSync } from 'node:fs';
import type { Download, Locator, Page } from '@playwright/test';
import { axeFaults, expect, expectSaved, onServer, post, send, test } from '../support/test.ts';

const cell = (page: Page, role: string, theme: string) =>
  page.getByRole('button', { name: new RegExp(`^${role.replaceAll('.', '\\.')} in ${theme}:`) });
const linksOf = async (stack: Parameters<typeof onServer>[0], id: string, role: string) =>
  (await onServer(stack, id)).document.roles.find((one: { id: string }) => one.id === role).links;

test('each role stands on its theme’s page as what it is for, with its link and its worst ratio', async ({
  page,
  open,
}) => {
  await open('assign');
  const fill = cell(page, 'action.fill', 'Day sailing');
  await expect(fill).toHaveAccessibleName('action.fill in Day sailing: Deepwater 700, 7.33 to 1 at worst');
  const sample = fill.getByText('Reserve');
  await expect(sample).toHaveCSS('background-color', 'rgb(11, 95, 107)');
  await expect(sample).toHaveCSS('color', 'rgb(255, 255, 255)');
  await expect(cell(page, 'text.quiet', 'Night sailing').getByText('08:15 to')).toHaveCSS(
    'color',
    'rgb(167, 177, 176)',
  );
  // What it is for can be set.
  await fill.click();
  await page.keyboard.press('Escape');
  await page.getByLabel('Shown on the sheet').selectOption('as a ring');
  await expect(sample).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(sample).toBeVisible();
  // Groups are folded and unfolded.
  await page.getByRole('button', { name: 'Fold action, 3 roles' }).click();
  await expect(fill).toBeHidden();
  await page.reload();
  await page.getByRole('button', { name: 'Unfold action, 3 roles' }).click();
  await expect(fill).toBeVisible();
});

test('by keyboard: links are typed, moved along the family, copied, pasted, cleared and given to every theme', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('assign');
  const link = cell(page, 'text.link', 'Day sailing');
  await link.press('Enter');
  await expect(page.getByLabel('Link to')).toBeFocused();
  await page.keyboard.type('bu 6');
  await expect(page.getByRole('listbox').getByRole('option')).toHaveText(['Buoy 600']);
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await expect(link).toHaveAccessibleName(/Buoy 600/);
  await link.press('ArrowLeft');
  await expect(link).toHaveAccessibleName(/Buoy 700/);
  await link.press('Control+c');
  await link.press('ArrowDown');
  const soft = cell(page, 'line.soft', 'Day sailing');
  await expect(soft).toBeFocused();
  await page.keyboard.press('Control+v');
  await expect(soft).toHaveAccessibleName(/Buoy 700/);
  await page.keyboard.press('Delete');
  await expect(soft).toHaveAccessibleName(/not linked/);
  await soft.press('Enter');
  await page.getByLabel('Link to').fill('text ma');
  await page.keyboard.press('Enter');
  await soft.press('Enter');
  await page.getByRole('button', { name: 'In every theme' }).click();
  await expectSaved(page);
  expect(await linksOf(stack, project, 'line-soft')).toEqual({
    day: { to: 'role', role: 'text-main' },
    night: { to: 'role', role: 'text-main' },
  });
  // A circle is refused by its name, and what is typed for nothing says so.
  await cell(page, 'text.main', 'Day sailing').press('Enter');
  await page.getByLabel('Link to').fill('line.soft');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog').getByRole('alert')).toHaveText(
    'text.main would come of itself: text.main → line.soft → text.main.',
  );
  await page.getByLabel('Link to').fill('seagull');
  await expect(page.getByText('No family, shade or role by that name.')).toBeVisible();
});

test('a theme is derived, seen beside its source, and taken in part or whole with one undo', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('assign');
  const heads = page.getByRole('columnheader');
  await page.getByRole('button', { name: 'Derive a theme …' }).click();
  await page.getByLabel('Its name').fill('Night sailing');
  await expect(page.getByRole('alert')).toHaveText('There is a theme Night sailing already');
  await page.getByLabel('Its name').fill('Late sailing');
  await page.keyboard.press('Enter');
  const bar = page.getByRole('region', { name: 'Proposed: Late sailing' });
  await expect(bar).toContainText('18 of 18 pairs pass.');
  await expect(heads).toContainText(['Role', 'Day sailing', 'Late sailing', 'Night sailing', 'Remove']);
  expect((await onServer(stack, project)).document.themes).toHaveLength(2);
  await page.getByLabel('Apply accent.fill: Buoy', { exact: false }).uncheck();
  await bar.getByRole('button', { name: 'Apply 24 of 25' }).click();
  await expectSaved(page);
  const { themes } = (await onServer(stack, project)).document;
  expect(themes.map(({ name }: { name: string }) => name)).toEqual([
    'Day sailing',
    'Late sailing',
    'Night sailing',
  ]);
  expect((await linksOf(stack, project, 'accent-fill'))[themes[1].id]).toBeUndefined();
  expect((await linksOf(stack, project, 'action-fill'))[themes[1].id]).toEqual({
    to: 'shade',
    family: 'deepwater',
    shade: '300',
  });
  await page.keyboard.press('Control+z');
  await expectSaved(page);
  expect((await onServer(stack, project)).document.themes).toHaveLength(2);

  // Into one that there is, which mends its failing pairs.
  await page.getByRole('button', { name: 'Derive a theme …' }).click();
  await page.getByLabel('Save as').selectOption('Night sailing');
  await page.getByRole('button', { name: 'Preview on the sheet' }).click();
  const into = page.getByRole('region', { name: 'Proposed: Night sailing' });
  await expect(into).toContainText('18 of 18 pairs pass.');
  expect(await axeFaults(page)).toEqual([]);
  await into.getByRole('button', { name: 'Apply' }).click();
  await expect(page.getByLabel('Readout')).toContainText('35 of 36 overall');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Readout')).toContainText('33 of 36 overall');
});

const MAIL = 'Our blue-green is #0b5f6b, the funnels are #e2552b, and the ropes rgb(217 199 161).';

test('from a mail to the CSS of a first system in a few presses, by mouse', async ({ page, stack }) => {
  let presses = 0;
  const press = async (what: Locator) => {
    presses += 1;
    await what.click();
  };
  await page.goto('/');
  await press(page.getByRole('link', { name: /^Nothing yet/ }));
  await page.getByLabel('Project name').fill('Harbour kiosk');
  await press(page.getByRole('button', { name: 'Begin empty' }));
  await page.getByLabel('Text with colours').fill(MAIL);
  presses += 1;
  await press(page.getByRole('button', { name: 'Add 3 to the tray' }));
  await press(page.getByRole('link', { name: 'Assign' }));
  await press(page.getByRole('button', { name: 'Make a first system …' }));
  const bar = page.getByRole('region', { name: 'Proposed: a first system' });
  await expect(bar).toContainText('32 of 32 pairs pass in Light and Dark');
  expect(await axeFaults(page)).toEqual([]);
  await press(bar.getByRole('button', { name: 'Apply' }));
  await press(page.getByRole('link', { name: 'Deliver' }));
  const download = page.waitForEvent('download');
  await press(page.getByRole('button', { name: /^Download/ }).first());
  expect(presses).toBeLessThan(15);
  await expectFirstSystem(page, await download);
  await expectSaved(page);
  const id = /\/p\/([^/]+)/.exec(page.url())![1]!;
  expect((await onServer(stack, id)).document.roles).toHaveLength(20);
  // One undo takes it all back, and what is chosen differently, in part, makes another.
  await page.keyboard.press('Control+z');
  await page.getByRole('link', { name: 'Assign' }).click();
  await page.getByRole('button', { name: 'Make a first system …' }).click();
  await bar.getByLabel('notices').uncheck();
  await bar.getByLabel('Accent', { exact: true }).selectOption('none');
  await bar.getByLabel('Contrast of text').selectOption('AAA, more');
  await expect(bar).toContainText('24 of 24 pairs pass');
  await bar.getByLabel('lines').uncheck();
  await expect(bar).toContainText('22 of 22 pairs pass');
  await expect(page.getByRole('row').filter({ hasText: 'soft' })).toHaveCount(0);
  await bar.getByText('Why these').click();
  await expect(bar.getByRole('listitem').first()).toContainText('leads: it paints actions, links and focus');
  await bar.getByRole('button', { name: 'Discard' }).click();
  await expect(page.getByRole('heading', { name: 'No role yet' })).toBeVisible();
});

/** What was downloaded is the CSS of two themes in which every pair passes. */
async function expectFirstSystem(page: Page, download: Download): Promise<void> {
  const css = readFileSync(await download.path(), 'utf8');
  expect(css).toContain('--action-fill: var(');
  expect(css).toContain('[data-theme="dark"]');
  await expect(page.getByLabel('Readout')).toContainText('16 of 16 pairs pass in Light, 32 of 32 overall');
}

test('a first system is made of the tray by keyboard alone', async ({ page, stack }) => {
  const { id } = await post(stack, '/projects', { name: 'Harbour kiosk' });
  await send(
    stack,
    id,
    ['#0b5f6b', '#e2552b', '#d9c7a1'].map((color, i) => ({
      type: 'addSwatch',
      swatch: { id: `s${i}`, name: `Colour ${i + 1}`, color, group: '', added: 0 },
    })),
  );
  await page.goto(`/p/${id}/assign`);
  await expect(page.getByRole('button', { name: 'Make a first system …' })).toBeVisible();
  const focused = page.locator(':focus');
  await page.keyboard.press('m');
  await expect(focused).toHaveText('Make a first system …');
  await page.keyboard.press('Enter');
  const bar = page.getByRole('region', { name: 'Proposed: a first system' });
  await expect(bar).toContainText('32 of 32 pairs pass');
  await expect(focused).toHaveText('Apply');
  await page.keyboard.press('Enter');
  await expect(bar).toBeHidden();
  await expect(page.getByRole('row').filter({ hasText: 'quiet' })).toBeVisible();
});

test('starter roles are chosen part by part, seen on the sheet, and say what no family does for', async ({
  page,
  open,
  stack,
  project,
}) => {
  await send(stack, project, [
    { type: 'removeFamily', family: 'lantern' },
    { type: 'removeRole', role: 'text-main' },
  ]);
  await open('assign');
  await page.getByRole('button', { name: 'Starter roles …' }).click();
  const bar = page.getByRole('region', { name: 'Proposed: starter roles' });
  await expect(bar).toContainText('One role is proposed at the end of the sheet');
  await bar.getByRole('link', { name: 'Show it' }).click();
  await expect(page.getByRole('row').filter({ has: page.getByLabel('Name of text.main') })).toBeInViewport();
  await bar.getByLabel('notices').check();
  await expect(bar).toContainText('No family has a colour for notice.warning.ground, notice.warning.text.');
  expect(await axeFaults(page)).toEqual([]);
  await bar.getByLabel('notices').uncheck();
  await bar.getByRole('button', { name: 'Add it' }).click();
  await expectSaved(page);
  const { roles } = (await onServer(stack, project)).document;
  expect(roles.at(-1)).toMatchObject({
    group: ['text'],
    name: 'main',
    links: { day: { family: 'shingle' } },
  });
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Name of text.main')).toHaveCount(0);
});

test('plain colours near a shade become links; a shade is replaced everywhere; any step can be gone back to', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('assign/page-raised');
  const raised = cell(page, 'page.raised', 'Day sailing');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  await lamp
    .getByRole('region', { name: 'Near it' })
    .getByRole('button', { name: /^Shingle 50/ })
    .click();
  await expect(raised).toHaveAccessibleName(/Shingle 50/);

  await open('grow/deepwater/300');
  await lamp.getByRole('button', { name: 'Replace everywhere …' }).click();
  await page.getByLabel('Link to').fill('bu 3');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/links lead there now; one undo takes it back/)).toBeVisible();
  await expectSaved(page);
  expect((await linksOf(stack, project, 'action-fill')).night).toEqual({
    to: 'shade',
    family: 'buoy',
    shade: '300',
  });

  await page.getByRole('button', { name: 'Steps' }).click();
  const steps = page.getByRole('list', { name: 'Steps' }).getByRole('listitem');
  await expect(steps).toHaveText([
    'Replace Deepwater 300 by Buoy 300 everywhere',
    'Link page.raised in Day sailing',
    'Before the first step',
  ]);
  await steps.last().getByRole('button').click();
  await expect(steps.first()).toHaveText('Replace Deepwater 300 by Buoy 300 everywhere, undone');
  await expectSaved(page);
  expect((await linksOf(stack, project, 'action-fill')).night).toMatchObject({ family: 'deepwater' });
  await steps.first().getByRole('button').click();
  await expectSaved(page);
  expect((await linksOf(stack, project, 'action-fill')).night).toMatchObject({ family: 'buoy' });
  expect(await axeFaults(page)).toEqual([]);
});

import { readFileSync } from 'node:fs';
import { expect, expectSaved, onServer, send, test } from '../support/test.ts';

test('from a client’s codes to CSS, through all seven stations', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: /^Nothing yet/ }).click();
  await page.getByLabel('Project name').fill('Grey Holm Café');
  await page.getByRole('button', { name: 'Begin empty' }).click();

  // Gather: a mail with codes, one of them mistyped.
  await expect(page.getByRole('heading', { name: 'Gather' })).toBeVisible();
  await page
    .getByLabel('Text with colours')
    .fill('Our green is #2F6B4F, the walls rgb(122 132 131). Accent: #E2552 maybe, or #e2552b');
  await expect(page.getByText('4 colours found; 1 code is not quite a colour')).toBeVisible();
  await expect(page.getByLabel('Possible typos')).toContainText(
    '#E2552 in line 1. A hex code has 3, 4, 6 or 8 digits; this has 5.',
  );
  await page.getByLabel('Possible typos').getByRole('button').first().click();
  await expect(page.getByLabel('Possible typos')).toBeHidden();
  await page.getByRole('checkbox', { name: /^#e2552b/ }).click();
  await expect(page.getByRole('checkbox', { name: /^green/ })).not.toBeChecked();
  await page.getByRole('button', { name: 'Add 3 to the tray' }).click();
  const tray = page.getByRole('region', { name: 'Tray' });
  await expect(tray.getByRole('listitem')).toHaveCount(3);

  // Grow: two families of tray colours.
  for (const [base, name] of [
    ['#2f6b4f', 'Pumpkin Green'],
    ['#7a8483', 'Juniper Ash'],
  ] as const) {
    await tray.locator(`button[title*="${base}"]`).click();
    await page.getByRole('button', { name: 'Grow a family' }).click();
    await expect(page).toHaveURL(/\/grow\//);
    // The address comes before the page: what is written now would go into the field of the family before.
    await expect(page.getByRole('region', { name, exact: true })).toBeVisible();
  }
  await expect(page.getByRole('slider', { name: /^Base of/ })).toHaveCount(2);
  await page.getByLabel('Family', { exact: true }).fill('Wall');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Wall', exact: true })).toBeVisible();

  // Assign: the usual roles, in two themes.
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Assign' }).click();
  await page.getByRole('button', { name: 'Starter roles …' }).click();
  await page.getByRole('button', { name: 'Add the 9' }).click();
  await expect(page.getByRole('row')).toHaveCount(15);
  await page.getByRole('button', { name: /^text\.quiet in Light/ }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Wall 300' }).click();
  await expect(page.getByRole('button', { name: 'text.quiet in Light: Wall 300' })).toBeVisible();

  // Check: suggested pairs, the repair of the one that fails now.
  await page.getByRole('link', { name: 'Check', exact: true }).click();
  await page.getByRole('button', { name: 'Add 6 suggested' }).click();
  const rows = page.getByRole('list', { name: 'Pairs, worst first' }).getByRole('listitem');
  await expect(rows).toHaveCount(6);
  await expect(rows.first()).toContainText('text.quiet');
  await expect(page.getByLabel('Readout')).toContainText('4 of 6 pairs pass in Light, 10 of 12 overall');
  while (await page.getByRole('button', { name: /^Use Wall/ }).count()) {
    const before = await page.getByRole('button', { name: /^Use Wall/ }).count();
    await page
      .getByRole('button', { name: /^Use Wall/ })
      .first()
      .click();
    await expect(page.getByRole('button', { name: /^Use Wall/ })).not.toHaveCount(before);
  }
  await expect(page.getByLabel('Readout')).toContainText('6 of 6 pairs pass in Light, 12 of 12 overall');

  // Fade: a gradient of three linked stops, and one more where it is clicked.
  await page.getByRole('link', { name: 'Fade' }).click();
  await page.getByRole('button', { name: 'New gradient' }).click();
  const stops = page.getByRole('region', { name: 'Stops' }).getByRole('listitem');
  await expect(stops).toHaveCount(3);
  await page.getByTestId('gradient-area').click({ position: { x: 200, y: 20 } });
  await expect(stops).toHaveCount(4);

  // Stage: the page is painted by the roles of the theme that is switched on.
  await page.getByRole('link', { name: 'Stage' }).click();
  await page.getByRole('link', { name: 'Timetable' }).click();
  await page.getByRole('radio', { name: 'This one' }).click();
  const ground = page.getByTestId('scene').locator('[data-ground=page]').first();
  const light = await ground.evaluate((node) => getComputedStyle(node).backgroundColor);
  await page.getByRole('radio', { name: 'Dark' }).click();
  await expect.poll(() => ground.evaluate((node) => getComputedStyle(node).backgroundColor)).not.toBe(light);
  await page.getByTestId('scene').getByText('Today', { exact: true }).click();
  await expect(page.getByRole('complementary', { name: 'Lamp' })).toContainText('text.main');

  // Deliver: the file.
  await page.getByRole('link', { name: 'Deliver' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: /^Download .+\.css/ }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('grey-holm-cafe.css');
  const css = readFileSync(await file.path(), 'utf8');
  expect(css).toContain('[data-theme="dark"]');
  expect(css).toMatch(/--action-fill: var\(--[\w-]+-700\);/);
  expect(css).toContain('--gradient-fade-1: linear-gradient(90deg in oklab,');

  // Closed at any moment, everything is found again.
  await expectSaved(page);
  await page.reload();
  await expect(page.locator('pre')).toHaveText(css.trim());
});

test('the list of projects shows each with its colours and tray; one is searched, renamed, removed and brought back', async ({
  page,
  project,
  stack,
}) => {
  await send(stack, project, [
    {
      type: 'addSwatch',
      swatch: { id: 'w1', name: 'Rope', color: '#c0ffee', group: '', added: 0 },
    },
  ]);
  await page.goto('/');
  const copy = page.getByRole('listitem').filter({ has: page.locator(`a[href="/p/${project}"]`) });
  await expect(copy.locator('span[style*="background"]').first()).toBeVisible();
  expect(await copy.locator('span[style*="background"]').count()).toBeGreaterThan(60);
  await expect(copy.locator('.scene')).toHaveCount(2);
  await expect(copy.getByText('Tray')).toBeVisible();
  await expect(copy.locator('span[style*="rgb(192, 255, 238)"]')).toBeVisible();
  // A name is changed where it stands; one that cannot be seen is told.
  await copy.getByRole('button', { name: /^Rename/ }).click();
  const field = page.getByLabel('Name of the project', { exact: true });
  await field.fill('Grey Holm Crossing');
  await page.keyboard.press('Enter');
  const renamed = page.getByRole('listitem').filter({ hasText: 'Grey Holm Crossing' });
  await expect(renamed).toBeVisible();
  expect((await onServer(stack, project)).document.name).toBe('Grey Holm Crossing');
  // Searched without accents and capitals.
  await page.getByLabel('Search projects').fill('grey hólm cr');
  await expect(page.getByRole('list', { name: 'Projects' }).getByRole('listitem')).toHaveCount(1);
  await page.getByLabel('Search projects').fill('no such thing');
  await expect(page.getByText('No project has that in its name')).toBeVisible();
  await page.getByLabel('Search projects').fill('');
  await renamed.getByRole('button', { name: /^Remove/ }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  const removed = page.getByRole('region', { name: 'Removed projects' });
  await expect(removed.getByText('Grey Holm Crossing')).toBeVisible();
  await expect(
    page.getByRole('list', { name: 'Projects' }).getByRole('link', { name: 'Grey Holm Crossing' }),
  ).toHaveCount(0);
  await page.goto(`/p/${project}/grow`);
  await expect(page.getByText('There is no such project')).toBeVisible();
  await page.goto('/');
  await page.getByRole('button', { name: 'Restore Grey Holm Crossing' }).click();
  await expect(
    page.getByRole('list', { name: 'Projects' }).getByRole('link', { name: 'Grey Holm Crossing' }),
  ).toBeVisible();
  await renamed.getByRole('button', { name: /^Remove/ }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await page.getByRole('button', { name: 'Delete Grey Holm Crossing for good' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Delete for good' }).click();
  await expect(page.getByText('Grey Holm Crossing')).toHaveCount(0);
});

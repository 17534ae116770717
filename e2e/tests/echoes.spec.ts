import type { Page } from '@playwright/test';
import { axeFaults, expect, expectSaved, test } from '../support/test.ts';

/** What the pages of each scene consist of, without the colours of their roots, and the grounds they are painted in. */
const pagesOf = (page: Page) =>
  page.locator('[data-scene]').evaluateAll((rows) =>
    rows.map((row) => {
      const pages = [...row.querySelectorAll('.scene')];
      return {
        contents: [...new Set(pages.map(({ innerHTML }) => innerHTML))],
        grounds: pages.map((one) => getComputedStyle(one.querySelector('[data-ground]')!).backgroundColor),
      };
    }),
  );

/** Every scene stands in so many themes, the same in all of them to the letter, and in so many grounds. */
async function expectSameInAll(page: Page, themes: number, colors = themes): Promise<void> {
  await expect(page.locator('[data-scene] .scene')).toHaveCount(10 * themes);
  const grounds: string[] = [];
  await expect(async () => {
    const scenes = await pagesOf(page);
    for (const { contents } of scenes) expect(contents).toHaveLength(1);
    grounds.push(...scenes[0]!.grounds);
  }).toPass();
  expect(new Set(grounds).size).toBe(colors);
}

test('a scene is the same in all themes, whatever becomes of it and of them', async ({
  page,
  open,
  goOn,
}) => {
  await open('stage');
  await expectSameInAll(page, 2);
  await expect(page.locator('[data-scene=table] .recharts-surface')).toHaveCount(4);
  await page.getByRole('button', { name: 'Words …' }).press('Enter');
  const field = page.getByLabel('A clear start to the day', { exact: true });
  await field.fill('Off to the isles');
  await field.press('Enter');
  await page.keyboard.press('Escape');
  await expect(
    page.locator('[data-scene=landing] .scene').filter({ hasText: 'Off to the isles' }),
  ).toHaveCount(2);
  await expectSameInAll(page, 2);
  // Casting changes what is painted at all.
  await page.getByRole('button', { name: 'What paints what …' }).press('Enter');
  await page.getByLabel('What paints hero', { exact: true }).selectOption({ label: 'Leave it unpainted' });
  await page.keyboard.press('Escape');
  await expectSameInAll(page, 2);
  // One theme alone is drawn itself, also the second; with more than two each scene has a row.
  await page.getByRole('radio', { name: 'This one' }).click();
  await expectSameInAll(page, 1);
  await page.getByRole('radio', { name: 'Night sailing' }).click();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-scene=landing]')).not.toContainText('Off to the isles');
  await page.getByRole('radio', { name: 'All themes' }).click();
  await expectSameInAll(page, 2);
  await goOn('assign');
  await page.getByRole('button', { name: 'Themes …' }).click();
  await page.getByLabel('New theme, a copy of Night sailing').fill('Dusk');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await goOn('stage');
  await expectSameInAll(page, 3, 2);
  // Each says its theme there, at the same place in every row; the link is the scene's alone.
  const places = await page
    .locator('[data-scene]')
    .evaluateAll((rows) =>
      rows.map((row) =>
        [...row.querySelectorAll('.scene')].map((one) => one.getBoundingClientRect().x).join(),
      ),
    );
  expect(new Set(places).size).toBe(1);
  const table = page.locator('[data-scene=table]');
  await expect(table).toContainText(/Day sailing.*Night sailing.*Dusk/);
  await expect(table.getByRole('link', { name: 'Table', exact: true })).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await expectSaved(page);
});

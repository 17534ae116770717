import { axeFaults, expect, SKERRY, test } from '../support/test.ts';

test('the demo is walked through in six stops on the real thing, left at any time, and never shown unasked', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: /^New here\? Walk through the demo/ }).click();
  const walk = page.getByRole('region', { name: 'Walk through the demo' });
  await expect(walk).toContainText('Stop 1 of 6');
  await expect(walk.getByRole('button', { name: 'Next' })).toBeFocused();
  expect(await axeFaults(page)).toEqual([]);
  // What it tells to do is done on the real thing beside it.
  await page
    .getByRole('slider', { name: /^Base of Deepwater/ })
    .first()
    .press('ArrowRight');
  await page.keyboard.press('Control+z');
  for (const [i, station] of ['assign', 'check', 'fade', 'stage', 'deliver'].entries()) {
    await walk.getByRole('button', { name: 'Next' }).click();
    await expect(page).toHaveURL(new RegExp(`/p/${SKERRY}/${station}`));
    await expect(walk).toContainText(`Stop ${i + 2} of 6`);
  }
  // It goes on where one was after the page is loaded anew, and back.
  await page.reload();
  await expect(walk).toContainText('Stop 6 of 6');
  await walk.getByRole('button', { name: 'Back' }).click();
  await expect(walk).toContainText('Stop 5 of 6');
  await walk.getByRole('button', { name: 'Leave the walk' }).click();
  await expect(walk).toBeHidden();
  await page.goto(`/p/${SKERRY}`);
  await expect(page.getByRole('heading', { name: 'Grow', level: 1 })).toBeVisible();
  await expect(walk).toBeHidden();
  // It can be asked for again, anywhere.
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder(/^A name, a shade/)).toBeFocused();
  await page.keyboard.type('six stops');
  await page.keyboard.press('Enter');
  await expect(walk).toContainText('Stop 1 of 6');
});

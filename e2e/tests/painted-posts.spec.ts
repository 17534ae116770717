import type { Page } from '@playwright/test';
import { differing, seen } from '../support/painted.ts';
import { axeFaults, expect, test } from '../support/test.ts';

const post = (page: Page) => page.getByRole('slider', { name: 'Stop 2', exact: true });
const axis = (page: Page) => page.locator('[data-axis]').filter({ has: post(page) });
const painted = (page: Page) => axis(page).locator('canvas');
const knob = (page: Page) => axis(page).locator('[data-knob="2"]');

/** The share of the axis' pixels that smoothing changes; a post that stands elsewhere by 2 px changes more. */
const NEXT_TO_NOTHING = 0.002;

test.beforeEach(async ({ page, open }) => {
  await open('fade');
  await post(page).waitFor();
});

/** Takes hold of the second post and moves it by so many px, without letting go; Alt keeps it from snapping. */
async function drag(page: Page, by: number): Promise<void> {
  const { x, y, width } = (await post(page).boundingBox())!;
  await page.mouse.move(x + width / 2, y + 20);
  await page.mouse.down();
  await page.keyboard.down('Alt');
  await page.mouse.move(x + width / 2 + by, y + 20, { steps: 4 });
}

async function letGo(page: Page): Promise<void> {
  await page.mouse.up();
  await page.keyboard.up('Alt');
}

test('a post that is dragged is painted as it stands when it is let go of, and given back with Escape', async ({
  page,
}) => {
  await post(page).click();
  await expect(page).toHaveURL(/fade\/[^/]+\/[^/]+$/);
  await expect(painted(page)).toBeHidden();
  const before = await seen(axis(page));
  const was = await post(page).getAttribute('aria-valuenow');
  await drag(page, 50);
  await expect(painted(page)).toBeVisible();
  // The strip and the profile follow in their turns, and so does what is read of the post.
  await expect.poll(() => post(page).getAttribute('aria-valuenow')).not.toBe(was);
  expect(await axeFaults(page)).toEqual([]);
  const moving = await seen(axis(page));
  expect(differing(before, moving)).toBeGreaterThan(10 * NEXT_TO_NOTHING);
  await letGo(page);
  await expect(painted(page)).toBeHidden();
  expect(differing(moving, await seen(axis(page)))).toBeLessThan(NEXT_TO_NOTHING);
  // What was painted anew where it stood is as if it had never been elsewhere.
  await drag(page, -50);
  await page.keyboard.press('Escape');
  await expect(painted(page)).toBeHidden();
  await letGo(page);
  expect(differing(moving, await seen(axis(page)))).toBeLessThan(NEXT_TO_NOTHING);
});

test('a knob that walks along its shades is painted where it stands', async ({ page }) => {
  // Letting go of it opens it.
  await post(page).click();
  await expect(page).toHaveURL(/fade\/[^/]+\/[^/]+$/);
  const { x, y, width, height } = (await knob(page).boundingBox())!;
  const color = () => knob(page).evaluate((element) => element.style.background);
  const before = await color();
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2, y + height / 2 - 24, { steps: 4 });
  await expect(painted(page)).toBeVisible();
  await expect.poll(color).not.toBe(before);
  const moving = await seen(axis(page));
  await page.mouse.up();
  await expect(painted(page)).toBeHidden();
  expect(differing(moving, await seen(axis(page)))).toBeLessThan(NEXT_TO_NOTHING);
});

test('moved by keys a post stays an element with the ring of its focus; in forced colours nothing is painted', async ({
  page,
}) => {
  const place = async () => Number(await post(page).getAttribute('aria-valuenow'));
  const before = await place();
  await post(page).focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(place).toBe(before + 3);
  await expect(painted(page)).toBeHidden();
  await expect(post(page)).toBeFocused();
  await page.emulateMedia({ forcedColors: 'active' });
  const { x } = (await post(page).boundingBox())!;
  await drag(page, 40);
  await expect.poll(async () => (await post(page).boundingBox())!.x).toBeGreaterThan(x + 30);
  await expect(painted(page)).toBeHidden();
  await letGo(page);
});

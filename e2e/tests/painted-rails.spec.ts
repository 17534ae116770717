import type { Locator, Page } from '@playwright/test';
import { differing, SMOOTHING, seen } from '../support/painted.ts';
import { axeFaults, expect, send, test } from '../support/test.ts';

const base = (page: Page, name = 'Deepwater') =>
  page.getByRole('slider', { name: new RegExp(`^Base of ${name},`) });
const railOf = (page: Page, name: string) => page.locator('[data-axis]').filter({ has: base(page, name) });
const painted = (rail: Locator) => rail.locator('canvas');

/** Takes hold of a base and moves it by so many px, without letting go. */
async function drag(page: Page, by: number, name = 'Deepwater'): Promise<void> {
  const { x, y, width } = (await base(page, name).boundingBox())!;
  await page.mouse.move(x + width / 2, y + 15);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 + by, y + 15, { steps: 4 });
}

for (const { name, density } of [
  { name: 'as large as it is', density: 1 },
  { name: 'one and a half times as large', density: 1.5 },
])
  test.describe(name, () => {
    test.use({ deviceScaleFactor: density });
    test('a base that is dragged and who follows it are painted as they stand when it is let go of', async ({
      page,
      open,
      stack,
      project,
    }) => {
      await send(stack, project, [
        {
          type: 'setFollows',
          family: 'kelp',
          follows: { by: 'turn', family: 'deepwater', turn: 150, lightness: 0.05, chroma: 0 },
        },
        { type: 'setShade', family: 'deepwater', shade: '300', color: '#88bbcc' },
      ]);
      await open('grow/deepwater');
      const rails = ['Deepwater', 'Kelp'].map((of) => railOf(page, of));
      for (const rail of rails) await expect(painted(rail)).toBeHidden();
      const before = await seen(rails[0]!);
      await drag(page, 90);
      for (const rail of rails) await expect(painted(rail)).toBeVisible();
      await expect(painted(railOf(page, 'Buoy'))).toBeHidden();
      const moving = await Promise.all(rails.map(seen));
      await page.mouse.up();
      for (const rail of rails) await expect(painted(rail)).toBeHidden();
      const standing = await Promise.all(rails.map(seen));
      for (const [i, one] of moving.entries()) expect(differing(one, standing[i]!)).toBeLessThan(SMOOTHING);
      expect(differing(before, standing[0]!)).toBeGreaterThan(0.05);
    });
  });

test('what a handle says follows while it is painted, and is as it was when it is given back', async ({
  page,
  open,
}) => {
  await open('grow/deepwater');
  const says = () => base(page).getAttribute('aria-valuetext');
  const before = await says();
  await drag(page, 60);
  await expect.poll(says).not.toBe(before);
  await expect(painted(railOf(page, 'Deepwater'))).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(painted(railOf(page, 'Deepwater'))).toBeHidden();
  await expect.poll(says).toBe(before);
  await page.mouse.up();
});

test('moved by keys it stays an element with the ring of its focus', async ({ page, open }) => {
  await open('grow/deepwater');
  const rail = railOf(page, 'Deepwater');
  const before = (await base(page).boundingBox())!.x;
  await base(page).focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await base(page).boundingBox())!.x).toBeGreaterThan(before + 10);
  await expect(painted(rail)).toBeHidden();
  await expect(base(page)).toBeFocused();
});

test('in colours that the system forces elements move, and nothing is painted', async ({ page, open }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await open('grow/deepwater');
  const point = page.getByRole('link', { name: /^Deepwater 900,/ });
  const places = async () => [(await base(page).boundingBox())!.x, (await point.boundingBox())!.x] as const;
  const [was, wasPoint] = await places();
  await drag(page, 60);
  await expect.poll(async () => (await places())[0]).toBeGreaterThan(was + 50);
  expect((await places())[1]).not.toBe(wasPoint);
  await expect(painted(railOf(page, 'Deepwater'))).toBeHidden();
  await page.mouse.up();
});

test('a hue that is dragged in the lamp moves the rail meanwhile', async ({ page, open }) => {
  await open('grow/buoy');
  const track = page.getByRole('slider', { name: 'Hue', exact: true });
  const { x, y, width, height } = (await track.boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + 60, y + height / 2, { steps: 4 });
  const rail = railOf(page, 'Buoy');
  await expect(painted(rail)).toBeVisible();
  const moving = await seen(rail);
  await page.mouse.up();
  await expect(painted(rail)).toBeHidden();
  expect(differing(moving, await seen(rail))).toBeLessThan(SMOOTHING);
});

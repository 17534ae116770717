import type { Page } from '@playwright/test';
import { axeFaults, expect, test } from '../support/test.ts';
import { VIEWS } from '../support/views.ts';

/** What is a table or a drawing with two directions, which may scroll both ways. */
const WIDE = new Set(['assign/text-main', 'check/matrix', 'stage/form']);

/** Buttons that a page has once what is worked out or fetched for it is there. */
const COMES_LATER: Readonly<Record<string, RegExp>> = {
  '/': /^Remove /,
  '/new/set': /^Show more/,
  '/new/nothing': /^Idea 9/,
};

/** What reaches beyond the window or the station, by its text. */
const beyond = (page: Page, mayBeWide: boolean) =>
  page.evaluate((wide) => {
    const found: string[] = [];
    if (document.documentElement.scrollWidth > innerWidth) found.push('the page');
    const station = document.getElementById('station');
    if (!wide && station && station.scrollWidth > station.clientWidth + 1) {
      const right = station.getBoundingClientRect().right;
      for (const one of station.querySelectorAll('*')) {
        const box = one.getBoundingClientRect();
        const style = getComputedStyle(one);
        if (box.width && box.right > right + 1 && style.position !== 'absolute')
          found.push(
            `${one.tagName} ${(one.textContent ?? '').trim().slice(0, 40)} ${one.className}`.slice(0, 140),
          );
      }
      return found.slice(0, 4);
    }
    return found;
  }, mayBeWide);

/** Buttons that stand on each other, so that one of them cannot be pressed. */
const covered = (page: Page) =>
  page.evaluate(() => {
    const found: string[] = [];
    for (const one of document.querySelectorAll<HTMLElement>(
      'header:not(main header) :is(button, a, select)',
    )) {
      const box = one.getBoundingClientRect();
      if (!box.width || !one.checkVisibility()) continue;
      const top = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2);
      if (top && !one.contains(top) && !top.contains(one))
        found.push(one.getAttribute('aria-label') ?? one.textContent ?? '');
    }
    return found;
  });

for (const [width, height, told] of [
  [375, 760, 'a phone'],
  [320, 600, '400 % zoom of 1280 px'],
  [640, 400, '200 % zoom'],
] as const)
  test(`every view holds at ${width} px: ${told}`, async ({ page, open, goOn }) => {
    test.setTimeout(240_000);
    await page.setViewportSize({ width, height });
    await open('gather');
    for (const view of VIEWS) {
      await goOn(view);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      // What comes a moment later is in its place too.
      if (view.startsWith('fade')) await page.getByRole('list', { name: 'Worth a look' }).waitFor();
      await expect.poll(() => beyond(page, WIDE.has(view)), view).toEqual([]);
      expect(await covered(page), view).toEqual([]);
      // With lamp and tray as sheets, on a phone and at 400 %.
      if (width < 640) expect(await axeFaults(page), view).toEqual([]);
    }
    for (const address of ['/', '/new/text', '/new/nothing', '/new/set', '/teams', '/nowhere']) {
      await page.goto(address);
      await expect(page.getByRole('heading').first()).toBeVisible();
      if (COMES_LATER[address])
        await page.getByRole('button', { name: COMES_LATER[address] }).first().waitFor();
      await expect.poll(() => beyond(page, false), address).toEqual([]);
    }
  });

test('where there is no room, lamp and tray are sheets that are opened, and the path is a menu; axe finds nothing', async ({
  page,
  open,
  project,
}) => {
  await page.setViewportSize({ width: 375, height: 760 });
  await open('grow/deepwater');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  await expect(lamp).toBeHidden();
  await page.getByRole('button', { name: 'Lamp: Deepwater 700' }).click();
  await expect(lamp.getByLabel('Any CSS colour')).toBeInViewport();
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: /^Tray \d/ }).click();
  await expect(lamp).toBeHidden();
  const tray = page.getByRole('region', { name: 'Tray' });
  await expect(tray.getByRole('listitem').first()).toBeInViewport();
  await page.keyboard.press('Escape');
  await expect(tray).toBeHidden();
  await expect(page.getByRole('button', { name: /^Tray \d/ })).toBeFocused();
  // The keys that jump there open them first.
  await page.keyboard.press('j');
  await expect(lamp).toBeVisible();
  expect(await page.evaluate(() => document.activeElement!.closest('#lamp') !== null)).toBe(true);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Grow', exact: true }).click();
  await page.getByRole('link', { name: /^Deliver/ }).click();
  await expect(page).toHaveURL(new RegExp(`/p/${project}/deliver`));
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'Steps' }).click();
  await expect(page.getByRole('dialog', { name: 'Steps' })).toBeVisible();
});

test('with colours that the system forces, what is being coloured keeps its own', async ({
  page,
  open,
  goOn,
}) => {
  test.setTimeout(240_000);
  await open('grow/deepwater');
  /** Backgrounds that styles of their own paint, and fills of drawings. */
  const painted = () =>
    page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('#root [style*="background"]')]
        .filter((one) => one.checkVisibility())
        .slice(0, 300)
        .map((one) => {
          const { backgroundColor, backgroundImage } = getComputedStyle(one);
          return `${backgroundColor} ${backgroundImage}`;
        }),
    );
  for (const view of VIEWS) {
    await goOn(view);
    await expect.poll(async () => (await painted()).length, view).toBeGreaterThan(3);
    await page.emulateMedia({ forcedColors: 'active' });
    await expect.poll(() => page.evaluate(() => matchMedia('(forced-colors: active)').matches)).toBe(true);
    // What comes a moment later has come in both.
    await expect
      .poll(async () => {
        const forced = await painted();
        await page.emulateMedia({ forcedColors: 'none' });
        const plain = await painted();
        await page.emulateMedia({ forcedColors: 'active' });
        return forced.filter((one, i) => one !== plain[i]);
      }, view)
      .toEqual([]);
    await page.emulateMedia({ forcedColors: 'none' });
  }
});

import { axeFaults, expect, test } from '../support/test.ts';

const VIEWS = [
  'gather',
  'grow/deepwater',
  'assign/text-main',
  'check',
  'check/notice-delay-text-on-notice-delay-ground',
  'fade/first-light/dawn',
  'stage',
  'stage/form',
  'deliver',
];

for (const dress of ['light', 'dark'] as const)
  test(`axe finds nothing on any view in the ${dress} dress`, async ({ page, open, goOn }) => {
    test.setTimeout(180_000);
    await page.emulateMedia({ colorScheme: dress });
    const check = async (view: string) => {
      await expect(page.locator('html')).toHaveAttribute('data-theme', `${dress}-dress`);
      expect(await axeFaults(page, { samples: 'but for contrast' }), view).toEqual([]);
    };
    await page.goto('/');
    await expect(page.getByRole('link', { name: 'Skerry Line' })).toBeVisible();
    await check('projects');
    await open('gather');
    for (const view of VIEWS) {
      await goOn(view);
      if (view === 'gather') {
        await page.getByRole('button', { name: 'Try an example' }).click();
        await expect(page.getByText('colours found')).toBeVisible();
      }
      if (view.startsWith('fade')) await expect(page.locator('figure svg').first()).toBeVisible();
      await check(view);
    }
    await page.keyboard.press('Control+k');
    await expect(page.getByRole('option').first()).toBeVisible();
    await check('finder');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Shortcuts' }).click();
    await expect(page.getByRole('heading', { name: 'Shortcuts' })).toBeVisible();
    await check('shortcuts');
    await page.goto('/nowhere');
    await check('lost');
  });

test('every station, family, shade, role, pair, gradient and stop has an address that opens it', async ({
  page,
  open,
}) => {
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  for (const [address, title] of [
    ['grow/buoy', 'Buoy 400'],
    ['grow/buoy/700', 'Buoy 700'],
    ['assign/text-quiet', 'text.quiet'],
    ['check/board-text-on-board-ground', 'board.text'],
    ['fade/first-light/dawn', 'First light, stop 3'],
  ]) {
    await open(address!);
    await expect(lamp.getByRole('heading', { level: 2 })).toHaveText(title!);
  }
  await open('fade/wake');
  await expect(page.getByRole('region', { name: 'Wake' })).toBeVisible();
});

test('the keyboard reaches everything: stations, theme, parts, sheet, finder', async ({
  page,
  open,
  project,
}) => {
  await open('grow');
  for (const [i, station] of ['gather', 'grow', 'assign', 'check', 'fade', 'stage', 'deliver'].entries()) {
    await page.keyboard.press(String(i + 1));
    await expect(page).toHaveURL(new RegExp(`/p/${project}/${station}`));
  }
  await page.keyboard.press('n');
  await expect(page.getByRole('radio', { name: 'Night sailing' })).toBeChecked();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'Night sailing' })).toBeChecked();
  await page.keyboard.press('b');
  await expect(page.getByRole('region', { name: 'Tray' }).getByRole('button').first()).toBeFocused();
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder(/^A name, a shade/)).toBeFocused();
  await page.keyboard.type('first light');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/fade\/first-light/);
  // Shades, files, and what is done.
  for (const [typed, address] of [
    ['kelp 700', /grow\/kelp\/700$/],
    ['hex export', /deliver\/hex$/],
    ['repair', /check$/],
  ] as const) {
    await page.keyboard.press('Control+k');
    await expect(page.getByPlaceholder(/^A name, a shade/)).toBeFocused();
    await page.keyboard.type(typed);
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(address);
  }
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder(/^A name, a shade/)).toBeFocused();
  await page.keyboard.type('rename');
  await page.keyboard.press('Enter');
  await page.getByLabel('The project').fill('North quay');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('banner')).toContainText('North quay');
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder(/^A name, a shade/)).toBeFocused();
  await page.keyboard.type('dark dress');
  await page.keyboard.press('Enter');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark-dress');
  await page.keyboard.press('g');
  await expect(page.getByRole('main')).toHaveCSS('background-color', 'rgb(119, 119, 119)');
  // Every focus is seen.
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { name: 'Gather', level: 1 })).toBeVisible();
  for (let i = 0; i < 25; i++) {
    await page.keyboard.press('Tab');
    const seen = await page.evaluate(() => {
      const style = getComputedStyle(document.activeElement!);
      return (
        document.activeElement === document.body ||
        (style.outlineStyle !== 'none' && Number.parseFloat(style.outlineWidth) >= 2)
      );
    });
    expect(seen).toBe(true);
  }
});

test('Tab and typing do not trigger shortcuts', async ({ page, open, project }) => {
  await open('gather');
  await page.getByLabel('Text with colours').fill('');
  await page.getByLabel('Text with colours').pressSequentially('1234 n g ?');
  await expect(page).toHaveURL(new RegExp(`/p/${project}/gather`));
  await expect(page.getByLabel('Text with colours')).toHaveValue('1234 n g ?');
});

test('the frame holds down to 1024 px: nothing reaches beyond the window', async ({ page, open, goOn }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await open('gather');
  for (const view of VIEWS) {
    await goOn(view);
    const beyond = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(beyond, view).toBeLessThanOrEqual(0);
    const hidden = await page
      .locator('header button, header a')
      .evaluateAll(
        (nodes) => nodes.filter((node) => node.getBoundingClientRect().right > innerWidth + 1).length,
      );
    expect(hidden, view).toBe(0);
  }
});

import { contrastRatio } from '@mint-lamp/core/contrast/ratio';
import type { Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { axeFaults, expect, expectSaved, onServer, test } from '../support/test.ts';

/** Opens the choice of a role's link in the first theme, from the sheet. */
async function choose(page: Page, role: string) {
  await page.getByRole('button', { name: new RegExp(`^${role.replace('.', '\\.')} in Day sailing`) }).click();
  return page.getByRole('list', { name: 'Gradients' });
}

test('a role is painted by a gradient: on the sheet, on the page, measured at its worst place, handed over; not where one colour is needed', async ({
  page,
  open,
  goOn,
  stack,
  project,
}) => {
  await open('assign');
  const gradients = await choose(page, 'accent.fill');
  await gradients.getByRole('button', { name: 'First light' }).click();
  const cell = page.getByRole('button', { name: /^accent\.fill in Day sailing: First light/ });
  await expect(cell).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Lamp' })).toContainText('Painted by First light');
  // A ring, and what a stop takes its colour from, need one colour; the reason is told in the choice itself.
  for (const [role, gradient, reason] of [
    ['focus.ring', 'Wake', 'focus.ring needs one colour and not Wake: it draws a ring.'],
    ['action.fill', 'First light', 'a stop of Wake takes its colour from it.'],
  ] as const) {
    const choice = await choose(page, role);
    await choice.getByRole('button', { name: gradient }).press('Enter');
    await expect(page.getByRole('alert')).toContainText(reason);
    await page.keyboard.press('Escape');
  }
  await expectSaved(page);
  const stored = (await onServer(stack, project)).document.roles;
  const linkOf = (id: string) => stored.find((role: { id: string }) => role.id === id).links.day;
  expect(linkOf('accent-fill')).toEqual({ to: 'gradient', gradient: 'first-light' });
  expect(linkOf('focus-ring').to).toBe('shade');

  await goOn('stage/timetable');
  const reserve = page.getByTestId('scene').first().locator('[data-ground=accent]');
  await expect(reserve).toHaveCSS('background-image', /linear-gradient\(105deg in oklab/);

  // What is told is the worst of the pixels that such a ground has anywhere.
  await goOn('check/accent-text-on-accent-fill');
  const row = page.getByRole('listitem').filter({ hasText: /^accent\.text/ });
  await expect(row).toContainText('worst at 100 % of its gradient');
  const told = Number(/(\d+\.\d\d)\s*needs 3 in Day/.exec((await row.textContent())!)![1]);
  const css = await page.evaluate(() => {
    const sample = document.querySelector('[data-specimen][style*="linear-gradient"]') as HTMLElement;
    return sample.style.background;
  });
  const plain = await page.context().newPage();
  await plain.setViewportSize({ width: 900, height: 300 });
  await plain.setContent(`<body style='margin:0;height:300px;background:${css}'></body>`);
  const png = PNG.sync.read(await plain.screenshot());
  await plain.close();
  let least = 21;
  const white = { r: 255, g: 255, b: 255, alpha: 1 };
  for (let i = 0; i < png.data.length; i += 4) {
    const [r, g, b] = [png.data[i]!, png.data[i + 1]!, png.data[i + 2]!];
    least = Math.min(least, contrastRatio(white, { r, g, b, alpha: 1 }));
  }
  expect(Math.abs(least - told)).toBeLessThanOrEqual(0.05);
  expect(await axeFaults(page)).toEqual([]);

  await goOn('deliver');
  await expect(page.locator('pre')).toContainText('--accent-fill: var(--gradient-first-light);');
  await page.keyboard.press('Control+z');
  await expect(page.locator('pre')).toContainText('--accent-fill: var(--buoy-500);');
});

test('by keyboard: a text is filled by a gradient from the lamp, and follows it', async ({
  page,
  open,
  goOn,
}) => {
  await open('assign/text-link');
  await page.getByRole('button', { name: 'Link to another …' }).press('Enter');
  const choice = page.getByRole('list', { name: 'Gradients' }).getByRole('button', { name: 'Wake' });
  await choice.focus();
  // Seen before it is taken.
  await expect(page.getByRole('button', { name: /^text\.link in Day sailing: Wake/ })).toBeAttached();
  await choice.press('Enter');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  await expect(lamp).toContainText('Painted by Wake');
  await goOn('stage/timetable');
  const link = page.getByTestId('scene').first().getByText('Timetable');
  await expect(link).toHaveCSS('background-clip', 'text');
  await expect(link).toHaveCSS('background-image', /^linear-gradient\(in oklab|^linear-gradient\(180deg/);
  await goOn('check');
  await expect(page.getByRole('listitem').filter({ hasText: /^text\.linkon page\.ground/ })).toContainText(
    'of its gradient',
  );
});

import type { Page } from '@playwright/test';
import { addColor, expect, expectSaved, onServer, send, test } from '../support/test.ts';

const NAMES = ['Quay', 'Mist', 'Rope', 'Rust', 'Gull', 'Tar'];
const COLORS = ['#123a4a', '#b9c6c8', '#a3865f', '#8f3b1d', '#f4f1e8', '#0c606b'];

/** Fills the tray with more colours, as another tab would. */
const fill = (stack: Parameters<typeof send>[0], project: string) =>
  send(
    stack,
    project,
    NAMES.map((name, i) => ({
      type: 'addSwatch',
      swatch: { id: `k${i}`, name, color: COLORS[i], group: '', added: NAMES.length - i },
    })),
  );

const trayOn = async (stack: Parameters<typeof onServer>[0], project: string) =>
  (await onServer(stack, project)).document.tray.map(({ name, group }: { name: string; group: string }) =>
    group ? `${name} in ${group}` : name,
  );
const tile = (page: Page, name: string) =>
  page.getByRole('region', { name: 'Tray' }).getByRole('button', { name, exact: true });

test('several colours are chosen by keys or mouse, grouped, renamed in place, dragged between groups, taken out', async ({
  page,
  open,
  stack,
  project,
}) => {
  await fill(stack, project);
  await open('grow');
  const tray = page.getByRole('region', { name: 'Tray' });
  await tile(page, 'Quay').click();
  await tile(page, 'Rust').click({ modifiers: ['Shift'] });
  await tile(page, 'Mist').focus();
  await page.keyboard.press('x');
  const chosen = tray.getByRole('group', { name: 'Chosen colours' });
  await expect(chosen).toContainText('3 chosen');
  await chosen.getByRole('button', { name: 'Group' }).click();
  await tray.getByRole('button', { name: 'Rename the group Group 1' }).click();
  await page.keyboard.type('Harbour');
  await page.keyboard.press('Enter');
  await tile(page, 'Rope').press('F2');
  await page.keyboard.type('Wet rope');
  await page.keyboard.press('Enter');
  await expectSaved(page);
  expect((await trayOn(stack, project)).slice(-3)).toEqual([
    'Quay in Harbour',
    'Wet rope in Harbour',
    'Rust in Harbour',
  ]);
  // Onto a colour of the group by mouse, onto its name for its end.
  const drag = async (from: string, to: ReturnType<typeof tile>) => {
    const [a, b] = [(await tile(page, from).boundingBox())!, (await to.boundingBox())!];
    await page.mouse.move(a.x + a.width / 2, a.y + 15);
    await page.mouse.down();
    await page.mouse.move(a.x + a.width / 2 + 10, a.y + 15);
    await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 8 });
    await page.mouse.up();
  };
  await tile(page, 'Gull').click();
  await drag('Gull', tile(page, 'Wet rope'));
  await expect.poll(() => trayOn(stack, project)).toContain('Gull in Harbour');
  await drag('Tar', tray.getByRole('button', { name: 'Rename the group Harbour' }));
  await expect.poll(async () => (await trayOn(stack, project)).at(-1)).toBe('Tar in Harbour');
  // Without a name the group is dissolved; undo brings it back.
  await tray.getByRole('button', { name: 'Rename the group Harbour' }).click();
  await page.keyboard.press('Delete');
  await page.keyboard.press('Enter');
  await expect(tray.getByRole('button', { name: 'Rename the group Harbour' })).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(tray.getByRole('button', { name: 'Rename the group Harbour' })).toBeVisible();
  // One alone is grouped in the lamp.
  await tile(page, 'Pier slate').click();
  await page.getByRole('region', { name: 'Tray colour' }).getByLabel('Group').fill('Quay side');
  await page.keyboard.press('Enter');
  await expect(tray.getByRole('button', { name: 'Rename the group Quay side' })).toBeVisible();
  await tile(page, 'Letterhead').click();
  await tile(page, 'Mooring rope').click({ modifiers: ['Control'] });
  await tile(page, 'Mooring rope').press('Delete');
  await expectSaved(page);
  expect(await trayOn(stack, project)).not.toContain('Letterhead');
  expect(await trayOn(stack, project)).toHaveLength(8);
});

test('the tray is sorted, its near-twins are told and merged, all is copied as text, and what arrives is seen', async ({
  page,
  context,
  open,
  stack,
  project,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await fill(stack, project);
  await open('grow');
  const tray = page.getByRole('region', { name: 'Tray' });
  const sort = async (by: string) => {
    await tray.getByRole('button', { name: 'Sort the tray' }).click();
    await page.getByRole('button', { name: by }).click();
    await expectSaved(page);
    return trayOn(stack, project);
  };
  expect((await sort('By lightness')).slice(0, 2)).toEqual(['Gull', 'Mooring rope']);
  expect((await sort('By time')).slice(-2)).toEqual(['Mist', 'Quay']);
  expect((await sort('By hue')).slice(0, 2)).toEqual(['Funnel paint', 'Rust']);
  await tray.getByRole('button', { name: '1 near-twin' }).click();
  await expect(page.getByRole('dialog')).toContainText('Tar and Letterhead');
  await page.getByRole('button', { name: 'Merge: remove one' }).click();
  await expect(tray.getByRole('button', { name: /near-twin/ })).toBeHidden();
  await tray.getByRole('button', { name: 'Copy all as text' }).click();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain('#e2552b  Funnel paint');
  await addColor(page, '#7a1fa2');
  await expect(tray.locator('.arrives')).toHaveCount(1);
  await expect(tray.locator('.arrives')).toBeInViewport();
  await expectSaved(page);
});

test('the tray is made taller by keys, stays so, and all of it can be reached', async ({
  page,
  open,
  stack,
  project,
}) => {
  await fill(stack, project);
  await send(
    stack,
    project,
    Array.from({ length: 40 }, (_, i) => ({
      type: 'addSwatch',
      swatch: { id: `m${i}`, name: `More ${i}`, color: '#345678', group: 'More', added: 0 },
    })),
  );
  await open('grow');
  await tile(page, 'More 39').focus();
  await expect(tile(page, 'More 39')).toBeInViewport();
  const height = async () => (await page.getByRole('region', { name: 'Tray' }).boundingBox())!.height;
  const low = await height();
  expect(low).toBeLessThan(80);
  await page.getByRole('button', { name: 'Make the tray taller' }).focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp');
  await expect.poll(height).toBeGreaterThan(low + 150);
  // The edge between is dragged by mouse.
  const box = (await page.getByRole('region', { name: 'Tray' }).boundingBox())!;
  await page.mouse.move(300, box.y);
  await page.mouse.down();
  await page.mouse.move(300, box.y + 60, { steps: 4 });
  await page.mouse.up();
  await expect.poll(height).toBeLessThan(box.height - 40);
  const high = await height();
  await page.reload();
  await expect(page.getByRole('region', { name: 'Tray' })).toBeVisible();
  expect(Math.abs((await height()) - high)).toBeLessThan(3);
  await page.getByRole('button', { name: 'Make the tray shorter' }).click();
  await expect.poll(height).toBeLessThan(80);
});

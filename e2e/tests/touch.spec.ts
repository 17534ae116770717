import { DRAGGED } from '../support/dragged.ts';
import { centreOf, fingerOn, type Place } from '../support/finger.ts';
import { expect, expectSaved, onServer, test } from '../support/test.ts';

test.use({ hasTouch: true });

for (const { what, at, name, dx, dy, ...more } of DRAGGED)
  test(`${what} is dragged by a finger, and given back with undo`, async ({ page, open }) => {
    await open(at);
    if ('prepare' in more) await more.prepare(page);
    const thing = page.getByRole('slider', { name }).first();
    const value = () => thing.getAttribute('aria-valuetext');
    const before = await value();
    const finger = await fingerOn(page);
    const from = await centreOf(thing);
    const to: Place = [from[0] + dx, from[1] + dy];
    await finger.down(from);
    await finger.move(from, to);
    await expect.poll(value).not.toBe(before);
    await finger.up();
    await expectSaved(page);
    expect(await value()).not.toBe(before);
    await page.keyboard.press('Control+z');
    await expect.poll(value).toBe(before);
  });

test('a finger that rests takes a colour of the tray along; one that only passes scrolls', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('gather');
  const tray = page.getByRole('region', { name: 'Tray' });
  const names = async () =>
    (await onServer(stack, project)).document.tray.map((one: { name: string }) => one.name);
  const [first, second] = await names();
  const from = await centreOf(tray.getByRole('button', { name: first, exact: true }));
  const to = await centreOf(tray.getByRole('button', { name: second, exact: true }));
  const beyond: Place = [to[0] + 20, to[1]];
  const finger = await fingerOn(page);
  await finger.down(from);
  await finger.move(from, beyond);
  await finger.up();
  await expectSaved(page);
  expect((await names()).slice(0, 2)).toEqual([first, second]);
  await finger.down(from);
  await expect(page.locator('[data-announced], [id^=DndLiveRegion]').first()).toHaveText(
    new RegExp(`^${first} is (picked up|over)`),
  );
  await finger.move(from, beyond);
  await finger.up();
  await expectSaved(page);
  await expect.poll(async () => (await names()).slice(0, 2)).toEqual([second, first]);
});

test('a long press tells what hovering tells, and presses nothing', async ({ page, open }) => {
  await open('gather');
  const dress = page.getByRole('button', { name: 'Switch to dark mode' });
  const at = await centreOf(dress);
  const finger = await fingerOn(page);
  await finger.down(at);
  const told = page.getByRole('tooltip');
  await expect(told).toContainText('Switch to dark mode');
  await expect(told).toBeInViewport({ ratio: 1 });
  await finger.up();
  await expect(dress).toBeVisible();
  // The next press is one again.
  await page.touchscreen.tap(...at);
  await expect(told).toBeHidden();
  await expect(page.getByRole('button', { name: 'Switch to light mode' })).toBeVisible();
});

test('what is put elsewhere by dragging is so by single presses too', async ({
  page,
  open,
  stack,
  project,
}) => {
  const named = async (list: 'families' | 'tray' | 'roles'): Promise<string[]> =>
    (await onServer(stack, project)).document[list].map((one: { name: string }) => one.name);
  await open('grow');
  const families = await named('families');
  const at = families.indexOf('Kelp');
  await page.getByRole('button', { name: 'Move Kelp', exact: true }).tap();
  const up = page.getByRole('button', { name: 'Move Kelp up' });
  await expect(up).toBeFocused();
  await up.tap();
  await expectSaved(page);
  expect((await named('families')).indexOf('Kelp')).toBe(at - 1);
  await page.getByRole('button', { name: 'Move Kelp down' }).tap();
  await expectSaved(page);
  expect(await named('families')).toEqual(families);
  await page.keyboard.press('Escape');
  await expect(up).toBeHidden();
  await expect(page.getByRole('button', { name: 'Move Kelp', exact: true })).toBeFocused();

  const [first, second] = await named('tray');
  await page.getByRole('region', { name: 'Tray' }).getByRole('button', { name: first!, exact: true }).tap();
  await page.getByRole('button', { name: 'Move it later in the tray' }).tap();
  await expectSaved(page);
  expect((await named('tray')).slice(0, 2)).toEqual([second, first]);

  await open('assign');
  const roles = await named('roles');
  await page.getByRole('button', { name: 'Move text.quiet', exact: true }).tap();
  await page.getByRole('button', { name: 'Move text.quiet down' }).tap();
  await expectSaved(page);
  expect(await named('roles')).not.toEqual(roles);
});

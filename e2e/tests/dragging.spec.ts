import type { Locator, Page } from '@playwright/test';
import { DRAGGED } from '../support/dragged.ts';
import type { Stack } from '../support/stack.ts';
import { expect, expectSaved, onServer, test } from '../support/test.ts';

const revisionOf = async (stack: Stack, project: string): Promise<number> =>
  (await onServer(stack, project)).revision;
const undoTimes = (page: Page) => page.keyboard.press('Control+z');

/**
 * Presses keys while the page's clock stands, so that however slow this machine is the presses come within the time in which
 * they are one edit.
 */
async function atOnce(page: Page, press: () => Promise<void>): Promise<void> {
  await page.clock.pauseAt(await page.evaluate(() => Date.now() + 5_000));
  await press();
  await page.clock.resume();
}

/** What is read once the last move has been drawn: it comes with the next frame, in its turn where it is painted apart. */
async function atRest<T>(page: Page, read: () => Promise<T>): Promise<T> {
  const first = await read();
  await page.waitForTimeout(300);
  const next = await read();
  return first === next ? next : atRest(page, read);
}

async function centre(thing: Locator): Promise<[number, number]> {
  const { x, y, width, height } = (await thing.boundingBox())!;
  return [x + width / 2, y + height / 2];
}

for (const { what, at, name, dx, dy, keys, ...more } of DRAGGED)
  test(`${what} is dragged by one pointer, given back, dragged finely, and moved by keys as one edit`, async ({
    page,
    open,
    stack,
    project,
  }) => {
    await open(at);
    if ('prepare' in more) await more.prepare(page);
    const thing = page.getByRole('slider', { name }).first();
    const value = () => thing.getAttribute('aria-valuetext');
    const before = await value();
    const first = await revisionOf(stack, project);

    const [x, y] = await centre(thing);
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + dx, y + dy, { steps: 6 });
    await expect.poll(value).not.toBe(before);
    // A second finger elsewhere changes nothing.
    const moved = await atRest(page, value);
    await thing.dispatchEvent('pointermove', { pointerId: 77, clientX: 0, clientY: 0 });
    await thing.dispatchEvent('pointerup', { pointerId: 77, clientX: 0, clientY: 0 });
    expect(await value()).toBe(moved);
    await page.keyboard.press('Escape');
    await expect.poll(value).toBe(before);
    await page.mouse.up();
    await expect.poll(value).toBe(before);
    await expect(page.locator('[data-announced]')).toHaveText('Back to where it was');
    await expectSaved(page);
    expect(await revisionOf(stack, project)).toBe(first);

    // Several presses, with one undo.
    await thing.focus();
    await atOnce(page, async () => {
      for (const key of [...keys, ...keys, ...keys]) await page.keyboard.press(key);
      await expect.poll(value).not.toBe(before);
    });
    await expectSaved(page);
    expect(await revisionOf(stack, project)).toBe(first + 1);
    await undoTimes(page);
    await expect.poll(value).toBe(before);

    // Given back before it is made.
    await thing.focus();
    await atOnce(page, async () => {
      await page.keyboard.press(keys[0]);
      await expect.poll(value).not.toBe(before);
      await page.keyboard.press('Escape');
      await expect.poll(value).toBe(before);
    });
    await expectSaved(page);
    expect(await revisionOf(stack, project)).toBe(first + 2);
  });

test('with Shift a drag goes a fifth of the way', async ({ page, open }) => {
  await open('fade');
  const stop = page.getByRole('slider', { name: 'Stop 2' });
  const place = async () => Number(await stop.getAttribute('aria-valuenow'));
  const before = await place();
  const drag = async (fine: boolean) => {
    const [x, y] = await centre(stop);
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.keyboard.down('Alt');
    if (fine) await page.keyboard.down('Shift');
    await page.mouse.move(x + 100, y, { steps: 10 });
    await page.mouse.up();
    await page.keyboard.up('Shift');
    await page.keyboard.up('Alt');
    await expectSaved(page);
    const by = (await place()) - before;
    await undoTimes(page);
    await expect.poll(place).toBe(before);
    return by;
  };
  const [far, near] = [await drag(false), await drag(true)];
  expect(far).toBeGreaterThan(5);
  expect(near / far).toBeGreaterThan(0.15);
  expect(near / far).toBeLessThan(0.25);
});

test('undo comes after the keys that were pressed before it, and leaving the page keeps them', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow');
  const base = page.getByRole('slider', { name: /^Base of Buoy,/ });
  const value = () => base.getAttribute('aria-valuetext');
  const before = await value();
  await base.focus();
  await atOnce(page, async () => {
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('ArrowLeft');
    await undoTimes(page);
  });
  await expect.poll(value).toBe(before);
  await base.focus();
  await page.keyboard.press('ArrowLeft');
  const after = await value();
  const first = await revisionOf(stack, project);
  await page.goto('/');
  await expect.poll(() => revisionOf(stack, project)).toBe(first + 1);
  await open('grow');
  expect(await value()).toBe(after);
});

test('a point of a curve keeps the focus while keys move it, and the run is one edit', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow/deepwater');
  const point = page.getByRole('slider', { name: 'Lightness of 200' });
  const place = async () => Number(await point.getAttribute('aria-valuenow'));
  const before = await place();
  const first = await revisionOf(stack, project);
  await point.focus();
  await atOnce(page, async () => {
    for (let presses = 1; presses <= 3; presses++) {
      await page.keyboard.press('ArrowDown');
      await expect.poll(place).toBeCloseTo(before - presses, 0);
    }
  });
  await expectSaved(page);
  expect(await revisionOf(stack, project)).toBe(first + 1);
  await expect(point).toBeFocused();
});

test('keys on a slider are one edit, shown at once', async ({ page, open, stack, project }) => {
  await open('grow/buoy');
  const hue = page.getByLabel('Lamp').getByRole('slider', { name: 'Hue' });
  const place = async () => Number(await hue.getAttribute('aria-valuenow'));
  const before = await place();
  const first = await revisionOf(stack, project);
  await hue.focus();
  await atOnce(page, async () => {
    for (let presses = 0; presses < 3; presses++) await page.keyboard.press('ArrowRight');
  });
  await expect.poll(place).toBeGreaterThan(before);
  await expectSaved(page);
  expect(await revisionOf(stack, project)).toBe(first + 1);
  await undoTimes(page);
  await expect.poll(place).toBeCloseTo(before, 1);
});

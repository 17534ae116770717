import { DRAGGED } from '../support/dragged.ts';
import { centreOf, type Place } from '../support/finger.ts';
import { penOn } from '../support/pen.ts';
import { expect, expectSaved, onServer, test } from '../support/test.ts';

for (const { what, at, name, dx, dy, ...more } of DRAGGED)
  test(`${what} is dragged by a pen, given back with Escape and with undo`, async ({ page, open }) => {
    await open(at);
    if ('prepare' in more) await more.prepare(page);
    await page.evaluate(() => {
      const kinds = new Set<string>();
      addEventListener('pointermove', ({ pointerType }) => kinds.add(pointerType), true);
      Object.assign(window, { kindsOfPointers: kinds });
    });
    const thing = page.getByRole('slider', { name }).first();
    const value = () => thing.getAttribute('aria-valuetext');
    const before = await value();
    const pen = await penOn(page);
    const from = await centreOf(thing);
    const to: Place = [from[0] + dx, from[1] + dy];
    await pen.down(from);
    await pen.move(from, to);
    await expect.poll(value).not.toBe(before);
    await page.keyboard.press('Escape');
    await expect.poll(value).toBe(before);
    await pen.up();
    await pen.down(from);
    await pen.move(from, to);
    await pen.up();
    await expect.poll(value).not.toBe(before);
    await expectSaved(page);
    // What was tried is a pen and not taken for a mouse.
    expect(
      await page.evaluate(() => [...(window as unknown as { kindsOfPointers: Set<string> }).kindsOfPointers]),
    ).toEqual(['pen']);
    await page.keyboard.press('Control+z');
    await expect.poll(value).toBe(before);
  });

test('a colour of the tray and a rail are moved by a pen', async ({ page, open, stack, project }) => {
  const named = async (list: 'tray' | 'families'): Promise<string[]> =>
    (await onServer(stack, project)).document[list].map(({ name }: { name: string }) => name);
  await open('grow');
  const pen = await penOn(page);
  const [first, second] = await named('tray');
  const tray = page.getByRole('region', { name: 'Tray' });
  const from = await centreOf(tray.getByRole('button', { name: first!, exact: true }));
  const [x, y] = await centreOf(tray.getByRole('button', { name: second!, exact: true }));
  await pen.down(from);
  await pen.move(from, [x + 20, y]);
  await pen.up();
  await expect.poll(async () => (await named('tray')).slice(0, 2)).toEqual([second, first]);
  const before = await named('families');
  const grip = await centreOf(page.getByRole('button', { name: 'Move Kelp', exact: true }));
  const up = await centreOf(page.getByRole('button', { name: `Move ${before[0]}`, exact: true }));
  await pen.down(grip);
  await pen.move(grip, [up[0], up[1] - 4]);
  await pen.up();
  await expect.poll(async () => (await named('families')).indexOf('Kelp')).toBe(0);
});

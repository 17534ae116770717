import { readFileSync } from 'node:fs';
import { stopAt } from '@mint-lamp/core/document/gradients/gradient';
import type { Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { axeFaults, expect, expectSaved, onServer, send, test } from '../support/test.ts';

const gradientsOf = async (stack: Parameters<typeof onServer>[0], project: string) =>
  (await onServer(stack, project)).document.gradients;
const drag = async (page: Page, from: readonly [number, number], to: readonly [number, number]) => {
  await page.mouse.move(...from);
  await page.mouse.down();
  await page.mouse.move(...to, { steps: 6 });
  await page.mouse.up();
};
const listed = (page: Page) =>
  page.getByRole('navigation', { name: 'Gradients' }).getByRole('listitem').allTextContents();

test('flat stretches and middles stand on the strip; a colour is carried along it, by mouse and by keyboard', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('fade/first-light/open-sea');
  const stops = async () => {
    await expectSaved(page);
    return (await gradientsOf(stack, project))[0].stops;
  };
  await page.getByRole('button', { name: 'Stop 2: flat for a while' }).press('Enter');
  const end = page.getByRole('slider', { name: 'End of Stop 2' });
  await expect(end).toHaveAttribute('aria-valuenow', '56');
  await end.press('Shift+ArrowRight');
  await expect(end).toHaveAttribute('aria-valuenow', '61');
  await page.getByRole('button', { name: 'Stop 2: move the middle to the next' }).click();
  const middle = page.getByRole('slider', { name: 'Middle between Stop 2 and Stop 3' });
  // The buttons below have scrolled it away.
  await page.getByTestId('gradient-strip').scrollIntoViewIfNeeded();
  const strip = (await page.getByTestId('gradient-strip').boundingBox())!;
  const box = (await middle.boundingBox())!;
  await drag(page, [box.x + 12, box.y + 12], [strip.x + strip.width * 0.7497, box.y + 12]);
  await expect(middle).toHaveAttribute('aria-valuenow', '75');
  const [, flat, hint] = await stops();
  expect(flat.places).toEqual([
    { value: 46, unit: '%' },
    { value: 61, unit: '%' },
  ]);
  expect(hint).toEqual({ kind: 'hint', place: { value: 75, unit: '%' } });
  await middle.press('Delete');
  await end.press('Delete');
  await expect(end).toHaveCount(0);
  expect((await stops())[1].places).toHaveLength(1);

  // The orange of the third stop is taken to a quarter of the way: with its link, since it comes from a stop.
  const y = strip.y + 30;
  await drag(page, [strip.x + strip.width * 0.818, y], [strip.x + strip.width * 0.25, y]);
  await expect
    .poll(async () => (await stops())[1].color)
    .toEqual({ to: 'shade', family: 'buoy', shade: '400' });
  await page.keyboard.press('Control+z');
  const carry = page.getByRole('group', { name: 'Copy a colour along the gradient' });
  await carry.getByLabel('Colour at').fill('0');
  await carry.getByLabel('to', { exact: true }).fill('90');
  await carry.getByRole('button').press('Enter');
  await expect
    .poll(async () => (await stops())[3].color)
    .toEqual({ to: 'shade', family: 'deepwater', shade: '900' });
  expect(await axeFaults(page)).toEqual([]);
});

test('a stop is removed from its menu, but for the last two, which says so; a box is dragged to its size', async ({
  page,
  open,
}) => {
  await open('fade/wake');
  const posts = page.getByRole('slider', { name: /^Stop \d$/ });
  await posts.nth(1).click({ button: 'right', position: { x: 5, y: 8 } });
  await page.getByRole('menuitem', { name: 'Remove Stop 2' }).click();
  await expect(posts).toHaveCount(2);
  // By the menu key too.
  await posts.first().focus();
  await page.keyboard.press('Shift+F10');
  await expect(page.getByRole('menuitem', { name: 'Remove Stop 1' })).toHaveAttribute(
    'aria-disabled',
    'true',
  );
  await expect(page.getByRole('menu')).toContainText('A gradient needs at least two stops');
  await page.keyboard.press('Escape');
  await posts.first().press('Delete');
  await expect(page.getByText('A gradient needs at least two stops.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(posts).toHaveCount(3);

  await page.getByLabel('Preview as').selectOption('box');
  const corner = (await page.locator('[data-box-corner]').boundingBox())!;
  await drag(page, [corner.x + 5, corner.y + 5], [corner.x - 35, corner.y + 5]);
  await expect(page.getByLabel('Width')).toHaveValue('400');
  const preview = (await page.getByTestId('gradient-preview').boundingBox())!;
  expect(preview.width).toBe(400);
});

test('a text stands in a box on the preview: dragged, by keys, its worst place, and the least veil that mends it', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('fade/first-light');
  await page.getByRole('combobox', { name: 'Text on it' }).selectOption({ label: 'hero.text' });
  const box = page.getByRole('button', { name: /^Text on it, \d+ × \d+ px/ });
  const words = page.getByRole('status').filter({ hasText: 'In its box' });
  await expect(words).toContainText('it passes');
  const preview = (await page.getByTestId('gradient-preview').boundingBox())!;
  const at = (await box.boundingBox())!;
  await drag(page, [at.x + 20, at.y + 10], [preview.x + preview.width * 0.62, at.y + 10]);
  await expect(words).toContainText('of what it covers falls short of 3');
  const under = page.locator('[data-under]');
  expect(Number.parseFloat(await under.evaluate((one) => (one as HTMLElement).style.left))).toBeGreaterThan(
    40,
  );
  // By keys it goes back, and by Ctrl it is made smaller.
  const before = (await box.getAttribute('aria-label'))!;
  await box.press('Control+Shift+ArrowLeft');
  await expect(box).not.toHaveAttribute('aria-label', before);
  const veil = page.getByRole('button', { name: /^Add a veil of / });
  await veil.focus();
  await expect(page.locator('[data-veil]')).toBeVisible();
  await veil.press('Enter');
  await expect(page).toHaveURL(/\/check\//);
  await expectSaved(page);
  const { pairs, roles } = (await onServer(stack, project)).document;
  const pair = pairs.at(-1);
  expect(pair).toMatchObject({
    foreground: 'hero-text',
    backdrop: { kind: 'gradient', gradient: 'first-light' },
  });
  expect(roles.map(({ id }: { id: string }) => id)).toContain(pair.veil);
  const row = page
    .getByRole('listitem')
    .filter({ hasText: /^hero\.text/ })
    .filter({ hasText: 'under' });
  await expect(row.first()).toContainText('passes 3 in Day sailing');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await onServer(stack, project)).document.pairs.at(-1).id).not.toBe(pair.id);
});

test('gradients are listed by group and favourites, copied into each other, made of families, cut into colours', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('fade/wake');
  await page.getByRole('button', { name: 'Make it a favourite' }).press('Enter');
  await expect.poll(() => listed(page)).toEqual(['Wake', 'First light']);
  await page.getByLabel('In the group').fill('Buttons');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'A favourite' }).press('Enter');
  await expect(page.getByRole('region', { name: 'Buttons' })).toContainText('Wake');
  // A tile that is dragged into a group goes into it.
  const tile = (name: string) =>
    page
      .getByRole('navigation', { name: 'Gradients' })
      .getByRole('listitem')
      .filter({ hasText: new RegExp(`^${name}$`) });
  const [from, to] = [(await tile('First light').boundingBox())!, (await tile('Wake').boundingBox())!];
  await drag(page, [from.x + 40, from.y + 12], [to.x + 50, to.y + 12]);
  await expect
    .poll(async () => (await gradientsOf(stack, project)).map(({ group }: { group: string }) => group))
    .toEqual(['Buttons', 'Buttons']);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await gradientsOf(stack, project))[0].group).toBeUndefined();

  await page.getByRole('button', { name: 'Copy from another …' }).click();
  await page.getByLabel('along with its kind and angle').check();
  await page
    .getByRole('list', { name: 'Other gradients' })
    .getByRole('button', { name: 'First light' })
    .press('Enter');
  await expectSaved(page);
  const [light, wake] = await gradientsOf(stack, project);
  expect(wake.direction).toEqual(light.direction);
  expect(wake.stops.map(({ color }: { color: object }) => color)).toEqual(
    light.stops.map(({ color }: { color: object }) => color),
  );

  await page.getByRole('button', { name: 'From colours …' }).click();
  await page.getByRole('button', { name: 'Kelp', exact: true }).press('Enter');
  await expect(page.getByRole('region', { name: 'Kelp', exact: true })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Stops' }).getByRole('listitem')).toHaveCount(11);
  const cut = page.getByRole('region', { name: 'Cut into colours' });
  await cut.getByLabel('How many').fill('4');
  await page.keyboard.press('Enter');
  await cut.getByRole('button', { name: 'To the tray' }).click();
  await expect(page.getByText('colours are in the tray below')).toBeVisible();
  await cut.getByRole('button', { name: 'As a family' }).click();
  await cut.getByRole('button', { name: 'As hard-edged bands' }).click();
  await expect(page.getByRole('slider', { name: /^End of Stop/ })).toHaveCount(4);
  await expectSaved(page);
  const { families, tray } = (await onServer(stack, project)).document;
  expect(families.at(-1)).toMatchObject({ name: 'Kelp 2', handSet: {} });
  expect(tray.filter(({ group }: { group: string }) => group === 'Kelp')).toHaveLength(4);
});

test('a gradient goes through colours that are typed; one that is none is told with what may be meant', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('fade');
  await page.getByRole('button', { name: 'From colours …' }).click();
  const field = page.getByLabel('Through colours you type');
  await field.fill('#0b5f6b');
  await expect(page.getByText('One colour; a gradient needs two.')).toBeVisible();
  const make = page.getByRole('button', { name: 'Make the gradient' });
  await expect(make).toBeDisabled();
  await field.fill('#0b5f6b, #e2552, dark orange');
  await expect(page.getByText(/^#e2552: /)).toBeVisible();
  await expect(make).toBeDisabled();
  await page.getByRole('button', { name: '#e25522', exact: true }).click();
  await expect(page.getByText('3 colours, as plain stops')).toBeVisible();
  await expect(field).toHaveValue('#0b5f6b, #e25522, dark orange');
  await field.press('Enter');
  await expect(page.getByRole('region', { name: 'Stops' }).getByRole('listitem')).toHaveCount(3);
  await expectSaved(page);
  const made = (await gradientsOf(stack, project)).at(-1);
  expect(made.name).toBe('deep muted blue-green to light vivid orange');
  expect(made.stops.map(({ color }: { color: object }) => color)).toEqual([
    { to: 'color', color: '#0b5f6b' },
    { to: 'color', color: '#e25522' },
    { to: 'color', color: '#ff8c00' },
  ]);
});

test('a translucent gradient goes out with its own colours, not as they are multiplied by their opacity', async ({
  page,
  open,
  stack,
  project,
}) => {
  const stop = (id: string, value: number, color: string) => stopAt(id, value, { to: 'color', color });
  const gradient = {
    id: 'glass',
    name: 'Glass',
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    space: 'srgb',
    hueWay: 'shorter',
    stops: [stop('a', 0, 'rgb(200 100 50 / 0.0392)'), stop('b', 100, 'rgb(200 100 50 / 0.0392)')],
  } as const;
  await send(stack, project, [{ type: 'addGradient', gradient }]);
  await open('fade/glass');
  await page.getByLabel('dithered, against bands').uncheck();
  await page.getByLabel('PNG, px wide').fill('8');
  await page.keyboard.press('Enter');
  await page.getByLabel('px high').fill('2');
  await page.keyboard.press('Enter');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download as PNG' }).click(),
  ]);
  const { data } = PNG.sync.read(readFileSync(await file.path()));
  expect([...data]).toEqual(Array(16).fill([200, 100, 50, 10]).flat());
});

test('a gradient goes out as a picture of any size, and comes in from an SVG file', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('fade/first-light');
  await page.getByLabel('PNG, px wide').fill('640');
  await page.keyboard.press('Enter');
  await page.getByLabel('px high').fill('3');
  await page.keyboard.press('Enter');
  const picture = async (name: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Download as PNG' }).click(),
    ]);
    expect(file.suggestedFilename()).toBe(name);
    return PNG.sync.read(readFileSync(await file.path()));
  };
  const dithered = await picture('first-light-640x3.png');
  await page.getByLabel('dithered, against bands').uncheck();
  const plain = await picture('first-light-640x3.png');
  expect([plain.width, plain.height]).toEqual([640, 3]);
  // As Chromium paints it.
  const css = await page
    .getByTestId('gradient-preview')
    .locator('> div')
    .first()
    .evaluate((one) => (one as HTMLElement).style.background);
  const other = await page.context().newPage();
  await other.setViewportSize({ width: 640, height: 3 });
  await other.setContent(`<body style='margin:0;height:3px;background:${css}'></body>`);
  const painted = PNG.sync.read(await other.screenshot());
  await other.close();
  const off = (a: PNG) => Math.max(...a.data.map((v, i) => Math.abs(v - painted.data[i]!)));
  expect(off(plain)).toBeLessThanOrEqual(1);
  expect(off(dithered)).toBeLessThanOrEqual(2);
  expect(dithered.data.some((v, i) => v !== plain.data[i])).toBe(true);

  await page.getByRole('button', { name: 'Paste CSS or SVG …' }).click();
  const field = page.getByLabel('CSS with gradients in it');
  await field.fill('<svg><linearGradient id="Deck"><stop');
  await expect(page.getByText('This is no well-formed SVG')).toBeVisible();
  await page.getByLabel('SVG or CSS file').setInputFiles({
    name: 'deck.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><defs>
      <linearGradient id="Deck" x2="0" y2="1"><stop offset="0" stop-color="#0b5f6b"/><stop offset="1" stop-color="#123456"/></linearGradient>
      <radialGradient id="Lamp" fx="0.2"><stop offset="10%" stop-color="white"/><stop offset="1" stop-color="white" stop-opacity="0"/></radialGradient>
    </defs></svg>`),
  });
  const found = page.getByRole('list', { name: 'Gradients in it' }).getByRole('listitem');
  await expect(found).toHaveCount(2);
  await expect(found.nth(1)).toContainText('Its focus is brought to its centre');
  await expect(found.first()).toContainText('1 of 2 colours are linked');
  await found.first().getByRole('button', { name: 'Apply' }).click();
  await expect(page.getByRole('region', { name: 'Deck', exact: true })).toBeVisible();
  await expectSaved(page);
  const deck = (await gradientsOf(stack, project)).at(-1);
  expect(deck).toMatchObject({ name: 'Deck', kind: 'linear', direction: { by: 'angle', degrees: 180 } });
  expect(deck.stops[0].color).toEqual({ to: 'base', family: 'deepwater' });
});

test('what troubles the eye is told with its mend, seen before it is taken', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('fade/first-light');
  const worth = page.getByRole('list', { name: 'Worth a look' });
  const mend = worth.getByRole('button', { name: 'Add a stop there that keeps the colour' });
  const posts = page.getByRole('slider', { name: /^Stop \d$/ });
  await mend.hover();
  await expect(posts).toHaveCount(5);
  await page.mouse.move(4, 4);
  await expect(posts).toHaveCount(4);
  expect((await gradientsOf(stack, project))[0].stops).toHaveLength(4);
  await mend.press('Enter');
  await expect(posts).toHaveCount(5);
  await expect(mend).toHaveCount(0);
  // Round the hues the long way a middle outshines its ends.
  await page.getByRole('button', { name: /^HSL round/ }).click();
  await page.getByLabel('Around the hues by').selectOption('longer');
  const bright = worth.getByRole('listitem').filter({ hasText: 'than both its ends' }).first();
  await bright.getByRole('button', { name: /^Mix it in/ }).click();
  await expect(bright).toHaveCount(0);
  expect(await axeFaults(page)).toEqual([]);
});

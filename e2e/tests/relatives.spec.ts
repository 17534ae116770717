import { usualRow } from '@mint-lamp/core/document/relatives/relatives';
import { relativesOf } from '@mint-lamp/core/system/relatives';
import type { Page } from '@playwright/test';
import { axeFaults, expect, expectSaved, onServer, post, test } from '../support/test.ts';

const SOURCE = '#e2552b';

async function openRelatives(page: Page, stack: Parameters<typeof post>[0]): Promise<string> {
  const { id } = await post(stack, '/projects', { name: 'Relatives' });
  await page.goto(`/p/${id}/gather/relatives`);
  await page.getByRole('button', { name: 'Choose the colour' }).click();
  await page.getByLabel('Any CSS colour').fill(SOURCE);
  await page.keyboard.press('Enter');
  await expect(cards(page)).toHaveCount(8);
  return id;
}

const cards = (page: Page) => page.getByRole('list', { name: 'Relations' }).locator('> li');
const card = (page: Page, name: string) => page.getByRole('listitem', { name, exact: true });
const samples = (page: Page, name: string) =>
  card(page, name)
    .getByRole('button', { name: /^\d+: #/ })
    .evaluateAll((buttons) =>
      buttons.map((button) => /#[\da-f]{6}/.exec(button.getAttribute('aria-label')!)![0]),
    );
const peg = (page: Page, name: string, n: number) =>
  card(page, name).getByRole('button', { name: n === 1 ? /^Peg of the source/ : new RegExp(`^Peg ${n} of`) });
const hex = ({ r, g, b }: { r: number; g: number; b: number }) =>
  `#${[r, g, b].map((v) => v.toString(16).padStart(2, '0')).join('')}`;

async function drag(page: Page, what: ReturnType<typeof peg>, dx: number) {
  const box = (await what.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + 12];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y);
  await page.mouse.move(x + dx, y);
  await page.mouse.up();
}

test('all relations stand beside each other; a dragged peg turns all, and alone makes a version of one’s own', async ({
  page,
  stack,
}) => {
  const id = await openRelatives(page, stack);
  const exact = relativesOf(SOURCE, usualRow('triadic')).map(hex);
  expect(await samples(page, 'Triadic')).toEqual(exact);

  // The relation keeps its shape: the source turns, and with it every row.
  await drag(page, peg(page, 'Triadic', 2), 60);
  await expect.poll(() => samples(page, 'Triadic')).not.toContain(SOURCE);
  const turned = await samples(page, 'Triadic');
  expect(await samples(page, 'Square')).toContain(turned[0]);
  expect(turned).toEqual(relativesOf(turned[0]!, usualRow('triadic')).map(hex));
  await page.keyboard.press('Control+z');
  await expect.poll(() => samples(page, 'Triadic')).toEqual(exact);

  await card(page, 'Triadic').getByLabel('move separately').check();
  await drag(page, peg(page, 'Triadic', 2), -40);
  await expect.poll(async () => (await samples(page, 'Triadic'))[1]).not.toBe(exact[1]);
  const own = await samples(page, 'Triadic');
  expect([own[0], own[2]]).toEqual([exact[0], exact[2]]);
  const version = (name: string) => card(page, 'Triadic').getByRole('button', { name, exact: true });
  await version('Exact').click();
  await expect.poll(() => samples(page, 'Triadic')).toEqual(exact);
  await version('Own').click();
  await expect.poll(() => samples(page, 'Triadic')).toEqual(own);
  await expectSaved(page);

  // Both are there when the tab is opened again, and so is the way back.
  await page.reload();
  await expect.poll(() => samples(page, 'Triadic')).toEqual(own);
  await page.keyboard.press('Control+z');
  await expect.poll(() => samples(page, 'Triadic')).toEqual(exact);
  await page.keyboard.press('Control+Shift+z');

  await card(page, 'Triadic')
    .getByRole('button', { name: new RegExp(own[1]!) })
    .first()
    .click();
  await card(page, 'Triadic').getByRole('button', { name: 'Triadic: add 1 to the tray' }).click();
  await card(page, 'Square').getByRole('button', { name: 'Square: add the row to the tray' }).click();
  await expect(page.getByText('4 colours are in the tray below')).toBeVisible();
  await card(page, 'Complementary')
    .getByRole('button', { name: 'Complementary: make families of the row' })
    .click();
  await expectSaved(page);
  // Any colour leads to its relatives from the lamp.
  await page.getByRole('region', { name: 'Tray' }).getByTitle(new RegExp(own[1]!)).first().click();
  await page.getByRole('button', { name: 'See its relatives' }).click();
  await expect.poll(async () => (await samples(page, 'Square'))[0]).toBe(own[1]);
  const { document } = await onServer(stack, id);
  expect(
    document.tray.map(({ color, group }: { color: string; group: string }) => [color, group])[0],
  ).toEqual([own[1], 'Triadic']);
  expect(document.families.map(({ base }: { base: string }) => base)).toEqual(
    relativesOf(SOURCE, usualRow('complementary')).map(hex),
  );
});

test('by keyboard: pegs, counts and angles, one member’s lightness; axe finds nothing', async ({
  page,
  stack,
}) => {
  await openRelatives(page, stack);
  await peg(page, 'Analogous', 2).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(async () => (await samples(page, 'Analogous'))[0]).not.toBe(SOURCE);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await samples(page, 'Analogous'))[0]).toBe(SOURCE);
  await card(page, 'Analogous').getByRole('textbox', { name: 'Colours' }).fill('5');
  await page.keyboard.press('Enter');
  await card(page, 'Analogous').getByRole('textbox', { name: 'Angle' }).fill('12');
  await page.keyboard.press('Enter');
  const row = { ...usualRow('analogous'), count: 5, angle: 12 };
  await expect.poll(() => samples(page, 'Analogous')).toEqual(relativesOf(SOURCE, row).map(hex));

  // Live, by a slider too.
  await card(page, 'Analogous').getByRole('slider', { name: 'Angle, by a slider' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect
    .poll(() => samples(page, 'Analogous'))
    .toEqual(relativesOf(SOURCE, { ...row, angle: 13 }).map(hex));

  await peg(page, 'Square', 3).focus();
  const lightness = card(page, 'Square').getByRole('slider', { name: 'Lightness of 3' });
  await lightness.focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowRight');
  await expect(card(page, 'Square').getByRole('button', { name: 'Own', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  const third = async () => (await samples(page, 'Square'))[2];
  await expect.poll(third).not.toBe(hex(relativesOf(SOURCE, usualRow('square'))[2]!));
  expect((await samples(page, 'Square'))[0]).toBe(SOURCE);
  await page.getByRole('slider', { name: 'Chroma of the source' }).focus();
  await page.keyboard.press('Home');
  await expect(page.getByText('1 and 2 nearly the same').first()).toBeVisible();
  await page.keyboard.press('Control+z');

  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Switch to dark mode' }).click();
  expect(await axeFaults(page)).toEqual([]);
});

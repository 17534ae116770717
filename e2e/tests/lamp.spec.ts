import { addColor, expect, expectSaved, onServer, send, test } from '../support/test.ts';

test('a translucent grey keeps the hue that it was given, for when it has a chroma again', async ({
  page,
  open,
}) => {
  await open('grow');
  await addColor(page, '#80808080');
  await page.getByRole('region', { name: 'Tray' }).getByRole('listitem').last().getByRole('button').click();
  const field = (name: string) => page.getByRole('textbox', { name, exact: true });
  await field('Hue').fill('200');
  await page.keyboard.press('Enter');
  await expect(field('Hue')).toHaveValue('200');
  await field('Opacity').fill('60');
  await page.keyboard.press('Enter');
  await expect(field('Hue')).toHaveValue('200');
  await field('Chroma').fill('0.08');
  await page.keyboard.press('Enter');
  await expect(field('Any CSS colour')).toHaveValue(/^rgb\(\d+ 1\d\d 1\d\d \/ 0\.6\)$/);
  await expect(field('Hue')).toHaveValue('200');
});

test('what follows a shade is counted anew when the labels change', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow/deepwater/700');
  const used = page.getByRole('region', { name: 'Used by' });
  await expect(used).toContainText('Followed by');
  await open('grow/deepwater');
  await expect(used).toContainText('Followed by');
  const { document } = await onServer(stack, project);
  const { growth } = document.families.find(({ id }: { id: string }) => id === 'deepwater');
  const labels = growth.labels.map((label: string) => `d${label}`);
  await send(stack, project, [{ type: 'setGrowth', family: 'deepwater', growth: { ...growth, labels } }]);
  await expect(used).toContainText('Nothing follows it');
});

test('the ratios on its grounds are seen without scrolling, and all that the lamp shows changes during a drag', async ({
  page,
  open,
}) => {
  await open('grow/deepwater');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  const contrast = lamp.getByRole('region', { name: 'Contrast' });
  await expect(contrast.getByRole('listitem').last()).toBeInViewport({ ratio: 1 });
  const notations = lamp.getByRole('region', { name: 'Notations' });
  const tints = lamp.getByRole('region', { name: 'Tints, tones and shades' });
  const shown = async () => [
    await contrast.textContent(),
    await notations.textContent(),
    await tints
      .getByRole('button')
      .first()
      .evaluate((button) => getComputedStyle(button).backgroundColor),
    await lamp.getByLabel('Any CSS colour').inputValue(),
  ];
  const before = await shown();
  const slider = lamp.getByRole('slider', { name: 'Lightness' });
  const box = (await slider.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y + box.height / 2, { steps: 4 });
  await expect.poll(async () => (await shown()).every((text, i) => text !== before[i])).toBe(true);
  await page.mouse.up();
});

test('keys move the lit colour: from blue-green to plum in a few presses, and one undo brings all back', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow/deepwater');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  const code = lamp.getByLabel('Any CSS colour');
  await expect(code).toHaveValue('#0b5f6b');
  const hue = lamp.getByRole('textbox', { name: 'Hue' });
  const from = Number(await hue.inputValue());
  for (let i = 0; i < 8; i++) await page.keyboard.press('h');
  await expect.poll(async () => Math.abs(Number(await hue.inputValue()) - from - 120)).toBeLessThan(4);
  await page.keyboard.press('c');
  await page.keyboard.press('Shift+L');
  await expectSaved(page);
  const base = async () =>
    (await onServer(stack, project)).document.families.find(({ id }: { id: string }) => id === 'deepwater')
      .base;
  await expect.poll(base).not.toBe('#0b5f6b');
  await page.keyboard.press('Control+z');
  await expect(code).toHaveValue('#0b5f6b');
  await expectSaved(page);
  expect(await base()).toBe('#0b5f6b');
  // Undone at once, before the presses have come to rest, too.
  await page.keyboard.press('l');
  await page.keyboard.press('l');
  await page.keyboard.press('Control+z');
  await expect(code).toHaveValue('#0b5f6b');
  // Letters that are typed are letters.
  await code.fill('hlc');
  await page.keyboard.press('Escape');
  await expect(code).toHaveValue('#0b5f6b');
});

test('the notations that are used are chosen once; tints, tones and shades go to the tray', async ({
  page,
  open,
}) => {
  await open('grow/deepwater');
  const notations = page.getByRole('region', { name: 'Notations' });
  const always = notations.getByRole('list').first();
  await expect(always.getByRole('listitem')).toHaveText(['#0b5f6b', 'rgb(11 95 107)', /^oklch/]);
  await notations.getByRole('button', { name: 'All notations' }).click();
  await notations.getByLabel('Always show hsl').check();
  await notations.getByLabel('Always show oklch').uncheck();
  await page.reload();
  await expect(always.getByRole('listitem')).toHaveText(['#0b5f6b', 'rgb(11 95 107)', /^hsl/]);
  await page.getByRole('button', { name: /^Tone 50 %/ }).click();
  await expect(page.getByText('One colour is in the tray below')).toBeVisible();
});

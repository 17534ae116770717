import { addColor, axeFaults, expect, expectSaved, onServer, send, test } from '../support/test.ts';

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
  await expect(used).toContainText('Used by');
  await open('grow/deepwater');
  await expect(used).toContainText('Used by');
  const { document } = await onServer(stack, project);
  const { growth } = document.families.find(({ id }: { id: string }) => id === 'deepwater');
  const labels = growth.labels.map((label: string) => `d${label}`);
  await send(stack, project, [{ type: 'setGrowth', family: 'deepwater', growth: { ...growth, labels } }]);
  await expect(used).toContainText('Nothing uses it');
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
  goOn,
  stack,
  project,
}) => {
  await open('grow/deepwater');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  const code = lamp.getByLabel('Any CSS colour');
  await expect(code).toHaveValue('#0b5f6b');
  const hue = lamp.getByRole('textbox', { name: 'Hue' });
  const from = Number(await hue.inputValue());
  // As fast as fingers are, however slow the machine is: presses that are apart are edits of their own.
  await page.evaluate(async () => {
    for (const key of [...'hhhhhhhhc', 'L']) {
      document.body.dispatchEvent(
        new KeyboardEvent('keydown', { key, shiftKey: key === 'L', bubbles: true, cancelable: true }),
      );
      await new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn)));
    }
  });
  await expect.poll(async () => Math.abs(Number(await hue.inputValue()) - from - 120)).toBeLessThan(4);
  await expectSaved(page);
  // Everything has followed: the scene, its gradient, and what is linked to a shade of it in the other theme.
  const lit = await page.getByTestId('lamp-color').evaluate((half) => getComputedStyle(half).backgroundColor);
  const painted = async () => {
    await goOn('stage/timetable');
    await page.getByRole('radio', { name: 'This one' }).click();
    const scene = page.getByTestId('scene');
    const button = scene.getByText('Reserve').first();
    const css = (of: typeof button, property: string) =>
      of.evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property);
    const day = [
      await css(button, 'background-color'),
      await css(scene.locator('[data-ground=hero]'), 'background-image'),
    ];
    await page.keyboard.press('n');
    const night = await css(button, 'background-color');
    await page.keyboard.press('n');
    await goOn('grow/deepwater');
    return [...day, night];
  };
  const plum = await painted();
  expect(plum[0]).toBe(lit);
  const base = async () =>
    (await onServer(stack, project)).document.families.find(({ id }: { id: string }) => id === 'deepwater')
      .base;
  await expect.poll(base).not.toBe('#0b5f6b');
  await page.keyboard.press('Control+z');
  await expect(code).toHaveValue('#0b5f6b');
  await expectSaved(page);
  expect(await base()).toBe('#0b5f6b');
  const back = await painted();
  expect(back[0]).toBe('rgb(11, 95, 107)');
  back.forEach((color, i) => {
    expect(color).not.toBe(plum[i]);
  });
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
  await notations.getByLabel('Keep hsl at the top').check();
  await notations.getByLabel('Keep oklch at the top').uncheck();
  await page.reload();
  await expect(always.getByRole('listitem')).toHaveText(['#0b5f6b', 'rgb(11 95 107)', /^hsl/]);
  await page.getByRole('button', { name: /^Tone 50 %/ }).click();
  await expect(page.getByText('One colour is in the tray below')).toBeVisible();
});

test('the plane of lightness and chroma is moved on by mouse and keys; codes are told while they are typed', async ({
  page,
  open,
}) => {
  await open('grow/deepwater');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  const code = lamp.getByLabel('Any CSS colour');
  await code.fill('#0b5f6');
  await expect(lamp.getByRole('status')).toHaveText('A hex code has 3, 4, 6 or 8 digits; this has 5.');
  await expect(page.getByTestId('lamp-color')).toHaveCSS('background-color', 'rgb(11, 95, 107)');
  await page.keyboard.press('Escape');

  await lamp.getByRole('button', { name: 'Lightness and chroma as a plane' }).click();
  const plane = lamp.getByRole('slider', { name: 'Lightness and chroma' });
  await expect(lamp.getByRole('region', { name: 'Contrast' }).getByRole('listitem').last()).toBeInViewport({
    ratio: 1,
  });
  await plane.press('ArrowUp');
  await expect(plane).toHaveAttribute('aria-valuetext', /^lightness 45\.6 %/);
  const box = (await plane.boundingBox())!;
  await page.mouse.move(box.x + 20, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y + 30, { steps: 4 });
  // What it moves is told while it moves.
  await expect(lamp.getByRole('region', { name: 'What it moves' })).toContainText(
    /Moves \d+ roles in 2 themes, 2 gradients/,
  );
  await page.mouse.up();
  await expect(plane).toHaveAttribute('aria-valuetext', /^lightness 7\d\.\d %, chroma 0\.05/);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(code).toHaveValue('#0b5f6b');
  // It is painted anew for another hue.
  const pixels = () =>
    plane.locator('canvas').evaluate((canvas) => (canvas as HTMLCanvasElement).toDataURL());
  const blueGreen = await pixels();
  await lamp.getByRole('slider', { name: 'Hue' }).press('Shift+ArrowRight');
  await expect.poll(pixels).not.toBe(blueGreen);
  expect(await axeFaults(page)).toEqual([]);
  await page.reload();
  await expect(plane).toBeVisible();
});

test('a drag on the plane that goes by grey keeps its hue, shown and made, and nothing of it is left when it is given back', async ({
  page,
  open,
}) => {
  await open('grow/deepwater');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  await lamp.getByRole('button', { name: 'Lightness and chroma as a plane' }).click();
  const plane = lamp.getByRole('slider', { name: 'Lightness and chroma' });
  const hue = lamp.getByRole('slider', { name: 'Hue' });
  const code = lamp.getByLabel('Any CSS colour');
  await expect(hue).toHaveAttribute('aria-valuetext', '210.3°');
  const box = (await plane.boundingBox())!;
  const to = (x: number, y: number) => page.mouse.move(box.x + x, box.y + y, { steps: 3 });
  await to(40, 60);
  await page.mouse.down();
  await to(-30, 60);
  await expect(code).toHaveValue(/^#([0-9a-f]{2})\1\1$/);
  await expect(hue).toHaveAttribute('aria-valuetext', '210.3°');
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(code).toHaveValue('#0b5f6b');
  await to(40, 60);
  await page.mouse.down();
  await to(-30, 60);
  await page.mouse.up();
  await expect(plane).toHaveAttribute('aria-valuetext', /chroma 0\.000$/);
  await expect(code).toHaveValue(/^#([0-9a-f]{2})\1\1$/);
  await expect(hue).toHaveAttribute('aria-valuetext', '210.3°');
  // By whatever has a chroma again it is that hue.
  for (let i = 0; i < 20; i++) await plane.press('ArrowRight');
  await expect(hue).toHaveAttribute('aria-valuetext', '210.3°');
  await expect(plane).toHaveAttribute('aria-valuetext', /chroma 0\.100$/);
});

test('notes on a colour and on a pair are counted while they are open', async ({
  page,
  open,
  goOn,
  stack,
  project,
}) => {
  await open('grow/deepwater/300');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  await lamp.getByRole('button', { name: 'Write a note' }).click();
  await page.keyboard.type('Too pale for the deck?');
  await lamp.getByLabel('Your name').fill('Ida');
  await page.keyboard.press('Enter');
  await expect(lamp.getByRole('group', { name: 'Notes' })).toContainText('Too pale for the deck?Ida,');
  const pair = (await onServer(stack, project)).document.pairs[0].id;
  await goOn(`check/${pair}`);
  const row = page.locator(`#pair-${pair}`);
  await row.getByRole('button', { name: 'Write a note' }).click();
  await expect(row.getByLabel('Your name')).toHaveValue('Ida');
  await row.getByLabel('Note', { exact: true }).fill('The client reads this on deck.');
  await row.getByLabel('Note', { exact: true }).press('Control+Enter');
  await page.getByRole('button', { name: '2 open notes' }).click();
  await page.getByRole('link', { name: 'Deepwater 300: Too pale for the deck? (Ida)' }).click();
  await lamp.getByRole('button', { name: 'Resolve' }).click();
  await expect(page.getByRole('button', { name: '1 open note' })).toBeVisible();
  await expectSaved(page);
  expect((await onServer(stack, project)).document.notes).toMatchObject([
    { on: { kind: 'shade', family: 'deepwater', shade: '300' }, by: 'Ida', settled: true },
    { on: { kind: 'pair', pair }, text: 'The client reads this on deck.', settled: false },
  ]);
});

test.describe('where the browser has what others lack', () => {
  test.use({ ownPage: true });

  test('a colour is picked from the screen where the browser can; else a picture is offered', async ({
    page,
    open,
    stack,
    project,
  }) => {
    await page.addInitScript(() => {
      const picker = class {
        open = () => Promise.resolve({ sRGBHex: '#123456' });
      };
      Object.defineProperty(window, 'EyeDropper', { value: picker, configurable: true });
    });
    await open('grow/kelp');
    const lamp = page.getByRole('complementary', { name: 'Lamp' });
    await lamp.getByRole('button', { name: 'Pick from the screen' }).click();
    // What is lit stays as it is until it is said what was picked is for.
    const field = lamp.getByLabel('Any CSS colour');
    await expect(lamp.getByText('Picked #123456')).toBeVisible();
    await expect(field).not.toHaveValue('#123456');
    await lamp.getByRole('button', { name: 'Replace the selected colour' }).click();
    await expect(field).toHaveValue('#123456');
    await lamp.getByRole('button', { name: 'Pick from the screen' }).click();
    await lamp.getByRole('button', { name: 'Add to the tray' }).click();
    await expect(lamp.getByText(/· in the tray$/)).toBeVisible();
    await expectSaved(page);
    const { tray } = (await onServer(stack, project)).document;
    expect(tray.at(-1)).toMatchObject({ color: '#123456' });
    // Its name is the one that nobody typed, and follows its colour.
    const { name } = tray.at(-1);
    await expect(lamp.getByRole('heading', { name })).toBeVisible();
    await field.fill('#c8102e');
    await field.press('Enter');
    await expect(lamp.getByRole('heading', { name })).toBeHidden();
    await expectSaved(page);
    const changed = (await onServer(stack, project)).document.tray.at(-1);
    expect(changed.color).toBe('#c8102e');
    expect(changed.name).not.toBe(name);
    // With nothing lit it goes there at once.
    for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(lamp.getByText('No colour selected')).toBeVisible();
    await lamp.getByRole('button', { name: 'Pick from the screen' }).click();
    await expect(lamp.getByText(/· in the tray$/)).toBeVisible();
    await page.evaluate(() => Object.defineProperty(window, 'EyeDropper', { value: undefined }));
    await lamp.getByRole('button', { name: 'Pick from the screen' }).click();
    await page.getByRole('button', { name: 'To pictures' }).click();
    await expect(page).toHaveURL(/\/gather\/pictures$/);
  });
});

test('what can stand on a fill is shown first, measured, and put to use with one press', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('assign/action-fill');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  const standing = lamp.getByRole('region', { name: 'What works on it' });
  const best = standing.getByRole('listitem').filter({ hasText: 'best' });
  await expect(best).toHaveText(/action\.text.*7\.33.*AAA.*paired/);
  const [above, below] = await Promise.all([
    standing.boundingBox(),
    lamp.getByRole('region', { name: 'Contrast' }).boundingBox(),
  ]);
  expect(above!.y).toBeLessThan(below!.y);
  await standing.getByRole('button', { name: 'Use black on it' }).click();
  await expect(best).toHaveText(/hero\.text|accent\.text/);
  await expectSaved(page);
  const { document } = await onServer(stack, project);
  const text = document.roles.find(
    ({ group, name }: { group: string[]; name: string }) => group[0] === 'action' && name === 'text',
  );
  expect(text.links.day).toEqual({ to: 'color', color: '#000000' });
});

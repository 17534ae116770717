import { readFileSync } from 'node:fs';
import { axeFaults, expect, expectSaved, onServer, test } from '../support/test.ts';

interface StoredGradient {
  readonly id: string;
  readonly kind: string;
  readonly [key: string]: unknown;
}

test('posts stand in strip and profile on one axis: dragged, snapped, walked along the shades by knob and by keys', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('fade/first-light');
  const strip = (await page.getByTestId('gradient-strip').boundingBox())!;
  const lane = (await page.locator('[data-lane=lightness]').boundingBox())!;
  expect([lane.x, lane.width]).toEqual([strip.x, strip.width]);
  const post = page.getByRole('slider', { name: 'Stop 2' });
  const at = async () => {
    const { x, width } = (await post.boundingBox())!;
    return ((x + width / 2 - strip.x) / strip.width) * 100;
  };
  expect(await at()).toBeCloseTo(46, 0);
  // Near a fifth it lands on it; with Alt it stays where it is let go.
  const drag = async (to: number) => {
    const { x, y, width } = (await post.boundingBox())!;
    await page.mouse.move(x + width / 2, y + 8);
    await page.mouse.down();
    await page.mouse.move(strip.x + (strip.width * to) / 100, y + 8, { steps: 6 });
    await page.mouse.up();
  };
  await drag(59.7);
  await expect(post).toHaveAttribute('aria-valuenow', '60');
  await page.keyboard.down('Alt');
  await drag(59.7);
  await page.keyboard.up('Alt');
  await expect(post).not.toHaveAttribute('aria-valuenow', '60');
  // Up and down walk along the family, by key and by the knob on the lightness lane.
  const list = page.getByRole('region', { name: 'Stops' }).getByRole('listitem');
  await post.press('ArrowUp');
  await expect(list.nth(1)).toContainText('Deepwater 500');
  await page.keyboard.press('Control+z');
  await expect(list.nth(1)).toContainText('Deepwater 600');
  const knob = (await page.locator('[data-knob="2"]').boundingBox())!;
  await page.mouse.move(knob.x + 8, knob.y + 8);
  await page.mouse.down();
  await page.mouse.move(knob.x + 8, lane.y + lane.height - 2, { steps: 5 });
  await expect(list.nth(1)).toContainText('Deepwater 950');
  await page.mouse.up();
  await expectSaved(page);
  const { gradients } = (await onServer(stack, project)).document;
  expect(gradients[0].stops[1].color).toEqual({ to: 'shade', family: 'deepwater', shade: '950' });
  expect(await axeFaults(page)).toEqual([]);
});

test('any kind: its geometry on the preview by drag and keys and as figures, in any space, arranged, duplicated, copied', async ({
  page,
  open,
  stack,
  project,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await open('fade/first-light');
  const stored = async (): Promise<StoredGradient> => {
    await expectSaved(page);
    return (await onServer(stack, project)).document.gradients[0];
  };
  await page.getByLabel('Kind').selectOption('radial: from a centre outwards');
  const centre = page.getByRole('button', { name: /^Centre, / });
  await expect(centre).toHaveAccessibleName('Centre, 50 %, 50 %');
  await centre.press('Shift+ArrowRight');
  await expect(centre).toHaveAccessibleName('Centre, 55 %, 50 %');
  await page.getByLabel('Centre y').fill('-20');
  await page.keyboard.press('Enter');
  await expect(centre).toHaveAccessibleName('Centre, 55 %, -20 %');
  const width = page.getByRole('button', { name: /^Half width, / });
  await width.scrollIntoViewIfNeeded();
  const box = (await width.boundingBox())!;
  await page.mouse.move(box.x + 8, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x - 120, box.y + 8, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByLabel('Reaches')).toHaveValue('length');
  expect(await stored()).toMatchObject({
    kind: 'radial',
    shape: 'ellipse',
    size: [{ unit: '%' }, { unit: '%' }],
  });

  await page.getByLabel('Kind').selectOption('conic: round a centre');
  // The ends of a cone meet: that is told, and mended as it is said.
  const faults = page.getByRole('list', { name: 'Worth a look' });
  await expect(faults.getByRole('listitem').first()).toContainText(
    /^Its ends meet in two colours \(ΔE OK 0\.\d{3}\)/,
  );
  await faults.getByRole('button', { name: 'End it as it begins' }).press('Enter');
  await expect(faults).not.toContainText('Its ends meet');
  await page.keyboard.press('Control+z');
  await expect(faults).toContainText('Its ends meet');
  const turn = page.getByRole('button', { name: /^Turn, / });
  await turn.press('Shift+ArrowRight');
  await expect(page.getByLabel('From (°)')).toHaveValue('5');
  await page.getByRole('checkbox', { name: 'repeating' }).check();
  await page
    .getByRole('region', { name: 'Mixing space' })
    .getByRole('button', { name: /^OKLCH/ })
    .click();
  await page.getByLabel('Around the hues by').selectOption('the longer arc');
  expect(await stored()).toMatchObject({
    kind: 'conic',
    from: 5,
    repeating: true,
    space: 'oklch',
    hueWay: 'longer',
  });
  await expect(page.getByTestId('gradient-preview').locator('> div').first()).toHaveCSS(
    'background-image',
    /^repeating-conic-gradient\(from 5deg at 55% -20% in oklch longer hue/,
  );
  const all = page.getByRole('group', { name: 'All stops' });
  const stops = page.getByRole('region', { name: 'Stops' }).getByRole('listitem');
  await all.getByRole('button', { name: 'Mirror' }).click();
  await expect(stops).toHaveCount(7);
  await page.keyboard.press('Control+z');
  await expect(stops).toHaveCount(4);
  await all.getByRole('button', { name: 'Space evenly' }).click();
  await expect(page.getByLabel('Place of Stop 2')).toHaveValue('33.3');
  await all.getByRole('button', { name: 'Reverse' }).click();
  await expect(stops.first()).toContainText('Lantern 300');

  // Straight again, at an angle that is dragged and lands on a multiple of fifteen.
  await page.getByLabel('Kind').selectOption('linear: along a line');
  const end = page.getByRole('button', { name: /^End of the line, 90 degrees/ });
  await end.scrollIntoViewIfNeeded();
  const preview = (await page.getByTestId('gradient-preview').boundingBox())!;
  const from = (await end.boundingBox())!;
  await page.mouse.move(from.x + 8, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(preview.x + preview.width / 2 + 2, preview.y + preview.height - 4, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByLabel('Angle')).toHaveValue('180');
  await page.getByRole('button', { name: 'Copy: Custom property, linked' }).click();
  const copied = await page.evaluate(() => navigator.clipboard.readText());
  expect(copied).toMatch(
    /^--gradient-first-light: repeating-linear-gradient\(180deg in oklch longer hue, var\(--lantern-300\)/,
  );
  await page
    .getByRole('region', { name: 'Mixing space' })
    .getByRole('button', { name: /^OKLab/ })
    .click();
  await page.getByRole('checkbox', { name: 'repeating' }).uncheck();
  await page.getByRole('button', { name: 'Copy: With a plain fallback' }).click();
  const [plain, mixed] = (await page.evaluate(() => navigator.clipboard.readText())).split('\n');
  expect(plain).toMatch(/^background: linear-gradient\(180deg, #/);
  expect(mixed).toMatch(/^background: linear-gradient\(180deg in oklab, #/);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: /^Download as SVG, \d+ × 172 px/ }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('first-light.svg');
  const svg = readFileSync(await file.path(), 'utf8');
  expect(svg).toContain('<title>First light</title>');
  expect(svg).toMatch(/<linearGradient id="gradient" gradientUnits="userSpaceOnUse"/);
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByLabel('Gradient', { exact: true })).toHaveValue('First light 2');
  await page.getByRole('list', { name: 'In the other themes' }).getByRole('button').first().click();
  await expect(page.getByRole('radio', { name: 'Night sailing' })).toBeChecked();
});

test('the whole gradient is made lighter along its families, seen before it is taken; another hue says what it costs', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('fade/first-light');
  const whole = page.getByRole('region', { name: 'The whole gradient' });
  const stops = page.getByRole('region', { name: 'Stops' }).getByRole('listitem');
  const lighter = whole.getByRole('slider', { name: 'Lighter' });
  await lighter.focus();
  for (let i = 0; i < 9; i++) await page.keyboard.press('ArrowRight');
  await expect(lighter).toHaveAttribute('aria-valuetext', '+9');
  await expect(whole.getByRole('status')).toContainText('All 4 linked stops walk along their families.');
  await expect(stops.first()).toContainText('Deepwater 800');
  expect((await onServer(stack, project)).document.gradients[0].stops[0].color.shade).toBe('900');
  expect(await axeFaults(page)).toEqual([]);
  await whole.getByRole('button', { name: 'Reset' }).press('Enter');
  await expect(stops.first()).toContainText('Deepwater 900');
  const hue = whole.getByRole('slider', { name: 'Other hue' });
  await hue.press('End');
  await expect(whole.getByRole('status')).toContainText(
    /of 4 linked stops walk along their families, [34] would become plain colours/,
  );
  await whole.getByRole('button', { name: 'Apply' }).press('Enter');
  await expect(stops.nth(2)).toContainText('#');
  await expect(whole.getByRole('button', { name: 'Apply' })).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(stops.nth(2)).toContainText('Buoy 400');
});

test('a text is tried on a gradient: where it passes stands below the strip, and it is judged in its place at Check', async ({
  page,
  open,
}) => {
  await open('fade/first-light');
  const on = page.getByRole('region', { name: 'Text on it' });
  await on.getByLabel('Text on it').selectOption('hero.text');
  await expect(on.getByRole('status')).toHaveText(
    /^In its box 5\.\d\d at the cross, its worst place: it passes\. Along the whole line it reaches 3 on 0–[89]\d(\.\d)? %; worst 2\.\d\d at 100 %\.$/,
  );
  const strip = (await page.getByTestId('gradient-strip').boundingBox())!;
  const passing = (await page.locator('[data-lane=text] [data-passing]').boundingBox())!;
  expect(passing.x).toBeCloseTo(strip.x, 0);
  expect(passing.width / strip.width).toBeGreaterThan(0.8);
  await on.getByLabel('Has to reach').selectOption('7, body text AAA');
  await expect(on.getByRole('status')).toContainText(
    /falls short of 7\. Along the whole line it reaches 7 on 0–\d\d(\.\d)? %; worst/,
  );
  await on.getByLabel('Has to reach').selectOption('3, large text');
  await on.getByRole('button', { name: 'Check it where it stands' }).click();
  const row = page.getByRole('listitem', { name: 'hero.text on First light', exact: true });
  await expect(row.getByRole('button', { name: /^Text, \d+ × 34 px at 28, / })).toBeVisible();
  await expect(row).toContainText(/passes 3 in Day sailing/);
});

test('a gradient is pasted whole from CSS, linked where shades are near; a text without one is told why', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('fade');
  await page.getByRole('button', { name: 'Paste CSS or SVG …' }).press('Enter');
  const panel = page.getByRole('dialog', { name: 'Paste a gradient' });
  const field = panel.getByLabel('CSS with gradients in it');
  await field.fill('linear-gradient(90deg, #0b5f6b, nothing)');
  await expect(panel.getByRole('status')).not.toBeEmpty();
  await field.fill(
    '.ring { background: repeating-conic-gradient(from 20deg at 30% 120% in oklch longer hue, #0c606c, #e2552b 40% 60%, rgb(0 0 0 / 0.5)) }',
  );
  await expect(panel).toContainText(/2 of 3 colours are linked, ΔE 0\.00\d off at most/);
  expect(await axeFaults(page)).toEqual([]);
  await panel.getByRole('button', { name: 'Apply' }).press('Enter');
  await expect(page.getByLabel('Gradient', { exact: true })).toHaveValue('Pasted');
  await expectSaved(page);
  const { gradients } = (await onServer(stack, project)).document;
  expect(gradients.at(-1)).toMatchObject({
    kind: 'conic',
    from: 20,
    repeating: true,
    space: 'oklch',
    hueWay: 'longer',
    stops: [
      { color: { to: 'base', family: 'deepwater' }, places: [{ value: 0, unit: '%' }] },
      { color: { to: 'base', family: 'buoy' }, places: [{ value: 40 }, { value: 60 }] },
      { color: { to: 'color' }, places: [{ value: 100 }] },
    ],
  });
});

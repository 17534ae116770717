import { stopAt } from '@mint-lamp/core/document/gradients/gradient';
import { expect, expectSaved, onServer, PUBLIC_SHEET, paste, send, test } from '../support/test.ts';

test.describe('Gather', () => {
  test('finds the colours of a large public style sheet in a worker, and merges near-twins', async ({
    page,
    open,
  }) => {
    const wanted = new Set([...PUBLIC_SHEET.matchAll(/#[0-9a-f]{6}\b/gi)].map(([hex]) => hex.toLowerCase()));
    await open('gather');
    await paste(page, PUBLIC_SHEET);
    const tiles = page.getByRole('region', { name: 'Found colours' }).getByRole('checkbox');
    await expect(page.getByRole('status').filter({ hasText: 'colours found' })).toBeVisible();
    // They are drawn over several frames.
    await expect(page.getByRole('region', { name: 'Found colours' })).toHaveAttribute('aria-busy', 'false');
    const all = await tiles.count();
    expect(all).toBeGreaterThan(100);
    const names = (await tiles.evaluateAll((nodes) => nodes.map((node) => node.getAttribute('title'))))
      .join('\n')
      .toLowerCase();
    for (const hex of wanted) expect(names, hex).toContain(hex);
    await page.getByLabel('Merge near-duplicates').check();
    await expect(page.getByText(/merged to \d+/)).toBeVisible();
    expect(await tiles.count()).toBeLessThan(all);
  });

  test('keeps what was pasted while other stations are visited', async ({ page, open }) => {
    await open('gather');
    await page.getByLabel('Text with colours').fill('#123456');
    await page.getByRole('link', { name: 'Stage' }).click();
    await page.getByRole('link', { name: 'Gather' }).click();
    await expect(page.getByLabel('Text with colours')).toHaveValue('#123456');
  });
});

test.describe('Grow', () => {
  test('a dragged base moves its shades, roles and readout live, and one undo takes it back', async ({
    page,
    open,
    stack,
    project,
  }) => {
    await open('grow/buoy');
    const shade = page.getByRole('link', { name: /^Buoy 700,/ });
    const before = await shade.getAttribute('aria-label');
    const base = page.getByRole('slider', { name: /^Base of Buoy/ });
    const box = (await base.boundingBox())!;
    await page.mouse.move(box.x + 12, box.y + 12);
    await page.mouse.down();
    await page.mouse.move(box.x - 60, box.y + 12, { steps: 6 });
    // While the button is still down, all has followed and nothing is saved yet.
    await expect(shade).not.toHaveAttribute('aria-label', before!);
    await expect(page.getByText('before', { exact: true })).toBeVisible();
    expect((await onServer(stack, project)).document.families[1].base).toBe('#e2552b');
    await page.mouse.up();
    await expect
      .poll(async () => (await onServer(stack, project)).document.families[1].base)
      .not.toBe('#e2552b');
    await expectSaved(page);
    await page.keyboard.press('Control+z');
    await expect(shade).toHaveAttribute('aria-label', before!);
    await page.keyboard.press('Shift+Control+z');
    await expect(shade).not.toHaveAttribute('aria-label', before!);
  });

  test('the marks move with the ground, and only shades beyond them are lit', async ({ page, open }) => {
    await open('grow');
    const mark = page.getByRole('button', { name: /^Mark 4.5 to 1/ });
    await expect(mark).toHaveCount(1);
    const onPage = await mark.getAttribute('aria-label');
    const against = async (color: string) => {
      await page.getByRole('button', { name: /^First ground of the marks/ }).click();
      await page.getByLabel('Plain colour').fill(color);
      await page.keyboard.press('Enter');
    };
    await against('white');
    await expect(mark).toHaveAttribute('aria-label', 'Mark 4.5 to 1, at L* 49.9');
    expect(onPage).not.toBe('Mark 4.5 to 1, at L* 49.9');
    await against('#000');
    await expect(mark).toHaveAttribute('aria-label', 'Mark 4.5 to 1, at L* 48.9');
    await expect(page.getByText('Lit shades reach 4.5 to 1 on #000000')).toBeVisible();
  });

  test('the lamp edits in every model, says what it copies, and goes back', async ({ page, open }) => {
    await open('grow/kelp');
    const lamp = page.getByRole('complementary', { name: 'Lamp' });
    for (const model of ['HSL', 'HSV', 'RGB', 'CMYK', 'Lab', 'OKLCH']) {
      await lamp.getByRole('button', { name: model, exact: true }).click();
      const was = await lamp.getByLabel('Any CSS colour').inputValue();
      await lamp.getByRole('slider').nth(1).press('ArrowLeft');
      for (let i = 0; i < 9; i++) await lamp.getByRole('slider').nth(1).press('Shift+ArrowLeft');
      await expect(lamp.getByLabel('Any CSS colour')).not.toHaveValue(was);
    }
    await lamp.getByLabel('Any CSS colour').fill('#CFF00');
    await lamp.getByLabel('Any CSS colour').press('Enter');
    await expect(lamp.getByRole('alert')).toHaveText('A hex code has 3, 4, 6 or 8 digits; this has 5.');
    await lamp.getByLabel('Any CSS colour').press('Escape');
    await lamp.getByRole('button', { name: /^Back to #3f7d3a/ }).click();
    await expect(lamp.getByLabel('Any CSS colour')).toHaveValue('#3f7d3a');
    await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
    await lamp.getByRole('button', { name: 'Copy #3f7d3a' }).click();
    await expect(lamp.getByText('Copied')).toBeVisible();
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('#3f7d3a');
  });

  test('a shade set by hand is counted, named and returned to its growth', async ({ page, open }) => {
    await open('grow/kelp/300');
    const lamp = page.getByRole('complementary', { name: 'Lamp' });
    const grown = await lamp.getByLabel('Any CSS colour').inputValue();
    await lamp.getByLabel('Any CSS colour').fill('tomato');
    await lamp.getByLabel('Any CSS colour').press('Enter');
    await page.getByRole('button', { name: '1 hand-set shade' }).click();
    await expect(page.getByRole('link', { name: 'Kelp 300', exact: true }).last()).toBeVisible();
    await page.keyboard.press('Escape');
    await lamp.getByRole('button', { name: 'Reset to growth' }).click();
    await expect(lamp.getByLabel('Any CSS colour')).toHaveValue(grown);
  });

  test('a family grows by mixing, over a ground and by contrast; bad entries say what would be right', async ({
    page,
    open,
  }) => {
    await open('grow/deepwater');
    const growth = page.getByRole('region', { name: 'Growth' });
    const shades = page.getByRole('region', { name: 'Deepwater' }).getByRole('list').first();
    const shade = (n: number) => shades.getByRole('listitem').nth(n);
    await expect(shade(3)).toContainText('700#0b5f6b');
    await growth.getByLabel('Grows by').selectOption('Tints, mixed with white');
    await expect(shade(0)).toContainText('950#0b5f6b');
    await expect(page.getByLabel('Readout')).toContainText('0 broken links');
    await growth.getByLabel('Grows by').selectOption('Contrast on a ground');
    await expect(growth.getByRole('button', { name: 'Ground of the growth: #f0f9f8' })).toBeVisible();
    await expect(shades).toContainText(/4\.5\d/);
    const ratios = growth.getByLabel('Ratios, one for each of 11 shades');
    await ratios.fill('3 4.5');
    await ratios.press('Enter');
    await expect(growth.getByRole('alert')).toHaveText('11 ratios are needed, these are 2');
    await ratios.press('Escape');
    await growth.getByLabel('Labels, light to dark').fill('pale mid mid');
    await page.keyboard.press('Enter');
    await expect(growth.getByRole('alert')).toHaveText('Every label is needed once; mid is there twice');
    await growth.getByLabel('Labels, light to dark').fill('pale mid deep');
    await page.keyboard.press('Enter');
    await expect(shades.getByRole('listitem')).toHaveCount(3);
    await expect(growth.getByLabel('Ratios, one for each of 3 shades')).toBeVisible();
    await expect(page.getByLabel('Readout')).not.toContainText('0 broken links');
    await growth.getByLabel('Grows by').selectOption('Opacity over a ground');
    await growth.getByRole('button', { name: /^Ground of the growth/ }).click();
    await page.getByLabel('Plain colour').fill('rgb(0 0 0 / 50%)');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('A ground is opaque');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    // Undo works from inside a field that holds nothing new, and from a list.
    await page.keyboard.press('Control+z');
    await growth.getByLabel('Grows by').focus();
    for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
    await expect(shade(3)).toContainText('700#0b5f6b');
    await expect(page.getByLabel('Readout')).toContainText('0 broken links');
  });

  test('a tray colour dragged onto a rail becomes its base', async ({ page, open }) => {
    await open('grow');
    const from = (await page
      .getByRole('region', { name: 'Tray' })
      .getByRole('button', { name: 'Pier slate' })
      .boundingBox())!;
    const to = (await page.getByRole('slider', { name: /^Base of Shingle/ }).boundingBox())!;
    await page.mouse.move(from.x + 20, from.y + 20);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y, { steps: 3 });
    await page.mouse.move(to.x + 100, to.y + 20, { steps: 8 });
    await page.mouse.up();
    await expect(page.getByRole('slider', { name: /^Base of Shingle/ })).toHaveAttribute(
      'aria-valuetext',
      /#3d4a4d/,
    );
  });
});

test.describe('Assign', () => {
  test('roles are added, renamed, linked, given opacity and removed; faults are told', async ({
    page,
    open,
  }) => {
    await open('assign');
    await page.getByRole('button', { name: 'New role …' }).click();
    const name = page.getByLabel('Name, such as');
    const add = page.getByRole('button', { name: 'Add the role' });
    await name.fill('text/main');
    await add.click();
    await expect(page.getByRole('alert')).toHaveText(
      'A name has no "/" in it: write dots between groups, as in text.main.',
    );
    await name.fill('text main');
    await add.click();
    // A refusal is told where the name was typed.
    const fault = page.getByRole('dialog').getByRole('alert');
    await expect(fault).toHaveText('There is a role text.main already; choose another name.');
    await name.fill('text-main');
    await add.click();
    await expect(fault).toContainText('text-main would have the same CSS name as the role text.main');
    await name.fill('ticket ground');
    await page.getByLabel('Begin with the links of').selectOption('page.raised');
    await add.click();
    const cell = page.getByRole('button', { name: /^ticket\.ground in Night sailing/ });
    await cell.click();
    const picker = page.getByRole('dialog');
    await picker.getByLabel('Plain colour').fill('#zzz');
    await picker.getByLabel('Plain colour').press('Enter');
    await expect(picker.getByRole('alert')).toContainText('not a hex digit');
    await picker.getByRole('button', { name: 'Lantern 900' }).click();
    await expect(cell).toHaveAccessibleName('ticket.ground in Night sailing: Lantern 900');
    await expect(page.getByRole('radio', { name: 'Night sailing' })).toBeChecked();
    await cell.click();
    await page.getByRole('dialog').getByLabel('Opacity').fill('40');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await expect(cell).toHaveAccessibleName('ticket.ground in Night sailing: Lantern 900 at 40 %');
    await page.getByRole('button', { name: 'Remove ticket.ground' }).click();
    await expect(cell).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(cell).toBeVisible();
  });

  test('groups are headings; a group renamed there takes its roles along, and a role moves by its name', async ({
    page,
    open,
  }) => {
    await open('assign');
    const group = page.getByLabel('Name of the group notice.delay', { exact: true });
    await expect(group).toHaveValue('notice.delay');
    await expect(page.getByLabel('Name of notice.delay.text', { exact: true })).toHaveValue('text');
    await group.fill('notice late');
    await group.press('Enter');
    await expect(page.getByLabel('Name of notice.late.text', { exact: true })).toHaveValue('text');
    await page.keyboard.press('Control+z');
    const text = page.getByLabel('Name of notice.delay.text', { exact: true });
    await text.fill('board.late');
    await text.press('Enter');
    await expect(page.getByLabel('Name of board.late', { exact: true })).toHaveValue('late');
    await page.getByLabel('Name of board.late', { exact: true }).fill('late/r');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('A name has no "/" in it');
    await page.getByLabel('Name of board.late', { exact: true }).fill('quiet');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('row').getByRole('alert')).toHaveText(
      'There is a role board.quiet already; choose another name.',
    );
  });

  test('themes are copied, renamed and removed', async ({ page, open }) => {
    await open('assign');
    await page.getByRole('button', { name: 'Themes …' }).click();
    const name = page.getByLabel('New theme, a copy of Day sailing');
    const add = page.getByRole('button', { name: 'Add', exact: true }).last();
    await name.fill('Night sailing');
    await add.click();
    await expect(page.getByRole('dialog').getByRole('alert')).toHaveText(
      'There is a theme named "Night sailing" already; choose another name.',
    );
    await name.fill('Deck glare');
    await add.click();
    await expect(page.getByRole('button', { name: 'text.main in Deck glare: Deepwater 950' })).toBeAttached();
    await page.getByRole('button', { name: 'Remove Night sailing' }).click();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('radio')).toHaveCount(2);
    await expect(page.getByLabel('Readout')).toContainText(
      '17 of 18 pairs pass in Day sailing, 34 of 36 overall',
    );
  });
});

test('Check keeps the order while a pair is mended, and its figures are never rounded up', async ({
  page,
  open,
}) => {
  await open('check');
  const rows = page.getByRole('list', { name: 'Pairs, worst first' }).getByRole('listitem');
  await expect(rows.nth(2)).toContainText('4.27');
  await rows
    .nth(2)
    .getByRole('button', { name: /^Use Lantern 700 for the text: 6.01/ })
    .click();
  await expect(rows.nth(2)).toContainText('6.01');
  await expect(rows.nth(2)).toContainText('passes 4.5 in Day sailing');
  await page.keyboard.press('Control+z');
  await expect(rows.nth(2)).toContainText('4.27');
  await rows.nth(5).getByRole('button').first().click();
  await rows.nth(5).getByLabel('Content').selectOption('large text');
  await rows.nth(5).getByLabel('Size (px)').fill('20');
  await page.keyboard.press('Enter');
  await expect(rows.nth(5)).toContainText('At 20 px and weight 400 this is body text: it needs 4.5.');
  await expect(rows.nth(5).getByLabel('Content')).toHaveValue('body');
  await rows.nth(5).getByLabel('Weight').fill('700');
  await page.keyboard.press('Enter');
  await expect(rows.nth(5)).toContainText('this is large text: it needs 3.');
  await expect(rows.nth(5).getByLabel('Content')).toHaveValue('large');
});

test('Fade: stops are added, moved by key and number, linked, and removed by button and by Delete', async ({
  page,
  open,
}) => {
  await open('fade/first-light');
  const stops = page.getByRole('region', { name: 'Stops' }).getByRole('listitem');
  await expect(stops).toHaveCount(4);
  await page.getByRole('button', { name: 'Add a stop', exact: true }).click();
  await expect(stops).toHaveCount(5);
  await expect(stops.nth(1)).toContainText('#');
  const second = page.getByRole('slider', { name: 'Stop 2' });
  await second.focus();
  await second.press('Shift+ArrowRight');
  await expect(page.getByLabel('Place of Stop 2')).toHaveValue('28');
  await page.getByLabel('Place of Stop 2').fill('150');
  await page.getByLabel('Place of Stop 2').press('Enter');
  await expect(page.getByRole('alert')).toHaveText('A number from 0 to 100');
  await page.getByLabel('Place of Stop 2').press('Escape');
  await second.focus();
  await second.press('Delete');
  await expect(stops).toHaveCount(4);
  await page.getByRole('button', { name: 'Remove Stop 4' }).click();
  await expect(stops).toHaveCount(3);
  await stops.nth(1).getByRole('button', { name: 'Deepwater 600' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'action.fill' }).click();
  await expect(stops.nth(1)).toContainText('action.fill');
  const handle = page.getByRole('slider', { name: 'Stop 2' });
  await expect(handle).toHaveAttribute('aria-valuetext', '46 %, #0b5f6b');
  await page.getByRole('radio', { name: 'Night sailing' }).click();
  await expect(handle).toHaveAttribute('aria-valuetext', '46 %, #81b9bf');
  await handle.scrollIntoViewIfNeeded();
  const box = (await handle.boundingBox())!;
  const x = box.x + box.width / 2;
  await page.mouse.move(x, box.y + 12);
  await page.mouse.down();
  await page.mouse.move(x + 100, box.y + 12, { steps: 5 });
  await page.mouse.up();
  await expect(handle).not.toHaveAttribute('aria-valuenow', '46');
  for (let i = 0; i < 5; i++) await page.keyboard.press('Control+z');
  await expect(stops).toHaveCount(5);
});

test('Fade: a grey dip is told and healed, and told again when the cure is undone', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('fade/first-light');
  const faults = page.getByRole('list', { name: 'Worth a look' });
  await expect(faults).toContainText('Greyer at 57 %');
  await faults.getByRole('button', { name: 'Add a stop there that keeps the colour' }).click();
  await expect(faults).toHaveCount(0);
  await expect(page.getByLabel('Place of Stop 3')).toHaveValue('57');
  await page.keyboard.press('Control+z');
  await expect(faults).toContainText('Greyer at 57 %');
  // What is pointed at is shown as if it were done, and goes on upon what others do.
  await page.mouse.move(2, 2);
  // A stop that has lost its colour is passed over, and the others keep their numbers.
  const added = [
    stopAt('lost', 1, { to: 'role', role: 'gone' }),
    stopAt('twin-1', 90, { to: 'color', color: '#d09a20' }),
    stopAt('twin-2', 91, { to: 'color', color: '#d19b21' }),
  ];
  await send(
    stack,
    project,
    added.map((stop) => ({ type: 'addStop', gradient: 'first-light', stop })),
  );
  await expect(faults).toContainText('Stop 5 and Stop 6 can hardly be told apart');
});

test('Check offers the nearest plain colour where a pair hangs on plain colours', async ({
  page,
  open,
  stack,
  project,
}) => {
  const role = (id: string, color: string) => ({
    type: 'setLink',
    role: id,
    theme: 'day',
    link: { to: 'color', color },
  });
  await send(stack, project, [role('accent-text', '#ffffff'), role('accent-fill', '#ef7a62')]);
  await open('check');
  const row = page.getByRole('listitem', { name: 'accent.text on accent.fill' });
  await expect(row).toContainText('needs 3 in Day sailing');
  await row.getByRole('button', { name: /^Use #[0-9a-f]{6} for the ground: 3\.\d\d$/ }).click();
  await expect(row).toContainText('passes 3 in Day sailing');
});

test('the tray is sorted by keyboard, emptied after a question, and comes back', async ({ page, open }) => {
  await open('grow');
  const tray = page.getByRole('region', { name: 'Tray' });
  const first = tray.getByRole('listitem').first();
  await expect(first).toContainText('Letterhead');
  await tray.getByRole('button', { name: 'Letterhead' }).focus();
  // Each step is said aloud once it has happened; the next key waits for that.
  const said = page.locator('[aria-live]');
  await page.keyboard.press('Space');
  await expect(said.filter({ hasText: 'Letterhead is over Letterhead.' })).toHaveCount(1);
  await page.keyboard.press('ArrowRight');
  await expect(said.filter({ hasText: 'Letterhead is over Funnel paint.' })).toHaveCount(1);
  await page.keyboard.press('Space');
  await expect(said.filter({ hasText: 'Letterhead is put down at Funnel paint.' })).toHaveCount(1);
  await expect(first).toContainText('Funnel paint');
  await tray.getByRole('button', { name: 'Mooring rope' }).press('Delete');
  await expect(tray.getByRole('listitem')).toHaveCount(3);
  await tray.getByRole('button', { name: 'Clear the tray' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Clear the tray' }).click();
  await expect(tray).toContainText('Your collected colours wait here.');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(tray.getByRole('listitem')).toHaveCount(4);
});

test('a link to the base stays with the base; what was linked to its shade is told, and linked to it', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow/deepwater');
  const linksOf = async () => {
    const { roles } = (await onServer(stack, project)).document;
    return roles.find(({ id }: { id: string }) => id === 'action-fill').links.day;
  };
  expect(await linksOf()).toMatchObject({ to: 'shade', shade: '700' });
  // Lighter by keys: it leaves 700, which is told at once.
  for (let i = 0; i < 12; i++) await page.keyboard.press('l');
  const told = page.getByRole('status').filter({ hasText: /stay at 700, which the base has left/ });
  await expect(told).toBeVisible();
  await expectSaved(page);
  await page.getByRole('button', { name: 'Link them to the base' }).click();
  await expect(told).toBeHidden();
  await expectSaved(page);
  expect(await linksOf()).toEqual({ to: 'base', family: 'deepwater' });

  await open('assign/action-fill');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  await expect(lamp.getByRole('link', { name: 'Deepwater base' })).toBeVisible();
  await lamp.getByRole('button', { name: 'Link to another …' }).click();
  await page.getByRole('button', { name: 'Buoy base', exact: true }).click();
  await expectSaved(page);
  expect(await linksOf()).toEqual({ to: 'base', family: 'buoy' });
});

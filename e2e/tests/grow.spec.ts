import type { Page } from '@playwright/test';
import { axeFaults, expect, expectSaved, onServer, test } from '../support/test.ts';

const region = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const families = async (stack: Parameters<typeof onServer>[0], id: string) =>
  (await onServer(stack, id)).document.families as {
    id: string;
    name: string;
    base: string;
    follows: { by: string; family: string } | null;
    growth: { kind: string; labels: string[]; ground?: unknown };
    handSet: Record<string, string>;
  }[];
const names = async (...of: Parameters<typeof families>) => (await families(...of)).map(({ name }) => name);
/** The code of a shade of the open family. */
const code = (page: Page, family: string, label: string) =>
  page
    .getByRole('list', { name: `Shades of ${family}` })
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: `${family} ${label}`, exact: true }) })
    .getByRole('button');

test('rails are put in another order by drag and by keyboard; families are duplicated, split and removed with a replacement', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow/kelp');
  const grip = page.getByRole('button', { name: 'Move Kelp' });
  await grip.focus();
  await page.keyboard.press('ArrowUp');
  await expectSaved(page);
  expect((await names(stack, project)).slice(0, 3)).toEqual(['Deepwater', 'Kelp', 'Buoy']);
  const from = (await grip.boundingBox())!;
  const to = (await page.getByRole('button', { name: 'Move Shingle' }).boundingBox())!;
  await page.mouse.move(from.x + 6, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 6, from.y + 40, { steps: 4 });
  await page.mouse.move(to.x + 6, to.y + 24, { steps: 8 });
  await expect(page.getByText(/^Kelp is over Shingle/)).toBeAttached();
  await page.mouse.up();
  await expect.poll(async () => (await names(stack, project)).at(-1)).toBe('Kelp');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');

  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(region(page, 'Kelp 2')).toBeVisible();
  await page.getByRole('button', { name: 'Split …' }).click();
  await page.getByLabel('The darker part begins at').selectOption('700');
  await page.getByRole('button', { name: 'Split in two' }).click();
  await expect(page.getByText('Kelp 2 is two families now; no colour has changed')).toBeVisible();
  await expectSaved(page);
  expect(
    (await families(stack, project)).slice(3, 5).map(({ name, growth }) => [name, growth.labels.length]),
  ).toEqual([
    ['Kelp 2', 7],
    ['Kelp 2 dark', 4],
  ]);

  // Removing the one that roles use asks what those should use.
  await page.getByRole('link', { name: 'Kelp', exact: true }).click();
  await expect(region(page, 'Kelp')).toBeVisible();
  await page.getByRole('button', { name: 'Remove …' }).click();
  await expect(page.getByRole('dialog')).toContainText('2 things use Kelp:');
  await page.getByRole('dialog').getByLabel('Other family', { exact: true }).selectOption('Flare');
  await page.getByRole('button', { name: 'Remove Kelp' }).click();
  await expect(page.getByLabel('Readout')).toContainText('0 broken links');
  await expectSaved(page);
  const { roles } = (await onServer(stack, project)).document;
  const ontime = roles.find(({ id }: { id: string }) => id === 'notice-ontime-text');
  expect(ontime.links.day).toEqual({ to: 'shade', family: 'flare', shade: '700' });
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('link', { name: 'Kelp', exact: true })).toBeVisible();
});

test('a family follows another until it is cut, by keyboard; circles are refused by their names', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow/kelp');
  const kelp = page.getByRole('slider', { name: /^Base of Kelp/ });
  await page.getByRole('button', { name: 'Its own colour …' }).press('Enter');
  await page.getByLabel('The base of Kelp is').selectOption('Another’s hue, turned');
  await page.getByRole('button', { name: '−30°' }).press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: '-30° from Deepwater' })).toBeVisible();
  const followed = await kelp.getAttribute('aria-valuetext');
  await page.getByRole('slider', { name: /^Base of Deepwater/ }).press('Shift+ArrowRight');
  await expect(kelp).not.toHaveAttribute('aria-valuetext', followed!);
  // Moved on its own rail, it stays turned and is lighter by so much.
  await page.getByRole('link', { name: 'Kelp', exact: true }).click();
  await kelp.press('Shift+ArrowRight');
  await expectSaved(page);
  const own = (await families(stack, project)).find(({ id }) => id === 'kelp')!;
  expect(own.follows).toMatchObject({ by: 'turn', family: 'deepwater', lightness: expect.any(Number) });
  expect((own.follows as unknown as { lightness: number }).lightness).toBeGreaterThan(0.02);

  // What it follows cannot follow it.
  await page.getByRole('link', { name: 'Deepwater', exact: true }).click();
  await page.getByRole('button', { name: 'Its own colour …' }).click();
  await expect(page.getByRole('dialog')).toContainText('It cannot follow Kelp, which follows it.');
  await page.getByLabel('The base of Deepwater is').selectOption('Between two others');
  await expect(page.getByLabel('Second family').getByRole('option')).toHaveText([
    'Buoy',
    'Lantern',
    'Flare',
    'Shingle',
  ]);
  expect(await axeFaults(page)).toEqual([]);
  await page.getByLabel('The base of Deepwater is').selectOption('Its own colour');
  await page.keyboard.press('Escape');

  // A base between two others says so when it is dragged, and is free once it is cut.
  await page.getByRole('link', { name: 'Kelp', exact: true }).click();
  await page.getByRole('button', { name: '-30° from Deepwater' }).click();
  await page.getByLabel('The base of Kelp is').selectOption('Between two others');
  await page.keyboard.press('Escape');
  await kelp.press('ArrowRight');
  await expect(page.getByText('Kelp lies between two families and has no base of its own')).toBeVisible();
  const between = await kelp.getAttribute('aria-valuetext');
  await page.getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Its own colour …' })).toBeVisible();
  await expect(kelp).toHaveAttribute('aria-valuetext', between!);
  await kelp.press('ArrowRight');
  await expect(kelp).not.toHaveAttribute('aria-valuetext', between!);
});

test('curves are drawn by mouse and keys; shades come and go, and the others stay', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow/deepwater/300');
  const point = page.getByRole('slider', { name: 'Lightness of 200' });
  await point.scrollIntoViewIfNeeded();
  const before = await code(page, 'Deepwater', '200').textContent();
  const other = await code(page, 'Deepwater', '400').textContent();
  const box = (await point.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 5, { steps: 5 });
  await expect(page.getByText('Dashed: as it was before.')).toBeVisible();
  await page.mouse.up();
  await expect(code(page, 'Deepwater', '200')).not.toHaveText(before!);
  await expect(code(page, 'Deepwater', '400')).toHaveText(other!);
  await expect(page.getByLabel('Grows by')).toHaveValue('drawn');
  const chroma = page.getByRole('slider', { name: 'Chroma of 400' });
  const was = Number(await chroma.getAttribute('aria-valuenow'));
  await chroma.press('Shift+ArrowUp');
  await expect
    .poll(async () => Number(await chroma.getAttribute('aria-valuenow')))
    .toBeCloseTo(was + 0.025, 2);
  await chroma.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(code(page, 'Deepwater', '200')).toHaveText(before!);

  const tools = page.getByRole('group', { name: 'Deepwater 300' });
  await tools.getByRole('button', { name: 'Insert a lighter one' }).click();
  await expect(page.getByRole('group', { name: 'Deepwater 250' })).toBeVisible();
  await expect(code(page, 'Deepwater', '200')).toHaveText(before!);
  // A role uses 300 in one of the themes: it is asked for another.
  await page.getByRole('link', { name: 'Deepwater 300', exact: true }).click();
  await tools.getByRole('button', { name: 'Remove it …' }).click();
  await expect(page.getByRole('dialog')).toContainText('Used by text.link');
  await page.getByLabel('Use this instead').selectOption('Deepwater 250, lighter');
  await page.getByRole('button', { name: 'Remove 300' }).click();
  await expectSaved(page);
  await expect(page.getByLabel('Readout')).toContainText('0 broken links');
  const { families: now, roles } = (await onServer(stack, project)).document;
  expect(now[0].growth.labels).not.toContain('300');
  expect(roles.find(({ id }: { id: string }) => id === 'text-link').links.night.shade).toBe('250');
  await expect(page.getByRole('button', { name: 'Remove it …' })).toBeDisabled();

  const growth = region(page, 'Growth');
  await growth.getByLabel('Shades', { exact: true }).fill('4');
  await page.keyboard.press('Enter');
  await expect(growth.getByRole('alert')).toContainText('More shades than that are in use');
  await growth.getByLabel('Shades', { exact: true }).fill('13');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Shades of Deepwater' }).getByRole('listitem')).toHaveCount(13);
  await expect(code(page, 'Deepwater', '200')).toHaveText(before!);
  await growth.getByRole('button', { name: 'Reverse the labels' }).click();
  await expect(code(page, 'Deepwater', '950')).not.toHaveText('#07191e');
});

test('a recipe is kept, tried on the rails and applied with one undo; a growth’s ground follows a role', async ({
  page,
  open,
  goOn,
  stack,
  project,
}) => {
  await open('grow/lantern');
  const growth = region(page, 'Growth');
  await growth.getByLabel('Grows by').selectOption('Contrast on a ground');
  await growth.getByRole('button', { name: /^Ground of the growth/ }).click();
  await page.getByRole('button', { name: 'page.raised' }).click();
  await expect(growth.getByRole('button', { name: 'Ground of the growth: #ffffff' })).toContainText(
    'page.raised in Day sailing',
  );
  // The role moves, and the growth with it.
  const lightest = await code(page, 'Lantern', '50').textContent();
  await page.getByRole('link', { name: 'Assign' }).click();
  await page.getByRole('button', { name: 'page.raised in Day sailing' }).first().click();
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  await expect(lamp.getByRole('heading', { name: 'page.raised' })).toBeVisible();
  await lamp.getByLabel('Any CSS colour').fill('#d0d0d0');
  await page.keyboard.press('Enter');
  await goOn('grow/shingle');
  // What the page lies on is one of its own shades.
  await growth.getByLabel('Grows by').selectOption('Opacity over a ground');
  await growth.getByRole('button', { name: /^Ground of the growth/ }).click();
  await page.getByRole('button', { name: 'page.ground', exact: true }).click();
  await expect(page.getByRole('dialog').getByRole('alert')).toHaveText(
    'Shingle would come of itself: Shingle → page.ground → Shingle.',
  );
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await goOn('grow/lantern');
  await expect(growth.getByRole('button', { name: 'Ground of the growth: #d0d0d0' })).toBeVisible();
  await expect(code(page, 'Lantern', '50')).not.toHaveText(lightest!);

  await page.getByRole('button', { name: 'Keep this growth' }).click();
  await page.getByRole('textbox', { name: 'Name of the recipe As Lantern' }).fill('Readable');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Apply …' }).click();
  const choice = page.getByRole('group', { name: 'Apply Readable to' });
  // The ground is a plain colour now, so every family fits.
  for (const name of ['Deepwater', 'Buoy', 'Kelp', 'Flare'])
    await expect(choice.getByLabel(name)).toBeChecked();
  await choice.getByLabel('Deepwater').uncheck();
  await expect(page.getByTestId('was-here')).toHaveCount(4);
  expect((await families(stack, project))[2]!.growth.kind).toBe('lightness');
  expect(await axeFaults(page)).toEqual([]);
  await choice.getByRole('button', { name: 'Apply', exact: true }).click();
  await expect(page.getByText('4 families grow by Readable now; one undo takes it back')).toBeVisible();
  await expect(page.getByTestId('was-here')).toHaveCount(0);
  await expectSaved(page);
  const kinds = async () => (await families(stack, project)).map(({ growth: { kind } }) => kind);
  expect(await kinds()).toEqual(['lightness', 'contrast', 'contrast', 'contrast', 'contrast', 'contrast']);
  await page.keyboard.press('Control+z');
  await expectSaved(page);
  expect(await kinds()).toEqual([
    'lightness',
    'lightness',
    'lightness',
    'contrast',
    'lightness',
    'lightness',
  ]);
});

test('what was set by hand stays behind a moved base, is told, and becomes what the designer says', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow/deepwater/800');
  const lamp = page.getByRole('complementary', { name: 'Lamp' });
  const set = async (color: string) => {
    await page.getByRole('link', { name: 'Deepwater 800', exact: true }).click();
    await lamp.getByLabel('Any CSS colour').fill(color);
    await page.keyboard.press('Enter');
  };
  await set('#3a2a6b');
  await expect(page.getByText('set by hand; growth gives #004752')).toBeVisible();
  await expect(page.getByTestId('grown')).toHaveCount(1);
  await page.getByRole('slider', { name: /^Base of Deepwater/ }).press('ArrowRight');
  await expect(page.getByText('One hand-set shade left behind: 800.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText(/left behind/)).toBeHidden();
  await page.getByRole('slider', { name: /^Base of Deepwater/ }).press('ArrowRight');
  await page.getByRole('status').getByRole('button', { name: 'Reset it to growth' }).click();
  await expect(page.getByLabel('Readout')).toContainText('0 hand-set shades');

  await set('#3a2a6b');
  await page.getByRole('button', { name: 'Turn into a family' }).click();
  await expect(region(page, 'Deepwater 800')).toBeVisible();
  await expectSaved(page);
  const { roles } = (await onServer(stack, project)).document;
  const hover = roles.find(({ id }: { id: string }) => id === 'action-hover');
  expect(hover.links.day).toMatchObject({ to: 'base' });
  await page.keyboard.press('Control+z');
  await page.getByRole('link', { name: 'Deepwater', exact: true }).click();
  await page.getByRole('link', { name: 'Deepwater 800', exact: true }).click();
  await page.getByRole('button', { name: 'Make it the base' }).click();
  await expectSaved(page);
  expect((await families(stack, project))[0]).toMatchObject({ base: '#3a2a6b', handSet: {} });
});

test('marks stand against two grounds at once; what the system needs leads to its things', async ({
  page,
  open,
}) => {
  await open('grow');
  await page.getByRole('button', { name: 'and a second …' }).click();
  await page.getByRole('button', { name: 'Deepwater 950', exact: true }).click();
  await expect(page.getByText('Lit shades reach 4.5 to 1 on page.ground and on Deepwater 950')).toBeVisible();
  // Nothing is dark enough for the one and light enough for the other.
  await expect(page.getByTitle(/^4.5 to 1 on Deepwater 950 begins at/)).toBeVisible();
  await page.getByRole('button', { name: 'Mark 3 to 1', exact: false }).click();
  await expect(page.getByText('Lit shades reach 3 to 1 on page.ground and on Deepwater 950')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Second ground of the marks: Deepwater 950' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove the second ground' }).click();
  await expect(page.getByText('Lit shades reach 4.5 to 1 on page.ground; dim ones do not.')).toBeVisible();

  const needs = region(page, 'What the system needs');
  await expect(needs).toContainText('A dark on the lightest ground, 18.42');
  await needs.getByRole('button', { name: '4 hues in use, more than about 3' }).click();
  const shares = page.getByRole('dialog');
  await expect(shares.getByRole('listitem').first()).toContainText('Deepwater');
  // Its pixels are counted first.
  await expect(shares.getByRole('listitem').first()).toContainText('%');
  const first = Number(/([\d.]+) %/.exec((await shares.getByRole('listitem').first().textContent())!)![1]);
  expect(first).toBeGreaterThan(5);
  expect(first).toBeLessThan(80);
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await needs.getByRole('button', { name: /shades unused$/ }).click();
  await page.getByRole('dialog').getByRole('link', { name: '500' }).first().click();
  await expect(page).toHaveURL(/\/grow\/\w+\/500$/);
});

import { shippedNames } from '@mint-lamp/core/names/names';
import type { Page } from '@playwright/test';
import { axeFaults, expect, expectSaved, onServer, post, test } from '../support/test.ts';

const cards = (page: Page) => page.getByRole('list', { name: 'Sets on the shelf' }).locator('> li');
const card = (page: Page, name: string) => page.getByRole('listitem', { name, exact: true });
test('sets are found by words and by a colour, loaded as one scrolls, favoured and adopted', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('gather/shelf');
  await expect(cards(page)).toHaveCount(24);
  await page.getByRole('main').evaluate((main) => main.scrollTo(0, main.scrollHeight));
  await expect.poll(() => cards(page).count()).toBeGreaterThan(24);

  await page.getByLabel(/By words/).fill('oxid');
  await expect(cards(page)).toHaveCount(1);
  await page.getByLabel(/By words/).fill('');
  // All are there again: what comes late would move the cards while one is pressed.
  await expect.poll(() => cards(page).count()).toBeGreaterThan(1);
  await page.getByLabel('Near a colour').fill('#4a9583');
  await page.keyboard.press('Enter');
  await expect(card(page, 'Oxidised copper')).toBeVisible();
  await expect(card(page, 'Brick and lime')).toBeHidden();
  await page.getByLabel('Near a colour').fill('nothing');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
  await page.keyboard.press('Escape');
  // What it said takes room: the cards move up when it goes.
  await expect(page.getByRole('alert')).toBeHidden();

  // However long it takes to arrive, what is searched next knows of it.
  await page.route('**/favour', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 400));
    await route.continue();
  });
  await page.getByRole('button', { name: 'Add Oxidised copper to favourites' }).click();
  await expect(page.getByRole('button', { name: 'Remove Oxidised copper from favourites' })).toHaveText('1');
  await page.getByLabel('Which').selectOption('My favourites');
  await expect(cards(page)).toHaveCount(1);
  await page.getByRole('button', { name: 'Adopt Oxidised copper …' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('This adds 5 colours in the tray, in a group of that name.');
  await dialog.getByRole('button', { name: 'Adopt', exact: true }).click();
  await expect(card(page, 'Oxidised copper')).toContainText('adopted 1 ×');
  await expectSaved(page);
  const tray = async () => (await onServer(stack, project)).document.tray;
  expect(
    (await tray()).slice(-5).map(({ color, group }: { color: string; group: string }) => [color, group])[3],
  ).toEqual(['#a8562f', 'Oxidised copper']);
  await page.keyboard.press('Control+z');
  await expectSaved(page);
  expect(await tray()).toHaveLength(4);

  await page.getByLabel('Which').selectOption('All sets');
  await page.getByLabel('Near a colour').fill('');
  await page.keyboard.press('Enter');
  await page.getByLabel(/By words/).fill('tide');
  await page.getByRole('button', { name: 'Adopt Tide going out …' }).click();
  await dialog.getByRole('button', { name: 'Adopt', exact: true }).click();
  await page.getByRole('button', { name: 'See at Fade' }).click();
  await expect(page.getByRole('heading', { name: 'Fade', level: 1 })).toBeVisible();
  await expectSaved(page);
  const { gradients } = (await onServer(stack, project)).document;
  expect(gradients.at(-1)).toMatchObject({ name: 'Tide going out', kind: 'linear', space: 'oklab' });
});

test('what is published is called anything and runs nowhere, is found, and is taken back; a whole system is read', async ({
  page,
  open,
  stack,
}) => {
  await open('gather/shelf');
  const name = `<img src=x onerror="document.title='run'"> ${crypto.randomUUID().slice(0, 8)}`;
  await page.getByRole('button', { name: 'Publish …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What').selectOption({ label: 'Kelp' });
  await dialog.getByLabel('Name').fill(name);
  await dialog.getByLabel(/Words/).fill('<script>document.title="run"</script> seaweed');
  await dialog.getByRole('button', { name: 'Publish' }).click();
  await expect(page.getByText(`${name} is on the shelf`)).toBeVisible();
  // What a search found before the set was taken back is answered after it.
  let tell = () => {};
  const gone = new Promise<void>((resolve) => {
    tell = resolve;
  });
  await page.route(
    '**/shelf?*words=seaweed*',
    async (route) => {
      const response = await route.fetch();
      await gone;
      await route.fulfill({ response });
    },
    { times: 1 },
  );
  const asked = page.waitForRequest('**/shelf?*words=seaweed*');
  await page.getByLabel(/By words/).fill('seaweed');
  await asked;
  await expect(cards(page).filter({ hasText: name })).toHaveCount(1);
  expect(await page.title()).not.toBe('run');
  expect(await page.locator('#station img').count()).toBe(0);
  await page.getByRole('button', { name: `Unpublish ${name}` }).click();
  await page.getByRole('button', { name: 'Unpublish it' }).click();
  await expect(page.getByText(`${name} is off the shelf`)).toBeVisible();
  tell();
  await expect(page.getByRole('region', { name: 'Sets', exact: true })).toHaveAttribute('aria-busy', 'false');
  await expect(cards(page).filter({ hasText: name })).toHaveCount(0);

  await page.getByRole('button', { name: 'Publish …' }).click();
  await dialog.getByLabel('What').selectOption('system');
  await dialog.getByLabel('Name').fill('All of the ferry');
  await dialog.getByRole('button', { name: 'Publish' }).click();
  await expect(page.getByText('All of the ferry is on the shelf')).toBeVisible();
  const { id } = await post(stack, '/projects', { name: 'Empty' });
  await page.goto(`/p/${id}/gather/shelf`);
  await page.getByRole('button', { name: 'Adopt All of the ferry …' }).first().click();
  await page.getByRole('button', { name: 'Preview it' }).click();
  await page.getByRole('button', { name: /^Add 6 families/ }).click();
  await expectSaved(page);
  expect(
    (await onServer(stack, id)).document.families.map((family: { name: string }) => family.name),
  ).toContain('Kelp');
});

test('by keyboard, colours by their names, and axe finds nothing', async ({ page, open, stack, project }) => {
  await open('gather/shelf');
  await expect(cards(page)).toHaveCount(24);
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('link', { name: 'Names of colours' }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel(/A word/).fill('rust');
  const names = page.getByRole('list', { name: 'Names' }).getByRole('button');
  await expect(names.first()).toHaveAccessibleName(/^Rust, #/i);
  expect(await axeFaults(page)).toEqual([]);
  await names.nth(1).focus();
  await page.keyboard.press('Enter');
  await expect(names.nth(1)).toBeDisabled();
  await expectSaved(page);
  const label = (await names.nth(1).getAttribute('aria-label'))!;
  const { tray } = (await onServer(stack, project)).document;
  expect(label).toContain(tray.at(-1).color);
  await page.getByRole('button', { name: 'Switch to dark mode' }).click();
  await page.getByRole('link', { name: 'Sets' }).click();
  await page.getByLabel(/By words/).fill('bakery');
  await page.getByRole('button', { name: 'Adopt Night bakery …' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  expect(await axeFaults(page)).toEqual([]);
});

test('names near the colour of the lamp are there at once; a colour can be typed too, with corrections', async ({
  page,
  open,
}) => {
  await open('gather/shelf/names');
  const names = page.getByRole('list', { name: 'Names' }).getByRole('button');
  await expect(page.getByText('The names nearest to Deepwater 700')).toBeVisible();
  await expect(names).toHaveCount(48);
  await page.getByLabel(/A word, or a colour/).fill('#ff880');
  await expect(page.getByText('No name has that in it')).toBeVisible();
  await page.getByRole('button', { name: 'Use #ff8800' }).click();
  await expect(page.getByText('The names nearest to #ff8800')).toBeVisible();
  const [nearest] = shippedNames().near(0xff, 0x88, 0x00, 1);
  await expect(names.first()).toHaveAccessibleName(`${nearest!.name}, ${nearest!.hex}`);
});

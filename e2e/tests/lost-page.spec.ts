import type { Page } from '@playwright/test';
import { drawnFile } from '../support/pictures.ts';
import { addColor, expect, expectSaved, onServer, send, test } from '../support/test.ts';

test.use({ ownPage: true });

/** What a browser lacks, or refuses, before anything of the page has run. */
const without = (page: Page, what: 'storage' | 'localStorage' | 'clipboard' | 'room') =>
  page.addInitScript((missing) => {
    if (missing === 'clipboard') Object.defineProperty(navigator, 'clipboard', { value: undefined });
    if (missing === 'localStorage') Object.defineProperty(window, 'localStorage', { value: null });
    if (missing === 'storage')
      Object.defineProperty(window, 'localStorage', {
        get() {
          throw new DOMException('The operation is insecure.', 'SecurityError');
        },
      });
    if (missing === 'room')
      Storage.prototype.setItem = () => {
        throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
      };
  }, what);

const saving = (page: Page) => page.locator('[data-saving]');

test('with full storage and the server away the page says that it alone has the edits, asks before it is closed, and sends them when it can', async ({
  page,
  open,
  stack,
  project,
}) => {
  await without(page, 'room');
  await open('grow');
  await expectSaved(page);
  await page.route('**/commands', (route) => route.abort());
  const added = ['#111213', '#212223', '#313233'];
  for (const hex of added) await addColor(page, hex);
  await expect(saving(page)).toContainText('3 edits not kept');
  const asked = page.waitForEvent('dialog');
  const closing = page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.dismiss();
  await closing;
  await expect(saving(page)).toContainText('3 edits not kept');
  await page.unroute('**/commands');
  await expectSaved(page);
  const { tray } = (await onServer(stack, project)).document;
  expect(tray.slice(-3).map(({ color }: { color: string }) => color)).toEqual(added);
});

for (const missing of ['storage', 'localStorage'] as const)
  test(`a project opens and is edited where the browser has no ${missing === 'storage' ? 'storage that it allows' : 'storage at all'}`, async ({
    page,
    open,
    stack,
    project,
  }) => {
    await without(page, missing);
    await open('grow');
    await addColor(page, '#414243');
    await expectSaved(page);
    expect((await onServer(stack, project)).document.tray.at(-1).color).toBe('#414243');
  });

test('without a clipboard the text is shown, selected for the keys that copy', async ({ page, open }) => {
  await without(page, 'clipboard');
  await open('deliver');
  await page.getByRole('button', { name: 'Copy #0b5f6b' }).first().click();
  const byHand = page.getByLabel('Copy it by hand');
  await expect(byHand).toBeFocused();
  expect(
    await byHand.evaluate((field: HTMLTextAreaElement) =>
      field.value.slice(field.selectionStart, field.selectionEnd),
    ),
  ).toBe('#0b5f6b');
  await page.keyboard.press('Escape');
  await expect(byHand).toBeHidden();
});

test('a part that cannot be fetched says so in its place, leaves the rest as it is, and comes by itself', async ({
  page,
  open,
}) => {
  await page.route('**/add-color-form-*', (route) => route.abort());
  await open('grow');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('dialog')).toContainText('The server isn’t answering');
  await expect(page.getByRole('heading', { name: 'Grow', level: 1 })).toBeVisible();
  await page.unroute('**/add-color-form-*');
  await expect(page.getByRole('dialog').getByLabel('Any CSS colour')).toBeVisible();
});

test('where the part that finds colours cannot be fetched it is said so, and another try finds them', async ({
  page,
  open,
}) => {
  await page.route('**/job-worker-*', (route) => route.abort());
  await open('gather');
  await page.getByLabel('Text with colours').fill('#123456');
  const fault = page.getByRole('alert').filter({ hasText: 'could not be loaded' });
  await expect(fault).toBeVisible();
  await page.unroute('**/job-worker-*');
  await fault.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('1 colour found')).toBeVisible();
});

test('undo asks before it takes along what somebody else has done, and leaves it where that is wanted', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow/kelp');
  const name = page.getByLabel('Family', { exact: true });
  await name.fill('Weed');
  await name.press('Enter');
  await expectSaved(page);
  await send(stack, project, [{ type: 'renameFamily', family: 'kelp', name: 'Wrack' }]);
  await expect(name).toHaveValue('Wrack');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText(/^Somebody else has since edited the same thing/)).toBeVisible();
  await expect(name).toHaveValue('Wrack');
  await page.getByRole('button', { name: 'Keep theirs' }).click();
  await expect(page.getByText(/^Left unchanged/)).toBeVisible();
  await expect(name).toHaveValue('Wrack');
});

test('a family that is removed while it is dragged is told', async ({ page, open, stack, project }) => {
  await open('grow/buoy');
  const box = (await page.getByRole('slider', { name: /^Base of Buoy/ }).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + box.height / 2, { steps: 4 });
  await send(stack, project, [{ type: 'removeFamily', family: 'buoy' }]);
  await expect(page.getByText(/was changed by somebody else, so it was let go/)).toBeVisible();
  await page.mouse.up();
});

test('an edit that cannot be read is listed, and let go of on request', async ({ page, open, project }) => {
  await page.addInitScript(
    ([key]) => {
      if (!sessionStorage.getItem('put')) localStorage.setItem(key!, '{"broken');
      sessionStorage.setItem('put', 'yes');
    },
    [`mint-lamp/unsent/${project}/000000001-00001/broken`],
  );
  await open('grow');
  await page.getByRole('button', { name: '1 set aside' }).click();
  await page.getByRole('button', { name: 'Discard', exact: true }).click();
  await expect(page.getByRole('button', { name: '1 set aside' })).toBeHidden();
});

test('a part that reads pictures and does not answer is told, and is tried anew', async ({ page, open }) => {
  await page.route('**/pixel-worker-*', (route) =>
    route.fulfill({ contentType: 'text/javascript', body: 'onmessage = () => {};' }),
  );
  await open('gather/pictures');
  await page.getByLabel('Picture files').setInputFiles({
    name: 'quay.png',
    mimeType: 'image/png',
    buffer: await drawnFile(40, 30).png().toBuffer(),
  });
  await expect(page.getByText('does not answer any more')).toBeVisible();
  await page.unroute('**/pixel-worker-*');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByTestId('picture')).toBeVisible();
});

test('where data are to be saved nothing is fetched that nobody asked for, and all of it opens all the same', async ({
  page,
  open,
}) => {
  const asked: string[] = [];
  page.on('request', (request) => asked.push(new URL(request.url()).pathname));
  await open('assign');
  await expect(page.locator('html')).toHaveAttribute('data-ahead', 'not on this line');
  expect(asked.filter((path) => /\/(fade|deliver|curve-charts|report-pdf|names)-/.test(path))).toEqual([]);
  await page.getByRole('link', { name: 'Fade' }).click();
  await expect(page.locator('figure svg').first()).toBeVisible();
});

import { addColor, expect, expectSaved, onServer, test } from '../support/test.ts';

test.use({ serviceWorkers: 'allow', fetchesAhead: true });

/** What this browser keeps of a project. */
const keptBase = (id: string) =>
  caches
    .match(`/api/projects/${id}?of=`, { cacheName: 'mint-lamp-kept' })
    .then(async (kept) => (kept ? (await kept.json()).document.tray.length : null));

test('what one has had open opens without the server, to be looked at, and goes on once it is back', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow');
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null, undefined, {
    timeout: 60_000,
  });
  await addColor(page, '#123456');
  await expectSaved(page);
  const { length } = (await onServer(stack, project)).document.tray;
  await expect.poll(() => page.evaluate(keptBase, project), { timeout: 30_000 }).toBe(length);

  // One more that the server does not get to see.
  await stack.killServer();
  await addColor(page, '#654321');
  await expect(page.locator('[data-saving]')).toHaveAttribute('data-saving', 'away');
  await page.goto(`/p/${project}/grow`);
  await expect(
    page.getByText('The server does not answer, so this is the project as this browser last had it'),
  ).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Grow', level: 1 })).toBeVisible();
  const tray = page.getByRole('region', { name: 'Tray' }).getByRole('listitem');
  await expect(tray).toHaveCount(length);
  await page.goto('/');
  const here = page.getByRole('region', { name: 'Kept in this browser' });
  await here.getByRole('link').click();
  await expect(page).toHaveURL(new RegExp(`/p/${project}`));
  await expect(page.getByText('The server does not answer, so this')).toBeVisible();
  await page.goto(`/p/${project}/pocket`);
  await expect(page.getByRole('main', { name: /^Pocket of/ })).toBeVisible();
  await page.goto(`/p/${project}/grow`);
  await expect(page.getByText('The server does not answer, so this')).toBeVisible();

  await stack.startServer();
  await expect(page.getByText('The server does not answer, so this')).toBeHidden();
  await expect(tray).toHaveCount(length + 1);
  await expectSaved(page);
  expect((await onServer(stack, project)).document.tray).toHaveLength(length + 1);
});

test('it can be installed: a manifest with icons that are there', async ({ page, stack }) => {
  await page.goto('/');
  const address = await page.locator('link[rel=manifest]').getAttribute('href');
  const manifest = await (await fetch(stack.address + address)).json();
  expect(manifest).toMatchObject({ name: 'Mint Lamp', start_url: '/', display: 'standalone' });
  for (const { src, sizes, type } of manifest.icons) {
    const icon = await fetch(stack.address + src);
    expect([icon.status, icon.headers.get('content-type')]).toEqual([200, type]);
    if (sizes === 'any') continue;
    const size = await page.evaluate(async (at) => {
      const image = new Image();
      image.src = at;
      await image.decode();
      return `${image.naturalWidth}x${image.naturalHeight}`;
    }, src);
    expect(size).toBe(sizes);
  }
});

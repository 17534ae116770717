import type { Page } from '@playwright/test';
import { axeFaults, expect, expectSaved, onServer, test } from '../support/test.ts';

async function add(page: Page, html: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a drawing or a page …' }).click();
  await page.getByLabel('or their text').fill(html);
  await page.getByRole('button', { name: 'Add it' }).click();
}

test('a page is shown in every theme beside as it was, recoloured by roles, and its pairs go to Check', async ({
  page,
  open,
  goOn,
  stack,
  project,
}) => {
  await open('stage');
  // Fetched by the server, with its style sheet.
  await page.getByRole('button', { name: 'Add a drawing or a page …' }).click();
  await page.getByRole('button', { name: 'Deck notices, a page' }).click();
  const inTheme = (theme: string) => page.locator(`[data-page=${theme}]`).frameLocator('iframe');
  const cssOf = (theme: string, what: string, property: string) =>
    inTheme(theme)
      .locator(what)
      .first()
      .evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property);
  await expect(inTheme('day').getByRole('heading', { name: 'Deck notices' })).toBeVisible();
  const role = async (id: string) => {
    const { document } = await onServer(stack, project);
    return document.roles.find((one: { id: string }) => one.id === id);
  };
  expect((await role('page-ground')).id).toBe('page-ground');
  // A custom property by its name: the page in both themes has the project's grounds.
  const [day, night] = [
    await cssOf('day', 'body', 'background-color'),
    await cssOf('night', 'body', 'background-color'),
  ];
  expect(day).not.toBe(night);
  const colors = page.getByRole('list', { name: 'Its colours' });
  await expect(colors.getByRole('button', { name: '--page-bg is painted with page.ground' })).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);

  // Each can be changed.
  await colors.getByRole('button', { name: /^ground #e2552b is painted with/ }).press('Enter');
  await page.getByRole('combobox', { name: 'Link to' }).fill('accent fill');
  await page.keyboard.press('Enter');
  await expect(
    colors.getByRole('button', { name: 'ground #e2552b is painted with accent.fill' }),
  ).toBeVisible();
  await expect.poll(() => cssOf('day', '.go', 'background-color')).toBe('rgb(200, 61, 25)');

  // Where its texts really stand.
  const pairs = page.getByRole('region', { name: 'Its pairs' });
  await expect(pairs).toContainText(/\d+ combinations of text and ground found; \d+ (is|are) no pairs? yet/);
  const before = (await onServer(stack, project)).document.pairs.length;
  await pairs.getByRole('button', { name: /^Add / }).click();
  await expectSaved(page);
  const { document } = await onServer(stack, project);
  expect(document.pairs.length).toBeGreaterThan(before);
  await goOn('check');
  await expect(page.getByLabel('Readout')).toContainText(`of ${document.pairs.length} pairs`);
  await goOn('stage');
  await expect(
    page.getByRole('region', { name: 'Artwork' }).getByRole('link', { name: /deck-notices/ }),
  ).toBeVisible();
});

/** Pages that would do something, each with what it tries. */
const HOSTILE: readonly (readonly [what: string, html: string])[] = [
  ['a script', '<script>parent.ran=1</script>'],
  ['an event', '<img src="x" onerror="parent.ran=1"><body onload="parent.ran=1">'],
  ['a form', '<form action="https://outside.example/" method="post"><button id="go">Go</button></form>'],
  ['a refresh', '<meta http-equiv="refresh" content="0;url=https://outside.example/">'],
  ['a frame', '<iframe src="https://outside.example/"></iframe>'],
  ['a frame with a script', '<iframe srcdoc="<script>top.ran=1</script>"></iframe>'],
  ['an import', '<style>@import "https://outside.example/a.css";</style>'],
  [
    'a font',
    '<style>@font-face{font-family:x;src:url(https://outside.example/x.woff2)}p{font-family:x}</style>',
  ],
  ['a picture', '<img src="https://outside.example/x.png" srcset="https://outside.example/2x.png 2x">'],
  ['a background', '<p style="background:url(https://outside.example/b.png)">x</p>'],
  ['a script in a link', '<a id="go" href="javascript:parent.ran=1">x</a>'],
  [
    'what was visited',
    '<style>a:visited{background:url(https://outside.example/v)}</style><a href="/">x</a>',
  ],
  [
    'a drawing',
    '<svg onload="parent.ran=1"><image href="https://outside.example/x.png"/><script>parent.ran=1</script></svg>',
  ],
  [
    'an object',
    '<object data="https://outside.example/x.swf"></object><embed src="https://outside.example/x">',
  ],
  [
    'a style sheet',
    '<link rel="stylesheet" href="https://outside.example/x.css"><link rel="prefetch" href="https://outside.example/y">',
  ],
];

test('what was left out of a page is told beside the panel for the next one, not on its buttons', async ({
  page,
  open,
}) => {
  await open('stage');
  await add(page, '<html><body><p>Hello</p><form action="/x"><button>Go</button></form></body></html>');
  const told = page.locator('[data-sonner-toast]').filter({ hasText: /^Left out/ });
  await expect(told).toBeVisible();
  await page.getByRole('button', { name: /^Remove / }).click();
  await page.getByRole('button', { name: 'Add a drawing or a page …' }).click();
  const panel = page.getByRole('dialog');
  await expect
    .poll(async () => {
      const [toast, box] = [(await told.boundingBox())!, (await panel.boundingBox())!];
      return toast.x + toast.width <= box.x;
    })
    .toBe(true);
});

test('fifteen pages that would run, fetch, send or go elsewhere do none of it', async ({ page, open }) => {
  const asked: string[] = [];
  page.on('request', (request) => {
    const { hostname, protocol } = new URL(request.url());
    if (protocol.startsWith('http') && hostname !== '127.0.0.1') asked.push(request.url());
  });
  expect(HOSTILE).toHaveLength(15);
  await open('stage');
  for (const [what, html] of HOSTILE) {
    await add(page, `<html><body><p>Hello from ${what}</p>${html}</body></html>`);
    const shown = page.locator('[data-page=day]').frameLocator('iframe');
    await expect(shown.getByText(`Hello from ${what}`)).toBeVisible();
    const go = shown.locator('#go');
    if (await go.count()) await go.click({ force: true });
    expect(await page.evaluate(() => (window as { ran?: number }).ran), what).toBeUndefined();
    await page.getByRole('button', { name: /^Remove / }).click();
  }
  expect(asked).toEqual([]);
});

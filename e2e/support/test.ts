import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { SCHEMA_VERSION_HEADER } from '@mint-lamp/core/wire/schema-version';
import { test as base, expect, type Page } from '@playwright/test';
import { goOnFromNowhere, goWithin, isBetweenTests, KeptPage } from './kept-page.ts';
import { saveData } from './saved-data.ts';
import { type Stack, startStack } from './stack.ts';

/** What a page of today says about itself. */
export const FORM = { [SCHEMA_VERSION_HEADER]: String(DOCUMENT_VERSION) };
export const SKERRY = '5ce77000-0000-4000-8000-000000000001';
/** A large style sheet as one finds them. */
export const PUBLIC_SHEET = readFileSync(
  createRequire(import.meta.url).resolve('bootstrap/dist/css/bootstrap.css'),
  'utf8',
);
export { axeFaults } from './axe.ts';
export { expect };

interface Fixtures {
  /** Whether pages fetch ahead what nobody has opened yet. */
  fetchesAhead: boolean;
  /** Whether the test has a browser of its own and loads its page: for what is changed for good, and what a first visit shows. */
  ownPage: boolean;
  /** A project of its own for the test, a copy of the demo. */
  project: string;
  /** Opens a station of the test's project and waits until it is there. */
  open: (station: string, page?: Page) => Promise<void>;
  /** Goes on to another station in the page that is open, as a link does, without loading the page anew. */
  goOn: (station: string) => Promise<void>;
  /** A second tab of the same browser. */
  other: Page;
}

export const test = base.extend<Fixtures, { stack: Stack; kept: KeptPage }>({
  stack: [
    // biome-ignore lint/correctness/noEmptyPattern: the form that fixtures take
    async ({}, use) => {
      const stack = await startStack();
      await use(stack);
      await stack.close();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  kept: [
    // biome-ignore lint/correctness/noEmptyPattern: the form that fixtures take
    async ({}, use) => {
      const kept = new KeptPage();
      await use(kept);
      await kept.close();
    },
    { scope: 'worker' },
  ],
  fetchesAhead: [false, { option: true }],
  ownPage: [false, { option: true }],
  context: async (
    { browser, kept, ownPage, fetchesAhead, hasTouch, deviceScaleFactor, serviceWorkers },
    use,
    info,
  ) => {
    const isUsual = !hasTouch && deviceScaleFactor === undefined && serviceWorkers === 'block';
    if (ownPage || fetchesAhead || !isUsual) {
      const context = await browser.newContext();
      if (!fetchesAhead) await saveData(context);
      await use(context);
      await context.close();
    } else {
      await use((await kept.take(browser)).context);
      if (info.status === info.expectedStatus) await kept.giveBack();
      else await kept.close();
    }
  },
  baseURL: async ({ stack }, use) => use(stack.address),
  page: async ({ context }, use) => {
    const page = context.pages()[0] ?? (await context.newPage());
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    await use(page);
    expect(faults, 'errors in the page').toEqual([]);
  },
  other: async ({ context }, use) => use(await context.newPage()),
  project: async ({ stack }, use) => use(await copyOfDemo(stack)),
  open: async ({ page, project }, use) =>
    use(async (station, other = page) => {
      const address = `/p/${project}/${station}`;
      await (isBetweenTests(other) ? goOnFromNowhere(other, address) : other.goto(address));
      await expect(other.locator('main h1')).toBeVisible();
    }),
  goOn: async ({ page, project }, use) =>
    use(async (station) => {
      await goWithin(page, `/p/${project}/${station}`);
      const name = station.split('/')[0]!;
      await expect(page.locator('#station')).toHaveAttribute('data-at', `/p/${project}/${station}`);
      await expect(page.getByRole('heading', { level: 1, name: new RegExp(name, 'i') })).toBeVisible();
    }),
});

export async function post({ address }: Stack, path: string, body: unknown) {
  const response = await fetch(`${address}/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...FORM },
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new Error(await response.text());
  return response.status === 204 ? null : response.json();
}

/** Sends commands to a project, as another tab would; one that is refused fails the test. */
export async function send(stack: Stack, id: string, commands: readonly object[]): Promise<void> {
  const { revision } = await onServer(stack, id);
  const { outcomes } = await post(stack, `/projects/${id}/commands`, {
    revision,
    commands: commands.map((command) => ({ id: randomUUID(), command })),
  });
  const refused = outcomes.filter((outcome: { status: string }) => outcome.status === 'refused');
  if (refused.length) throw new Error(JSON.stringify(refused));
}

/** A new project with the demo's contents, made through the API as the interface would. */
async function copyOfDemo(stack: Stack): Promise<string> {
  const { document } = await onServer(stack, SKERRY);
  const { id } = await post(stack, '/projects', { name: 'Copy of the demo' });
  await send(stack, id, [
    ...document.themes.map((theme: object) => ({ type: 'addTheme', theme, links: {} })),
    { type: 'removeTheme', theme: 'light' },
    { type: 'removeTheme', theme: 'dark' },
    ...document.families.map((family: object) => ({ type: 'addFamily', family })),
    ...document.roles.map((role: object) => ({ type: 'addRole', role })),
    { type: 'setGround', role: document.ground },
    { type: 'setWords', words: document.words },
    ...document.pairs.map((pair: object) => ({ type: 'addPair', pair })),
    ...document.gradients.map((gradient: object) => ({ type: 'addGradient', gradient })),
    ...document.tray.map((swatch: object) => ({ type: 'addSwatch', swatch })),
    ...Object.entries(document.scenes.cast).map(([use, link]) => ({ type: 'castUse', use, link })),
    ...Object.entries(document.scenes.words).map(([word, text]) => ({ type: 'setSceneWord', word, text })),
  ]);
  return id;
}

/** The project as the server has it. */
export async function onServer({ address }: Stack, id: string) {
  return (await fetch(`${address}/api/projects/${id}`, { headers: FORM })).json();
}

/** Everything that is seen has reached the server: what arrow keys are still moving, too. */
export async function expectSaved(page: Page): Promise<void> {
  await expect(page.locator('[data-run]')).toHaveCount(0);
  await expect(page.locator('[data-saving]')).toHaveAttribute('data-saving', 'idle');
}

/** Adds a colour to the tray by typing, as fast as the interface takes it. */
export async function addColor(page: Page, hex: string): Promise<void> {
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('dialog').getByLabel('Any CSS colour').fill(hex);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();
}

/** Pastes a text, as large as it may be. */
export async function paste(page: Page, text: string): Promise<void> {
  await page.getByLabel('Text with colours').evaluate((area, pasted) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', pasted);
    const event = new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true });
    // A text that the browser inserts itself is inserted here.
    if (area.dispatchEvent(event)) {
      const field = area as HTMLTextAreaElement;
      field.focus();
      document.execCommand('insertText', false, pasted);
    }
  }, text);
}

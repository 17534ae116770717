import type { Browser, BrowserContext, Page } from '@playwright/test';
import { type Crew, firstPerson, newCrew, type Somebody } from './people.ts';
import { saveData } from './saved-data.ts';
import { startTeamServer, type TeamServer } from './team-server.ts';
import { test as base, expect } from './test.ts';

interface Shared {
  server: TeamServer;
  /** Who looks after the server. */
  keeper: Somebody;
}

/** A server for the tests of a worker, and a team of its own for each test. */
export const test = base.extend<{ crew: Crew }, Shared>({
  server: [
    // biome-ignore lint/correctness/noEmptyPattern: the form that fixtures take
    async ({}, use) => {
      const server = await startTeamServer();
      await use(server);
      await server.close();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  keeper: [async ({ server }, use) => use(await firstPerson(server)), { scope: 'worker' }],
  crew: async ({ server, keeper }, use) => use(await newCrew(server.address, keeper)),
});

/** A browser of somebody's own; what goes wrong in its pages fails the test. */
export async function browserOf(
  browser: Browser,
  server: TeamServer,
): Promise<{ context: BrowserContext; page: Page }> {
  const context = await browser.newContext({
    baseURL: server.address,
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
  });
  await saveData(context);
  const page = await context.newPage();
  page.on('pageerror', (error) => {
    throw error;
  });
  return { context, page };
}

export async function signIn(
  page: Page,
  { email, passphrase }: Pick<Somebody, 'email' | 'passphrase'>,
): Promise<void> {
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Passphrase', { exact: true }).fill(passphrase);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

export async function enter(browser: Browser, server: TeamServer, who: Somebody) {
  const own = await browserOf(browser, server);
  await own.page.goto('/sign-in');
  await signIn(own.page, who);
  await expect(own.page.getByRole('button', { name: who.name })).toBeVisible();
  return own;
}

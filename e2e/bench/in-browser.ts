import { type Browser, chromium, type Page } from '@playwright/test';
import config from '../playwright.config.ts';
import { type Stack, startStack } from '../support/stack.ts';

/** What a bench in a browser has: a page, and a server of its own with the demo projects. */
export interface Bench {
  readonly page: Page;
  readonly browser: Browser;
  readonly stack: Stack;
  readonly close: () => Promise<void>;
}

let shared: { readonly browser: Browser; readonly stack: Stack } | null = null;

/** Has the benches of this process run in one browser, on one server; the function ends both. */
export async function shareBrowser(): Promise<() => Promise<void>> {
  const all = await start();
  shared = all;
  return () => end(all);
}

async function start() {
  const stack = await startStack();
  return { stack, browser: await chromium.launch(config.use!.launchOptions!) };
}

// The server and database must go, whatever happens: they would outlive this process.
async function end({ browser, stack }: { browser: Browser; stack: Stack }): Promise<void> {
  await browser.close();
  await stack.close();
}

/** A page of 1280 × 800 px; to be closed whatever becomes of the bench. */
export async function openBench(): Promise<Bench> {
  const all = shared ?? (await start());
  const page = await all.browser.newPage({ viewport: { width: 1280, height: 800 } });
  // The TypeScript runner marks functions with this helper, which the page does not have.
  await page.addInitScript('globalThis.__name = (f) => f');
  return { ...all, page, close: () => (all === shared ? page.close() : end(all)) };
}

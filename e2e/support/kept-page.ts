import { type Browser, type BrowserContext, expect, type Page } from '@playwright/test';
import { saveData } from './saved-data.ts';

/** How many tests a page serves: what a session leaves behind shall be found, and not grow into the slowness of all. */
const TESTS = 30;
/** No place of the application: what belongs to a project is left there, and nothing is fetched. */
const NOWHERE = '/between-two-tests';
const NOTHING = 'There is nothing here';
/** What tests listen to; what is not named here the test library itself listens to. */
const HEARD = ['console', 'dialog', 'pageerror', 'request', 'requestfailed', 'requestfinished', 'response'];

/** What stands beside the application in a page: what is read out, and what measures the letters of charts. */
const USUAL = '#root, [aria-live], #recharts_measurement_span';

/**
 * A browser and its page that go from test to test, as a designer goes from project to project: what is compiled once serves
 * them all, which is a third of their time. Between two tests it is made as new as a page can be without being loaded.
 */
export class KeptPage {
  #context: BrowserContext | null = null;
  #page: Page | null = null;
  #tests = 0;

  async take(browser: Browser): Promise<{ context: BrowserContext; page: Page }> {
    if (!this.#context || !this.#page) {
      this.#context = await browser.newContext();
      await saveData(this.#context);
      this.#page = await this.#context.newPage();
      this.#page.addInitScript = () => {
        throw new Error('What is changed for good needs a page of its own: test.use({ ownPage: true })');
      };
      this.#tests = 0;
    }
    this.#tests += 1;
    return { context: this.#context, page: this.#page };
  }

  async giveBack(): Promise<void> {
    const context = this.#context;
    const page = this.#page;
    if (!context || !page || page.isClosed() || this.#tests >= TESTS) return this.close();
    for (const other of context.pages()) if (other !== page) await other.close();
    for (const event of HEARD) {
      page.removeAllListeners(event);
      context.removeAllListeners(event);
    }
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    await context.unrouteAll({ behavior: 'ignoreErrors' });
    await context.setOffline(false);
    await context.clearPermissions();
    await context.clearCookies();
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    if (!(await isLeft(page))) await page.goto('about:blank');
    page.removeAllListeners('pageerror');
    expect(faults, 'errors while the project is left').toEqual([]);
    await page.mouse.move(-1, -1);
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.emulateMedia({
      media: null,
      colorScheme: 'light',
      reducedMotion: 'reduce',
      forcedColors: null,
      contrast: null,
    });
  }

  async close(): Promise<void> {
    const context = this.#context;
    this.#context = null;
    this.#page = null;
    await context?.close();
  }
}

/**
 * Leaves the project and whatever else the page shows. Returns whether the page is as one that nothing was done in; one
 * that is not, or that is not the application's, has to be loaded anew.
 */
async function isLeft(page: Page): Promise<boolean> {
  if (!(await page.locator('#root').count())) return false;
  await goWithin(page, NOWHERE);
  await expect(page.getByRole('heading', { name: NOTHING })).toBeVisible();
  return page.evaluate((usual) => {
    localStorage.clear();
    sessionStorage.clear();
    const { documentElement: root, body } = document;
    return (
      root.dataset.theme === 'light-dress' &&
      !root.style.length &&
      !document.adoptedStyleSheets.length &&
      document.querySelectorAll('style').length <= 1 &&
      [...body.children].every((one) => one.matches(usual)) &&
      !document.querySelector('[data-sonner-toast]')
    );
  }, USUAL);
}

/** Goes to a place in the page that is open, as a link does, without loading the page anew. */
export async function goWithin(page: Page, address: string): Promise<void> {
  await page.evaluate((there) => {
    history.pushState(null, '', there);
    dispatchEvent(new PopStateEvent('popstate'));
  }, address);
}

/** Goes on from where another test left the page, and waits until that is not seen any more. */
export async function goOnFromNowhere(page: Page, address: string): Promise<void> {
  await goWithin(page, address);
  await expect(page.getByRole('heading', { name: NOTHING })).toBeHidden();
}

/** Whether the page was left by another test and can go on from there. */
export function isBetweenTests(page: Page): boolean {
  return page.url().endsWith(NOWHERE);
}

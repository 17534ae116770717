import type { Page } from '@playwright/test';
import type { Engine } from './engine.ts';

/** The page of a test as an engine among the others. */
export const chromiumOf = (page: Page): Engine => ({
  name: 'Chromium',
  goto: async (address) => void (await page.goto(address)),
  evaluate: (expression) => page.evaluate(expression),
  screenshot: () => page.screenshot(),
  close: async () => {},
});

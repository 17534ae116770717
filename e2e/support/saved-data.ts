import type { BrowserContext } from '@playwright/test';

/**
 * Makes pages of a browser believe that data are to be saved, so that they fetch only what is asked for: a test opens one
 * station or two, and what comes ahead for all others is more work than opening them.
 */
export async function saveData(context: BrowserContext): Promise<void> {
  await context.addInitScript(() =>
    Object.defineProperty(navigator, 'connection', {
      configurable: true,
      value: { saveData: true, effectiveType: '4g' },
    }),
  );
}

import type { Page } from '@playwright/test';
import { LARGEST } from '../../packages/core/bench/largest-document.ts';
import { reportShare, SMALL, sized } from '../../packages/core/bench/report.ts';
import { SKERRY } from '../support/test.ts';
import { openBench } from './in-browser.ts';
import { makeProject } from './largest-project.ts';
import { costs, percentile } from './page-costs.ts';

// Scenes on the Stage: another link on one of them, seen on all that are seen; and what they cover, counted.
const { page, stack, close } = await openBench();

/** Another link while a shade is pointed at, in the panel of what was pressed. */
async function otherLinks(page: Page, name: string): Promise<void> {
  await page
    .locator('[data-testid=scene] [data-ground=page]')
    .first()
    .click({ position: { x: 3, y: 3 } });
  const shades = page.locator(
    '[data-testid=pressed] button[aria-label*=" 3"], [data-testid=pressed] button[aria-pressed]',
  );
  await shades.first().waitFor();
  const boxes = (await Promise.all((await shades.all()).slice(0, 6).map((one) => one.boundingBox()))).filter(
    (box) => box !== null,
  );
  const { script, all } = await costs(
    page,
    async (i) => {
      const { x, y, width, height } = boxes[i % boxes.length]!;
      await page.mouse.move(x + width / 2, y + height / 2);
    },
    60,
  );
  reportShare(
    `${name}: another link on every scene, script, 95th percentile`,
    percentile(script, 0.95),
    16,
    'ms',
  );
  reportShare(`${name}: another link on every scene, everything, median`, percentile(all, 0.5), 33.4, 'ms');
  await page.keyboard.press('Escape');
}

/** How long the page is held at a time while shares are counted, and until they are told, in ms. */
async function counted(page: Page): Promise<{ longest: number; until: number }> {
  return page.evaluate(async () => {
    const button = [...document.querySelectorAll('button')].find((one) => one.textContent === 'Areas')!;
    const start = performance.now();
    let [last, longest] = [start, 0];
    button.click();
    while (!document.querySelector('[data-balance]')) {
      await new Promise((done) => requestAnimationFrame(done));
      const now = performance.now();
      longest = Math.max(longest, now - last);
      last = now;
    }
    return { longest, until: performance.now() - start };
  });
}

async function measure() {
  await page.goto(`${stack.address}/p/${SKERRY}/stage/timetable`);
  await page.locator('[data-testid=scene]').first().waitFor();
  await page.waitForTimeout(sized(6000, 500));
  await otherLinks(page, 'demo');
  await page.getByRole('radio', { name: 'Desktop' }).click();
  const longest: number[] = [];
  const until: number[] = [];
  for (let i = 0; i < sized(8, 2); i++) {
    const one = await counted(page);
    longest.push(one.longest);
    until.push(one.until);
    await page.getByRole('button', { name: 'Areas' }).click();
    await page.locator('[data-balance]').first().waitFor({ state: 'detached' });
    await page.waitForTimeout(sized(300, 10));
  }
  reportShare('shares of a scene at 1280 px are told after', percentile(until.slice(1), 0.5), 100, 'ms');
  reportShare('longest frame meanwhile', Math.max(...longest.slice(1)), 50, 'ms');

  await page.goto(`${stack.address}/p/${SKERRY}/stage`);
  await page.getByRole('button', { name: 'Add a drawing or a page …' }).click();
  await page.getByLabel('Files').waitFor();
  const held = await page.evaluate(
    async (shapes) => {
      const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
      const files = new DataTransfer();
      const text = `<svg xmlns="http://www.w3.org/2000/svg">${'<path d="M0 0h9v9z"/>'.repeat(shapes)}</svg>`;
      files.items.add(new File([text], 'large.svg'));
      input.files = files.files;
      let [last, longest] = [performance.now(), 0];
      input.dispatchEvent(new Event('change', { bubbles: true }));
      while (!document.querySelector('[role=alert]')?.textContent?.includes('200 kB')) {
        await new Promise((done) => requestAnimationFrame(done));
        longest = Math.max(longest, performance.now() - last);
        last = performance.now();
      }
      return longest;
    },
    sized(900_000, 20_000),
  );
  reportShare('a drawing of 19 MB is refused, longest frame meanwhile', held, 100, 'ms');

  const largest = SMALL
    ? { ...LARGEST, pairs: LARGEST.pairs.slice(0, 20), gradients: [], families: LARGEST.families.slice(0, 4) }
    : LARGEST;
  const id = await makeProject(stack, largest);
  await page.goto(`${stack.address}/p/${id}/stage/timetable`);
  await page.locator('[data-testid=scene]').first().waitFor();
  await page.waitForTimeout(sized(8000, 500));
  await otherLinks(page, 'largest');
}

await measure().finally(close);

import { chromium } from '@playwright/test';
import { reportShare, sized } from '../../packages/core/bench/report.ts';
import config from '../playwright.config.ts';
import { startStack } from '../support/stack.ts';
import { makeLargestProject } from './largest-project.ts';

// The matrix of 300 × 300 roles in the worst of 12 themes: until it is drawn, and the longest frame while it is scrolled.
const ROLES = 300;
const RUNS = 3;
const stack = await startStack();
const browser = await chromium.launch(config.use!.launchOptions!);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
// The TypeScript runner marks functions with this helper, which the page does not have.
await page.addInitScript('globalThis.__name = (f) => f');

async function measure() {
  const id = await makeLargestProject(stack, ROLES);
  for (let run = 1; run <= RUNS; run++) {
    await page.goto(`${stack.address}/p/${id}/check/matrix`);
    await page.locator('[role=gridcell]').first().waitFor();
    await page.getByLabel('Across').selectOption('all roles');
    await page.getByLabel('In', { exact: true }).selectOption('the worst of all themes');
    await page.waitForTimeout(sized(6000, 300));
    const drawn = await page.evaluate(async () => {
      const down = [...document.querySelectorAll('select')].find(
        (one) => one.labels?.[0]?.textContent === 'Down',
      )!;
      const start = performance.now();
      const set = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')!.set!;
      set.call(down, 'roles');
      down.dispatchEvent(new Event('change', { bubbles: true }));
      await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
      return performance.now() - start;
    });
    reportShare(
      `a matrix of ${ROLES} × ${ROLES} in the worst of 12 themes, until it is drawn`,
      drawn,
      200,
      'ms',
    );
    const frames = await page.evaluate(async () => {
      const box = document.querySelector('[role=grid]')!.parentElement!;
      const out: number[] = [];
      let last = performance.now();
      for (let i = 0; i < 160; i++) {
        // Down, then across, then both.
        if (i < 60) box.scrollTop = i * 50;
        else if (i < 120) box.scrollLeft = (i - 60) * 50;
        else box.scrollTo(3000 - (i - 120) * 40, 3000 - (i - 120) * 40);
        await new Promise((done) => requestAnimationFrame(done));
        const now = performance.now();
        out.push(now - last);
        last = now;
      }
      return out;
    });
    reportShare('scrolling it down, across and both, longest frame', Math.max(...frames), 32, 'ms');
  }
}

// The server and database must go, whatever happens: they would outlive this process.
await measure().finally(async () => {
  await browser.close();
  await stack.close();
});
process.exit(0);

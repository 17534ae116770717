import type { Page } from '@playwright/test';
import { reportShare, SMALL, sized } from '../../packages/core/bench/report.ts';
import { saveData } from '../support/saved-data.ts';
import { SKERRY } from '../support/test.ts';
import { openBench } from './in-browser.ts';
import { makeLargestProject } from './largest-project.ts';
import { percentile } from './page-costs.ts';

// From the press on a station's link until what it is about is drawn, in the largest project: with its parts fetched ahead,
// and by a browser that has to fetch them first.
const { page, browser, stack, close } = await openBench();

/** What shows that a station has drawn what it is about. */
const CONTENT = {
  Grow: 'main [role=slider]',
  Assign: 'main [data-role-cell], main tbody td button',
  Check: 'main ol li',
  Fade: 'main [role=slider]',
  Stage: '[data-scene] .scene',
  Deliver: 'main pre',
  Gather: 'main textarea',
};
const STATIONS = Object.entries(CONTENT).slice(0, sized(7, 2));

/** Milliseconds from the press until the thing stands and the frame with it is painted. */
const press = (target: Page, name: string, content: string) =>
  target.evaluate(
    async ([text, selector]) => {
      const link = [...document.querySelectorAll('header nav a')].find(
        (one) => one.textContent?.trim() === text,
      ) as HTMLAnchorElement;
      const start = performance.now();
      link.click();
      const there = () => {
        const heading = document.querySelector('main h1')?.textContent ?? '';
        return heading.includes(text) && document.querySelector(selector);
      };
      while (!there()) await new Promise((done) => setTimeout(done, 2));
      await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
      return performance.now() - start;
    },
    [name, content] as const,
  );

async function measure() {
  const id = SMALL ? SKERRY : await makeLargestProject(stack);
  await page.goto(`${stack.address}/p/${id}/gather`);
  await page.locator('html[data-ahead]').waitFor({ state: 'attached' });
  await page.waitForTimeout(sized(2000, 100));
  const warm = new Map(STATIONS.map(([name]) => [name, [] as number[]]));
  for (let i = 0; i < sized(5, 1); i++)
    for (const [name, content] of STATIONS) {
      warm.get(name)!.push(await press(page, name, content));
      await page.waitForTimeout(sized(800, 50));
    }
  for (const [name, times] of warm)
    reportShare(`${name}, from the press until it is drawn, median`, percentile(times, 0.5), 500, 'ms');
  for (const [name, content] of STATIONS) {
    const times: number[] = [];
    for (let i = 0; i < sized(3, 1); i++) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      await context.addInitScript('globalThis.__name = (f) => f');
      await saveData(context);
      const cold = await context.newPage();
      await cold.goto(`${stack.address}/p/${id}/${name === 'Gather' ? 'deliver' : 'gather'}`);
      await cold.locator('main h1').waitFor();
      await cold.waitForTimeout(sized(2500, 100));
      times.push(await press(cold, name, content));
      await context.close();
    }
    reportShare(
      `${name}, from the press until it is drawn, its parts not there yet, median`,
      percentile(times, 0.5),
      800,
      'ms',
    );
  }
}

await measure().finally(close);

import type { Page } from '@playwright/test';
import { paintedDocument } from '../../packages/core/bench/painted-document.ts';
import { reportShare, SMALL, sized } from '../../packages/core/bench/report.ts';
import { openBench } from './in-browser.ts';
import { makeLargestProject, makeProject } from './largest-project.ts';
import { costs, percentile, steps } from './page-costs.ts';

// The interface at the largest sizes that are to hold, loaded through the API.
const { page, stack, close } = await openBench();

/** What shows that a station has drawn what it is about. */
const CONTENT: Record<string, string> = {
  gather: 'main textarea',
  grow: 'main [role=slider]',
  assign: 'main [data-role-cell], main tbody td button',
  check: 'main ol li',
  fade: 'main [role=slider]',
  stage: '[data-scene] .scene',
  deliver: 'main pre',
};

const STATIONS = Object.keys(CONTENT).slice(0, sized(7, 1));

/** Milliseconds from the end of the document's answer until a station is drawn. */
async function openingTime(page: Page, id: string, station: string): Promise<number> {
  await page.goto(`${stack.address}/p/${id}/${station}`);
  await page.locator(CONTENT[station]!).first().waitFor();
  return page.evaluate(
    async ({ id, selector }) => {
      const there = () => {
        const found = document.querySelector(selector);
        return found && (found.tagName !== 'PRE' || (found.textContent?.length ?? 0) > 1000);
      };
      while (!there()) await new Promise((done) => setTimeout(done, 5));
      const marks = (window as unknown as { drawnAt?: number }).drawnAt;
      const loaded = performance
        .getEntriesByType('resource')
        .filter((entry) => entry.name.endsWith(`/api/projects/${id}`)) as PerformanceResourceTiming[];
      return (marks ?? performance.now()) - loaded[loaded.length - 1]!.responseEnd;
    },
    { id, selector: CONTENT[station]! },
  );
}

async function measure() {
  const painted = await makeProject(stack, paintedDocument(SMALL ? 0.05 : 1));
  const id = SMALL ? painted : await makeLargestProject(stack);
  // Notes when the awaited thing is first drawn, without asking from outside.
  await page.addInitScript((contents) => {
    const station = location.pathname.split('/')[3] ?? '';
    const selector = (contents as Record<string, string>)[station];
    if (!selector) return;
    const look = () => {
      const found = document.querySelector(selector);
      if (found && (found.tagName !== 'PRE' || (found.textContent?.length ?? 0) > 1000))
        requestAnimationFrame(() => {
          (window as unknown as { drawnAt: number }).drawnAt = performance.now();
        });
      else requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  }, CONTENT);
  for (const station of STATIONS) {
    const times: number[] = [];
    for (let i = 0; i < sized(4, 2); i++) times.push(await openingTime(page, id, station));
    reportShare(`${station} opens after the document is there`, percentile(times.slice(1), 0.5), 1000, 'ms');
  }

  // With roles that gradients paint, of which Fade needs the most.
  const opened: number[] = [];
  for (let i = 0; i < sized(5, 2); i++) opened.push(await openingTime(page, painted, 'fade'));
  reportShare(
    'painted: fade opens after the document is there',
    percentile(opened.slice(1), 0.5),
    1000,
    'ms',
  );

  await page.goto(`${stack.address}/p/${painted}/grow/f0`);
  const base = page.getByRole('slider', { name: /^Base of Family 0,/ });
  await base.waitFor();
  // Until all pairs are counted, a little at a time.
  await page.waitForTimeout(sized(4000, 500));
  await base.focus();
  const step = () => page.keyboard.press('ArrowRight');
  const first = await steps(page, step, 1);
  const more = await steps(page, step, 20);
  reportShare('painted: the first arrow step of a base, until it is shown', first.shown[0]!, 100, 'ms');
  reportShare(
    'painted: an arrow step of a base, until it is shown, median',
    percentile(more.shown, 0.5),
    100,
    'ms',
  );
  reportShare('painted: the page is held by them at most', Math.max(first.held, more.held), 100, 'ms');
  const { all } = await costs(page, step, 10);
  console.log(`(with what follows behind, everything: ${percentile(all, 0.5).toFixed(0)} ms a step)`);

  // What one change of all colours costs at every station: the next theme is switched on.
  for (const station of STATIONS) {
    await page.goto(`${stack.address}/p/${id}/${station}`);
    await page.locator(CONTENT[station]!).first().waitFor();
    await page.getByRole('main').focus();
    const next = () => page.keyboard.press('n');
    await costs(page, next, 4);
    const { script, all } = await costs(page, next, 12);
    reportShare(`${station}: another theme, script, median`, percentile(script, 0.5), 50, 'ms');
    reportShare(`${station}: another theme, everything, median`, percentile(all, 0.5), 100, 'ms');
  }

  await page.goto(`${stack.address}/p/${id}/check`);
  await page.locator(CONTENT.check!).first().waitFor();
  await page.waitForTimeout(sized(1500, 100));
  const frames = await page.evaluate(async () => {
    const main = document.querySelector('main')!;
    const out: number[] = [];
    let last = performance.now();
    for (let y = 0; y <= 1500; y += 50) {
      main.scrollTop = y;
      await new Promise((done) => requestAnimationFrame(done));
      const now = performance.now();
      out.push(now - last);
      last = now;
    }
    return out;
  });
  reportShare('scrolling Check by 1,500 px, longest frame', Math.max(...frames), 33.4, 'ms');

  await page.goto(`${stack.address}/p/${id}/stage`);
  await page.locator(CONTENT.stage!).first().waitFor();
  await page.waitForTimeout(sized(6000, 500));
  const finder: number[] = [];
  for (let i = 0; i < sized(4, 1); i++) {
    finder.push(
      await page.evaluate(async () => {
        const start = performance.now();
        dispatchEvent(new KeyboardEvent('keydown', { key: 'k', ctrlKey: true }));
        while (!document.querySelector('[cmdk-item]')) await new Promise((done) => setTimeout(done, 1));
        await new Promise((done) => requestAnimationFrame(done));
        return performance.now() - start;
      }),
    );
    await page.keyboard.press('Escape');
    await page.locator('[cmdk-item]').first().waitFor({ state: 'detached' });
  }
  reportShare('the finder opens', percentile(finder, 0.5), 100, 'ms');
}

await measure().finally(close);

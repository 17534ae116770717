import { reportShare, sized } from '../../packages/core/bench/report.ts';
import { openBench } from './in-browser.ts';
import { makeLargestProject } from './largest-project.ts';

// The matrix of 300 × 300 roles in the worst of 12 themes: until it is drawn, and the longest frame while it is scrolled.
const ROLES = sized(300, 60);
const RUNS = sized(10, 1);
const { page, stack, close } = await openBench();

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
    const frames = await page.evaluate(
      async (length) => {
        const box = document.querySelector('[role=grid]')!.parentElement!;
        const out: number[] = [];
        let last = performance.now();
        for (let i = 0; i < length; i++) {
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
      },
      sized(160, 20),
    );
    reportShare('scrolling it down, across and both, longest frame', Math.max(...frames), 32, 'ms');
  }
}

await measure().finally(close);

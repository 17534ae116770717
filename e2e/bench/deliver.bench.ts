import { LARGEST } from '../../packages/core/bench/largest-document.ts';
import { reportShare, SMALL, sized } from '../../packages/core/bench/report.ts';
import { SKERRY } from '../support/test.ts';
import { openBench } from './in-browser.ts';
import { makeProject } from './largest-project.ts';

// Files at Deliver, written in workers: until each is there, and how long the page is held at a time meanwhile.
const { page, stack, close } = await openBench();

const FORMS = [
  'Design tokens',
  'Tailwind theme',
  'JSON table',
  'PDF for the client',
  'SVG of swatches',
  'PNG of swatches',
  'JPEG of swatches',
  'Page for the client',
  'CSS',
].slice(0, sized(9, 2));

/** Shows a form, and says how long that took and the longest frame, in ms. */
const shown = (form: string) =>
  page.evaluate(async (name) => {
    const link = [...document.querySelectorAll<HTMLElement>('nav[aria-label=Forms] a')].find(
      (one) => one.textContent === name,
    )!;
    const next = () => document.querySelector<HTMLButtonElement>('[data-next]')!;
    const file = () => next().textContent;
    const before = file();
    const start = performance.now();
    let [last, longest] = [start, 0];
    link.click();
    do {
      await new Promise((done) => requestAnimationFrame(done));
      const now = performance.now();
      longest = Math.max(longest, now - last);
      last = now;
      if (now - start > 60_000) throw new Error(`${name} is not there after a minute`);
    } while (file() === before || next().disabled);
    // What is shown of it is laid out, too.
    for (let i = 0; i < 3; i++) {
      await new Promise((done) => requestAnimationFrame(done));
      longest = Math.max(longest, performance.now() - last);
      last = performance.now();
    }
    return { longest, until: performance.now() - start };
  }, form);

try {
  const id = SMALL ? SKERRY : await makeProject(stack, LARGEST);
  await page.goto(`${stack.address}/p/${id}/deliver/hex`);
  await page.locator('main pre').waitFor({ timeout: 60_000 });
  await page.waitForTimeout(sized(6000, 500));
  for (const form of FORMS) {
    const { longest, until } = await shown(form);
    reportShare(`largest: ${form} is there after`, until, form.startsWith('PDF') ? 5000 : 2000, 'ms');
    reportShare(`largest: ${form}, longest frame`, longest, 100, 'ms');
  }
} finally {
  await close();
}

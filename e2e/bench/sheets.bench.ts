import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { reportShare, sized } from '../../packages/core/bench/report.ts';
import { publicSheet } from '../support/public-sheets.ts';
import { post } from '../support/test.ts';
import { openBench } from './in-browser.ts';

// Sheets that become a system, in the built interface: from the moment that a file is chosen.
const { page, stack, close } = await openBench();
const folder = await mkdtemp(join(tmpdir(), 'sheets-'));

/** Watches frames in the page until something is told to stop. */
const watchFrames = () =>
  page.evaluate(() => {
    const seen = { longest: 0, running: true };
    Object.assign(globalThis, { seen });
    let last = performance.now();
    const watch = (now: number) => {
      seen.longest = Math.max(seen.longest, now - last);
      last = now;
      if (seen.running) requestAnimationFrame(watch);
    };
    requestAnimationFrame(watch);
  });
const longestFrame = () =>
  page.evaluate(() => {
    const { seen } = globalThis as unknown as { seen: { longest: number; running: boolean } };
    seen.running = false;
    return seen.longest;
  });

/** Waits in the page itself for something; looking for it from outside would cost the page more than what is measured. */
const untilThere = (selector: string, text = '') =>
  page.evaluate(
    async ([wanted, words]) => {
      while (!document.querySelector(wanted!)?.textContent?.includes(words!))
        await new Promise((done) => setTimeout(done, 10));
    },
    [selector, text] as const,
  );
const press = (selector: string, text: string) =>
  page.evaluate(
    ([wanted, words]) => {
      [...document.querySelectorAll<HTMLElement>(wanted!)].find((one) => one.textContent === words)!.click();
    },
    [selector, text] as const,
  );

/** ms from a file to the proposal, and the longest frame on the way. */
async function read(name: string, text: string): Promise<{ total: number; longest: number }> {
  const { id } = await post(stack, '/projects', { name: 'Bench' });
  await page.goto(`${stack.address}/p/${id}/gather/sheets`);
  await page.getByRole('button', { name: 'Open files' }).waitFor();
  // Parts that are fetched ahead are there.
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(sized(5000, 500));
  await watchFrames();
  // Given by its path: what is handed through the page's own script would be counted.
  const path = join(folder, name);
  await writeFile(path, text);
  const start = performance.now();
  await page.getByLabel('Sheets as files').setInputFiles(path);
  await untilThere('[aria-label="Proposed roles"]');
  const total = performance.now() - start;
  await page.waitForTimeout(500);
  return { total, longest: await longestFrame() };
}

async function measure(): Promise<void> {
  const [helpers] = publicSheet('helpers');
  // Once for the worker and its code.
  await read('first.css', publicSheet('simple')[0]!.text);
  const public_ = await read('helpers.css', helpers!.text);
  reportShare(
    `a public sheet of ${Math.round(helpers!.text.length / 1000)} kB, from the file to its proposal`,
    public_.total,
    2000,
    'ms',
  );
  reportShare('longest frame meanwhile', public_.longest, 100, 'ms');
  const frames = async (what: string, act: () => Promise<unknown>) => {
    await watchFrames();
    await act();
    await page.waitForTimeout(800);
    reportShare(`longest frame, ${what}`, await longestFrame(), 100, 'ms');
  };
  await frames('colours let to move, not visibly', async () => {
    await press('[role=radiogroup] button', 'not visibly');
    await untilThere('[aria-label="How far colours may shift"] [role=status]', 'give way to another');
  });
  await frames('the bill', async () => {
    await press('button', 'Colour audit');
    await untilThere('[aria-label="Back to your sheets"]', 'Close the audit');
  });
  const rule = (i: number) =>
    `.card-${i} { color: #${((i * 7919) % 0xffffff).toString(16).padStart(6, '0')}; background: hsl(${i % 360}, 40%, 50%); border: 1px solid rgb(0 0 0 / 20%) }\n`;
  const large = `:root { --a: #123 }\n${Array.from({ length: sized(52_000, 500) }, (_, i) => rule(i)).join('')}`;
  const five = await read('large.css', large);
  reportShare(
    `a made-up sheet of ${(large.length / 1e6).toFixed(1)} MB, each rule with colours of its own`,
    five.total,
    20_000,
    'ms',
  );
  reportShare('longest frame meanwhile', five.longest, 100, 'ms');
}

await measure().finally(async () => {
  await rm(folder, { recursive: true });
  await close();
});

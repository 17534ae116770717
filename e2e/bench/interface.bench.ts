import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { reportShare, sized } from '../../packages/core/bench/report.ts';
import { SKERRY } from '../support/test.ts';
import { openBench } from './in-browser.ts';
import { costs, percentile } from './page-costs.ts';

const require = createRequire(import.meta.url);
const FRAME_MS = 16;

const { page, stack, close } = await openBench();

/** The plane of lightness and chroma while the hue is dragged, and a base while the plane is open. */
async function measurePlane() {
  await page.goto(`${stack.address}/p/${SKERRY}/grow/deepwater`);
  await page.getByRole('button', { name: 'Lightness and chroma as a plane' }).click();
  const hue = (await page.getByRole('slider', { name: 'Hue', exact: true }).boundingBox())!;
  const [x, y] = [hue.x + hue.width / 2, hue.y + hue.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const { script } = await costs(page, (i) => page.mouse.move(x + 60 * Math.sin(i / 9), y), 240);
  await page.mouse.up();
  for (const [share, name] of [
    [0.5, 'median'],
    [0.95, '95th percentile'],
  ] as const)
    reportShare(
      `dragging the hue beside the plane, script time per move, ${name}`,
      percentile(script, share),
      FRAME_MS,
      'ms',
    );
  await page.keyboard.press('Control+z');
  const base = (await page.getByRole('slider', { name: /^Base of Deepwater/ }).boundingBox())!;
  await page.mouse.move(base.x + 12, base.y + 12);
  await page.mouse.down();
  const drag = await costs(page, (i) => page.mouse.move(base.x + 100 * Math.sin(i / 7), base.y + 12), 200);
  await page.mouse.up();
  reportShare(
    'dragging a base with the plane open, script time per move, 95th percentile',
    percentile(drag.script, 0.95),
    FRAME_MS,
    'ms',
  );
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Lightness and chroma as tracks' }).click();
}

async function measure() {
  await measurePlane();
  const families = [
    ['grow/deepwater', 'Deepwater'],
    ['grow/shingle', 'Shingle'],
  ] as const;
  for (const [station, base] of families.slice(0, sized(2, 1))) {
    await page.goto(`${stack.address}/p/${SKERRY}/${station}`);
    const handle = page.getByRole('slider', { name: new RegExp(`^Base of ${base}`) });
    const box = (await handle.boundingBox())!;
    await page.mouse.move(box.x + 12, box.y + 12);
    await page.mouse.down();
    const { script: times } = await costs(
      page,
      (i) => page.mouse.move(box.x + 100 * Math.sin(i / 7), box.y + 12),
      200,
    );
    await page.keyboard.press('Escape');
    await page.mouse.up();
    const { script: rest } = await costs(page, (i) => page.mouse.move(300 + i, 20), 40);
    console.log(`(a pointer move that changes nothing: ${percentile(rest, 0.5).toFixed(2)} ms)`);
    reportShare(
      `dragging the base of ${base}, script time per move, median`,
      percentile(times, 0.5),
      FRAME_MS,
      'ms',
    );
    reportShare(
      `dragging the base of ${base}, script time per move, 95th percentile`,
      percentile(times, 0.95),
      FRAME_MS,
      'ms',
    );
  }

  const css = readFileSync(require.resolve('bootstrap/dist/css/bootstrap.css'), 'utf8');
  /** Pastes the style sheet, and watches frames until a text is on the page. */
  const paste = async (waitedFor: string) => {
    await page.goto(`${stack.address}/p/${SKERRY}/gather`);
    // What was pasted before is kept in the tab.
    const again = page.getByRole('button', { name: 'Paste something else' });
    await page.getByLabel('Text with colours').or(again).waitFor();
    if (await again.isVisible()) await again.click();
    await page.getByLabel('Text with colours').fill('');
    return page.evaluate(
      async ([text, wanted]) => {
        const area = document.querySelector('textarea')!;
        const start = performance.now();
        let longest = 0;
        let last = start;
        let running = true;
        const watch = (now: number) => {
          longest = Math.max(longest, now - last);
          last = now;
          if (running) requestAnimationFrame(watch);
        };
        requestAnimationFrame(watch);
        const clipboardData = new DataTransfer();
        clipboardData.setData('text/plain', text!);
        area.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
        const station = document.getElementById('station')!;
        while (!station.textContent?.includes(wanted!)) await new Promise((done) => setTimeout(done, 5));
        const total = performance.now() - start;
        running = false;
        const found = document.querySelector('[aria-label="Found colours"] [role=status]')?.textContent;
        return { total, longest, found };
      },
      [css, waitedFor] as const,
    );
  };
  const pasted = await paste('colours found');
  console.log(`(${css.length} characters; ${pasted.found})`);
  reportShare(
    'a public style sheet pasted into Gather, until its colours are shown',
    pasted.total,
    1000,
    'ms',
  );
  reportShare('longest frame meanwhile', pasted.longest, 200, 'ms');
  const read = await paste('Read it as a system');
  reportShare('the same, until it is read as a system', read.total, 2000, 'ms');
  reportShare('longest frame meanwhile', read.longest, 100, 'ms');
  const frames = await page.evaluate(
    async (length) => {
      let longest = 0;
      let last = performance.now();
      const end = last + length;
      [...document.querySelectorAll('a')]
        .find((link) => link.textContent?.includes('Read it as a system'))!
        .click();
      while (last < end) {
        const now = await new Promise<number>((done) => requestAnimationFrame(done));
        longest = Math.max(longest, now - last);
        last = now;
      }
      return longest;
    },
    sized(1500, 300),
  );
  reportShare('longest frame while the proposal comes up', frames, 100, 'ms');
}

await measure().finally(close);

import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { paletteOf } from '@mint-lamp/core/picture/palette';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { fullPicture } from '../../packages/core/bench/full-picture.ts';
import { reportShare, SMALL, sized, timeOf } from '../../packages/core/bench/report.ts';
import { post } from '../support/test.ts';
import { openBench } from './in-browser.ts';
import { percentile } from './page-costs.ts';
import { inWorker } from './worker-time.ts';

const FRAME_MS = 1000 / 60;
const LARGE = [sized(8660, 433), sized(5773, 288)] as const;
const CORE = fileURLToPath(new URL('../../packages/core', import.meta.url));
const LIBRARY = fileURLToPath(new URL('../../apps/server/library', import.meta.url));
const MB = 1024 * 1024;
const LOOKED_AT_MS = 2500;

const { page, browser, stack, close } = await openBench();

/** The harbour of the library as a photograph of some size, with fine noise in every pixel. */
async function photograph(width: number, height: number): Promise<Buffer> {
  const grain = await sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 10 },
    },
  })
    .png({ compressionLevel: 0 })
    .toBuffer();
  return sharp(`${LIBRARY}/harbour-at-dusk.jpg`)
    .resize(width, height, { fit: 'fill' })
    .composite([{ input: grain, blend: 'soft-light' }])
    .jpeg({ quality: 85 })
    .toBuffer();
}

async function keep(projectId: string, id: string, file: Buffer): Promise<string> {
  const response = await fetch(`${stack.address}/api/projects/${projectId}/pictures`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: new Uint8Array(file),
  });
  if (!response.ok) throw new Error(await response.text());
  const kept = await response.json();
  const picture = { id, name: id, ...kept, markers: [], moved: [], textOver: null };
  const command = { id: crypto.randomUUID(), command: { type: 'addPicture', picture } };
  const { revision } = (await post(stack, `/projects/${projectId}/commands`, {
    revision: 0,
    commands: [],
  })) as {
    revision: number;
  };
  await post(stack, `/projects/${projectId}/commands`, { revision, commands: [command] });
  return `/p/${projectId}/gather/pictures/${id}`;
}

/** MB that the processes of the browser's pages hold now, and the most they have held. */
async function memory(): Promise<{ now: number; most: number }> {
  const session = await browser.newBrowserCDPSession();
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  await session.detach();
  const sizes = processInfo
    .filter(({ type }) => type === 'renderer')
    .map(({ id }) => {
      const status = readFileSync(`/proc/${id}/status`, 'utf8');
      const kB = (key: string) => Number(new RegExp(`^${key}:\\s+(\\d+)`, 'm').exec(status)?.[1] ?? 0);
      return { now: (kB('VmRSS') * 1024) / MB, most: (kB('VmHWM') * 1024) / MB };
    });
  return sizes.sort((a, b) => b.most - a.most)[0]!;
}

/** Goes on to an address as a link does, watching frames until a text is in the station, and what it says is exact. */
const openAndWatch = (target: Page, address: string, wanted: string) =>
  target.evaluate(
    async ([path, text]) => {
      const start = performance.now();
      let [longest, last, running] = [0, start, true];
      let told = 0;
      const watch = (now: number) => {
        longest = Math.max(longest, now - last);
        last = now;
        if (document.querySelector('progress')) told += 1;
        if (running) requestAnimationFrame(watch);
      };
      requestAnimationFrame(watch);
      history.pushState(null, '', path);
      dispatchEvent(new PopStateEvent('popstate'));
      const station = document.getElementById('station')!;
      while (!station.textContent?.includes(text!)) await new Promise((done) => setTimeout(done, 5));
      const total = performance.now() - start;
      const isExact = () =>
        [...station.querySelectorAll('button')].some(
          (one) => one.ariaLabel === 'All rows to the tray' && !one.disabled,
        );
      while (!isExact()) await new Promise((done) => setTimeout(done, 5));
      running = false;
      return { total, exact: performance.now() - start, longest, told };
    },
    [address, wanted] as const,
  );

/** Milliseconds from each pointer move until what lies under it is shown. */
const aimTimes = (target: Page) =>
  target.evaluate(
    async (count) => {
      const surface = document.querySelector('[role=application]')!;
      const { left, top, width, height } = surface.getBoundingClientRect();
      const times: number[] = [];
      for (let i = 0; i < count; i++) {
        const x = left + width * (0.5 + 0.4 * Math.sin(i / 7));
        const y = top + height * (0.5 + 0.4 * Math.cos(i / 11));
        await new Promise((done) => requestAnimationFrame(done));
        const start = performance.now();
        const shown = new Promise<void>((done) => {
          const observer = new MutationObserver((list) => {
            // The crosshair moves at once; it is the magnified neighbourhood that comes with the colour.
            const isLoupe = list.some(({ target: node }) =>
              (node instanceof Element ? node : node.parentElement)?.closest('[data-testid=loupe]'),
            );
            if (isLoupe || (i === 0 && document.querySelector('[data-testid=loupe]'))) {
              observer.disconnect();
              done();
            }
          });
          observer.observe(surface.parentElement!, {
            subtree: true,
            childList: true,
            attributes: true,
            characterData: true,
          });
        });
        surface.dispatchEvent(new PointerEvent('pointermove', { bubbles: true, clientX: x, clientY: y }));
        await shown;
        times.push(performance.now() - start);
      }
      return times;
    },
    sized(200, 3),
  );

async function measure() {
  const { id } = (await post(stack, '/projects', { name: 'Pictures' })) as { id: string };
  const large = await photograph(LARGE[0], LARGE[1]);
  console.log(`(50 megapixels, ${(large.length / 1e6).toFixed(1)} MB of JPEG)`);
  const largeAddress = await keep(id, 'large', large);
  const middle = await photograph(sized(3000, 300), sized(2000, 200));
  const middleAddress = await keep(id, 'middle', middle);

  await page.goto(`${stack.address}/p/${id}/gather/pictures`);
  await page.getByRole('list', { name: 'Pictures of the project' }).waitFor();
  // The list is looked at before one is chosen.
  await page.waitForTimeout(sized(LOOKED_AT_MS, 100));
  const before = await memory();
  const opened = await openAndWatch(page, largeAddress, 'Farthest apart');
  console.log(
    `(palettes of all 50 megapixels after ${(opened.exact / 1000).toFixed(1)} s; progress was seen in ${opened.told} frames)`,
  );
  reportShare('50 megapixels opened, with six palettes', opened.total, 1300, 'ms');
  reportShare('longest frame while 50 megapixels are opened', opened.longest, 100, 'ms');
  const after = await memory();
  const pixelsMB = (LARGE[0] * LARGE[1] * 4) / MB;
  // What a small picture takes is lost in what the page holds anyhow.
  const held = (name: string, figure: number, limit: number) =>
    SMALL ? undefined : reportShare(name, figure, limit, 'MB');
  held(
    'memory of the page with 50 megapixels, against its pixels alone',
    after.now - before.now,
    pixelsMB * 2,
  );
  held('the most that it held meanwhile', after.most - before.now, pixelsMB * 3);
  const times = await aimTimes(page);
  reportShare(
    'from a pointer move over 50 megapixels to its colour, median',
    percentile(times, 0.5),
    FRAME_MS,
    'ms',
  );
  reportShare('the same, 95th percentile', percentile(times, 0.95), FRAME_MS, 'ms');
  await page.getByLabel('Averaged area').selectOption('101 × 101 px');
  const wide = await aimTimes(page);
  reportShare('the same with an area of 101 px, 95th percentile', percentile(wide, 0.95), FRAME_MS, 'ms');

  await page.goto(`${stack.address}/p/${id}/gather/pictures`);
  await page.getByRole('list', { name: 'Pictures of the project' }).waitFor();
  // The list is looked at before one is chosen.
  await page.waitForTimeout(sized(LOOKED_AT_MS, 100));
  const six = await openAndWatch(page, middleAddress, 'Farthest apart');
  reportShare('6 megapixels opened, with six palettes', six.total, 550, 'ms');
  console.log(`(palettes of all 6 megapixels after ${six.exact.toFixed(0)} ms)`);

  const pixels = fullPicture(3000, 2000);
  const here = timeOf(() => paletteOf(pixels, 6), 7);
  const there = await inWorker<number>(
    page,
    `import { paletteOf } from '${CORE}/src/picture/palette.ts';
     import { fullPicture } from '${CORE}/bench/full-picture.ts';
     import { timeOf } from '${CORE}/bench/report.ts';
     const pixels = fullPicture(3000, 2000);
     postMessage(timeOf(() => paletteOf(pixels, 6), 7));`,
  );
  console.log(
    `(a palette of 6 from 6 megapixels: ${here.toFixed(1)} ms in Node, ${there.toFixed(1)} ms in the browser's worker)`,
  );
  reportShare(
    "a palette of 6 from 6 megapixels in the browser's worker, against Node",
    there / here,
    1.5,
    'times',
  );
}

await measure().finally(close);

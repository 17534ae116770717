import { fileURLToPath } from 'node:url';
import { reportShare, sized } from '../../packages/core/bench/report.ts';
import { openBench } from './in-browser.ts';
import { inWorker } from './worker-time.ts';

// A line of 4,000 px across a picture becomes a gradient, in a worker of the browser: as soon as it is drawn.
const LIMIT_MS = 50;
const CORE = fileURLToPath(new URL('../../packages/core', import.meta.url));

interface Followed {
  readonly ms: number;
  readonly stops: number;
  readonly mean: number;
  readonly reached: boolean;
}

const { page, close } = await openBench();

async function measure() {
  for (const tolerance of [0.05, 0.03, 0.02].slice(0, sized(3, 1))) {
    const lines = await inWorker<Followed[]>(
      page,
      `import { followRow } from '${CORE}/src/gradient/follow-row.ts';
       import { rowAlong } from '${CORE}/src/picture/row.ts';
       import { fullPicture } from '${CORE}/bench/full-picture.ts';
       const picture = { width: 4000, height: 400, pixels: fullPicture(4000, 400) };
       const out = [];
       for (let i = 0; i < ${sized(24, 6)}; i++) {
         const start = performance.now();
         const row = rowAlong(picture, { x1: 0, y1: 20 + i * 15, x2: 3999, y2: 380 - i * 15 }, 5);
         const { stops, mean, reached } = followRow(row, ${tolerance});
         out.push({ ms: performance.now() - start, stops: stops.length, mean, reached });
       }
       postMessage(out.slice(4));`,
    );
    const ms = lines.map((line) => line.ms).sort((a, b) => a - b);
    const means = lines.filter(({ reached }) => reached).map(({ mean }) => mean);
    const stops = lines.map((line) => line.stops);
    reportShare(
      `a line of 4,000 px followed within ${tolerance}, the longest of ${ms.length}`,
      ms.at(-1)!,
      LIMIT_MS,
      'ms',
    );
    console.log(
      `(the median ${ms[Math.floor(ms.length / 2)]!.toFixed(1)} ms; ${Math.min(...stops)} to ${Math.max(...stops)} stops; ${means.length} of ${ms.length} within what is asked, their mean difference ${Math.max(0, ...means).toFixed(4)} at most)`,
    );
  }
}

await measure().finally(close);

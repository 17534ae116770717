import type { Locator } from '@playwright/test';
import { reportShare, SMALL, sized } from '../../packages/core/bench/report.ts';
import { onServer, SKERRY, send } from '../support/test.ts';
import { openBench } from './in-browser.ts';
import { makeLargestProject } from './largest-project.ts';
import { costs, percentile } from './page-costs.ts';
import { PART_NAMES, type Parts, tracedFrames } from './page-trace.ts';

// What the page's thread is at in each frame while something is dragged at a pointer's pace, with everything that follows
// it: script, style, layout, paint, composite, garbage, in the largest project and in the demo. `MINT_TRACE` runs those
// whose name contains it.
const wanted = process.env.MINT_TRACE ?? '';
const { page, browser, stack, close } = await openBench();

/** What frames are made of, as shares of them. */
function sharesOf(parts: readonly Parts[]): string {
  const total = parts.reduce((sum, { all }) => sum + all, 0);
  return PART_NAMES.map((name) => {
    const of = parts.reduce((sum, one) => sum + one[name], 0);
    return `${name} ${Math.round((of / total) * 100)} %`;
  }).join(', ');
}

const at = async (what: Locator) => {
  // What comes into the window is laid out then, and may move what it was scrolled for.
  for (let i = 0; i < 2; i++) {
    await what.first().scrollIntoViewIfNeeded();
    await page.waitForTimeout(sized(300, 50));
  }
  const { x, y, width, height } = (await what.first().boundingBox())!;
  return { x: x + width / 2, y: y + height / 2 };
};

interface Gesture {
  readonly name: string;
  /** Where in a project. */
  readonly station: string;
  readonly hold: () => Locator;
  /** What is done before it is taken hold of. */
  readonly before?: () => Promise<unknown>;
  readonly across?: number;
  readonly down?: number;
}

const slider = (name: RegExp | string) => page.getByRole('slider', { name, exact: typeof name === 'string' });
const asPlane = async (wanted: boolean) => {
  const other = page.getByRole('button', {
    name: `Lightness and chroma as ${wanted ? 'a plane' : 'tracks'}`,
  });
  if (await other.isVisible()) await other.click();
};

/** What is dragged; ids of one project. */
const gestures = (of: {
  family: string;
  name: string;
  gradient: string;
  pair: string;
  stop: number;
}): Gesture[] => [
  {
    name: 'a base',
    station: `grow/${of.family}`,
    hold: () => slider(new RegExp(`^Base of ${of.name},`)),
    across: 100,
    before: () => asPlane(true),
  },
  {
    name: 'a curve’s point',
    station: `grow/${of.family}`,
    hold: () => page.locator('[data-step]').nth(2),
    down: 4,
  },
  {
    name: 'the hue beside the plane',
    station: `grow/${of.family}`,
    before: () => asPlane(true),
    hold: () => slider('Hue'),
    across: 60,
  },
  {
    name: 'the plane',
    station: `grow/${of.family}`,
    before: () => asPlane(true),
    hold: () => slider('Lightness and chroma'),
    across: 40,
    down: 20,
  },
  {
    name: 'the lightness with the sheet open',
    station: 'assign',
    before: () => asPlane(false),
    hold: () => slider('Lightness'),
    across: 60,
  },
  { name: 'a post', station: `fade/${of.gradient}`, hold: () => slider(`Stop ${of.stop}`), across: 5 },
  {
    name: 'a pair’s end',
    station: `check/${of.pair}`,
    hold: () => slider(/^Lightness of the text/),
    across: 60,
  },
  {
    name: 'a peg',
    station: 'gather/relatives',
    hold: () => page.getByRole('button', { name: /^Peg 2 of Triadic/ }),
    across: 60,
  },
];

async function drag(
  where: string,
  id: string,
  limit: number,
  { name, station, hold, before, across = 0, down = 0 }: Gesture,
) {
  const whole = `${where}: dragging ${name}`;
  if (!whole.includes(wanted)) return;
  await page.goto(`${stack.address}/p/${id}/${station}`);
  await hold()
    .or(page.getByRole('button', { name: /as (a plane|tracks)$/ }))
    .first()
    .waitFor();
  await before?.();
  await hold().first().waitFor();
  // Until all that follows behind the opening has come.
  await page.waitForTimeout(sized(6000, 300));
  const { x, y } = await at(hold());
  const hasMoved = await hold()
    .first()
    .evaluateHandle((element) => {
      const told = { moved: false };
      const observer = new MutationObserver(() => {
        told.moved = true;
      });
      // Where many stand close to each other, its neighbour may have been taken.
      observer.observe(element.parentElement!, { attributes: true, subtree: true });
      return told;
    });
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.keyboard.down('Alt');
  const move = (i: number) => page.mouse.move(x + across * Math.sin(i / 7), y + down * Math.sin(i / 7));
  // Some moves first, so that the figures are not those of code that the browser has not compiled yet.
  await costs(page, move, 40);
  // A press that missed would be measured as a drag that costs nothing.
  if (!SMALL) await page.waitForFunction(({ moved }) => moved, hasMoved);
  const { all } = await costs(page, move, 80);
  const moves = 300;
  const frames = await tracedFrames(browser, page, move, moves);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await page.keyboard.up('Alt');
  const shown = (frames.length / sized(moves, 6)) * 60;
  console.log(
    `${whole}: ${sharesOf(frames)}; ${shown.toFixed(0)} frames a second; ` +
      `a move and two frames by the clock on the wall ${percentile(all, 0.5).toFixed(1)} ms at the median`,
  );
  for (const [which, share] of [
    ['median', 0.5],
    ['95th percentile', 0.95],
  ] as const)
    reportShare(
      `${whole}, everything in a frame, ${which}`,
      percentile(
        frames.map((frame) => frame.all),
        share,
      ),
      limit,
      'ms',
    );
}

async function measure() {
  const { document } = await onServer(stack, SKERRY);
  await send(stack, SKERRY, [{ type: 'setRelativesSource', color: '#e2552b' }]);
  for (const gesture of gestures({
    family: 'deepwater',
    name: 'Deepwater',
    gradient: document.gradients[0].id,
    pair: document.pairs[0].id,
    stop: 2,
  }))
    await drag('the demo', SKERRY, 8, gesture);
  if (SMALL) return;
  const id = await makeLargestProject(stack);
  await send(stack, id, [{ type: 'setRelativesSource', color: '#e2552b' }]);
  for (const gesture of gestures({ family: 'f0', name: 'Family 0', gradient: 'g0', pair: 'p0', stop: 30 }))
    await drag('the largest', id, 16, gesture);
}

await measure().finally(close);

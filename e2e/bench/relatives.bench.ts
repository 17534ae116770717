import { reportShare } from '../../packages/core/bench/report.ts';
import { SKERRY, send } from '../support/test.ts';
import { openBench } from './in-browser.ts';
import { costs, percentile } from './page-costs.ts';

const FRAME_MS = 16;

const { page, stack, close } = await openBench();

async function measure() {
  await send(stack, SKERRY, [{ type: 'setRelativesSource', color: '#e2552b' }]);
  await page.goto(`${stack.address}/p/${SKERRY}/gather/relatives`);
  const dragging = async (name: string, what: ReturnType<typeof page.locator>) => {
    await what.scrollIntoViewIfNeeded();
    const box = (await what.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    const { script } = await costs(page, (i) => page.mouse.move(x + 60 * Math.sin(i / 7), y), 150);
    await page.keyboard.press('Escape');
    await page.mouse.up();
    await page.keyboard.press('Control+z');
    reportShare(`${name}, script per move, median`, percentile(script, 0.5), FRAME_MS, 'ms');
    reportShare(`${name}, script per move, 95th percentile`, percentile(script, 0.95), FRAME_MS, 'ms');
  };
  await dragging(
    'all relations while a peg is dragged',
    page.getByRole('button', { name: /^Peg 2 of Triadic/ }),
  );
  await dragging(
    'all relations while the source is made lighter and darker',
    page.getByRole('slider', { name: 'Lightness of the source' }),
  );
  await page.getByRole('listitem', { name: 'Analogous', exact: true }).getByLabel('move separately').check();
  await dragging(
    'one relation while a peg is dragged alone',
    page.getByRole('button', { name: /^Peg 2 of Analogous/ }),
  );
}

await measure().finally(close);

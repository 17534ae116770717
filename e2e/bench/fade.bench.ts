import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { stopAt } from '@mint-lamp/core/document/gradients/gradient';
import { reportShare, sized } from '../../packages/core/bench/report.ts';
import { post, send } from '../support/test.ts';
import { openBench } from './in-browser.ts';
import { costs, percentile } from './page-costs.ts';

// A post of a gradient with 64 stops is dragged, with its profile open and three themes beside: within a frame.
const STOPS = 64;
const FRAME = 16.7;
const { page, stack, close } = await openBench();

async function measure() {
  const { id } = await post(stack, '/projects', { name: 'Fade' });
  const shades = SKERRY_LINE.families.flatMap(({ id: family, growth }) =>
    growth.labels.map((shade) => ({ to: 'shade', family, shade }) as const),
  );
  const first = SKERRY_LINE.gradients[0]!;
  const gradient = {
    ...first,
    stops: Array.from({ length: STOPS }, (_, i) =>
      stopAt(`s${i}`, Math.round((i / (STOPS - 1)) * 1000) / 10, shades[(i * 7) % shades.length]!),
    ),
  };
  await send(stack, id, [
    ...['Day', 'Night', 'Storm', 'Fog'].map((name) => ({
      type: 'addTheme',
      theme: { id: name.toLowerCase(), name },
      links: {},
    })),
    { type: 'removeTheme', theme: 'light' },
    { type: 'removeTheme', theme: 'dark' },
    ...SKERRY_LINE.families.map((family) => ({ type: 'addFamily', family })),
    { type: 'addGradient', gradient },
  ]);
  await page.goto(`${stack.address}/p/${id}/fade/${gradient.id}`);
  const handle = page.getByRole('slider', { name: 'Stop 30' });
  await handle.waitFor();
  await page.waitForTimeout(sized(6000, 300));
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + 8];
  await page.mouse.move(x, y);
  await page.mouse.down();
  // Between its neighbours, and without snapping, so that every move moves it.
  await page.keyboard.down('Alt');
  const move = (i: number) => page.mouse.move(x + 6 * Math.sin(i / 3), y);
  await costs(page, move, 40);
  const { script, all } = await costs(page, move, 120);
  await page.mouse.up();
  await page.keyboard.up('Alt');
  for (const [name, values] of [
    ['script', script],
    ['everything', all],
  ] as const)
    for (const [which, at] of [
      ['median', 0.5],
      ['95th percentile', 0.95],
    ] as const)
      reportShare(
        `dragging a post of ${STOPS}, ${name} per move, ${which}`,
        percentile(values, at),
        FRAME,
        'ms',
      );
  const lane = (await page.locator('[data-lane=lightness]').boundingBox())!;
  const knob = (await page.locator('[data-knob="30"]').boundingBox())!;
  await page.mouse.move(knob.x + 8, knob.y + 8);
  await page.mouse.down();
  const walk = (i: number) =>
    page.mouse.move(knob.x + 8, lane.y + lane.height * (0.5 + 0.4 * Math.sin(i / 5)));
  await costs(page, walk, 40);
  const walked = await costs(page, walk, 80);
  await page.mouse.up();
  reportShare(
    `walking a post of ${STOPS} along its family, script per move, 95th percentile`,
    percentile(walked.script, 0.95),
    FRAME,
    'ms',
  );
}

await measure().finally(close);

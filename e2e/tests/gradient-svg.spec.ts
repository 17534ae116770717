import { writeGradientSvg } from '@mint-lamp/core/exchange/gradient-svg';
import { radiiIn } from '@mint-lamp/core/gradient/geometry';
import { type CssGradient, placeStops } from '@mint-lamp/core/gradient/model';
import { anyGradient } from '@mint-lamp/core/gradient/random-gradient.fixture';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import { hasOwnRules } from '../support/painted-otherwise.ts';
import { expect, test } from '../support/test.ts';

const [WIDTH, HEIGHT, COUNT] = [120, 60, 300];

test('a gradient as SVG is drawn by Chromium as its CSS is painted, within 2 of 255', async ({ page }) => {
  // A hint's curve is painted in pieces from CSS and drawn as itself from SVG.
  const hinted = (g: CssGradient) => g.stops.some(({ kind }) => kind === 'hint');
  const fine = (g: CssGradient) => {
    const { first, last } = placeStops(g);
    const extent = g.kind === 'radial' ? Math.min(...radiiIn(g, { width: WIDTH, height: HEIGHT })) : WIDTH;
    return !g.repeating || (last - first >= 20 && extent >= 20);
  };
  const alike = anyGradient.filter((g) => !hasOwnRules(g) && !hinted(g) && fine(g) && g.kind !== 'conic');
  const gradients = fc.sample(alike, { numRuns: COUNT, seed: 20_261_127 });
  const boxes = gradients.map((g) => {
    const svg = writeGradientSvg(g, { width: WIDTH, height: HEIGHT }, 'x').replaceAll('gradient"', `g"`);
    const data = `data:image/svg+xml;base64,${Buffer.from(svg.replaceAll('url(#gradient)', 'url(#g)')).toString('base64')}`;
    return `<p><i style='background:${writeGradient(g)}'></i><i style="background:url(${data})"></i></p>`;
  });
  await page.setViewportSize({ width: WIDTH * 2, height: HEIGHT * COUNT });
  await page.setContent(`<style>
    body { margin: 0; background: #fff } p { margin: 0; display: flex } i { width: ${WIDTH}px; height: ${HEIGHT}px }
  </style>${boxes.join('')}`);
  const png = PNG.sync.read(await page.screenshot());
  const pixel = (x: number, y: number) => {
    const at = (y * png.width + x) * 4;
    return [png.data[at]!, png.data[at + 1]!, png.data[at + 2]!];
  };
  const faults: string[] = [];
  gradients.forEach((gradient, row) => {
    let worst = 0;
    for (let y = 2; y < HEIGHT - 2; y += 5)
      for (let x = 2; x < WIDTH - 2; x += 7) {
        const drawn = pixel(WIDTH + x, row * HEIGHT + y);
        // Beside a hard edge either side is right.
        const around = [-1, 0, 1].flatMap((dx) =>
          [-1, 0, 1].map((dy) => pixel(x + dx, row * HEIGHT + y + dy)),
        );
        drawn.forEach((v, i) => {
          const values = around.map((one) => one[i]!);
          worst = Math.max(worst, Math.min(...values) - v, v - Math.max(...values));
        });
      }
    if (worst > 2) faults.push(`${worst}: ${writeGradient(gradient)}`);
  });
  console.log(`${COUNT - faults.length} of ${COUNT} gradients are drawn alike`);
  expect(faults).toEqual([]);
});

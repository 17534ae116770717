import { paintIn } from '@mint-lamp/core/gradient/geometry';
import { placeStops } from '@mint-lamp/core/gradient/model';
import { anyGradient } from '@mint-lamp/core/gradient/random-gradient.fixture';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import { expect, test } from '../support/test.ts';

const [WIDTH, HEIGHT, PER_PAGE] = [120, 60, 40];

test('gradients of every kind are painted by Chromium as the core computes them', async ({ page }) => {
  test.setTimeout(120_000);
  // The rectangular spaces. Left out, since nothing or next to nothing is there to compare: hints, which Chromium
  // turns into stops of its own making; places out of order, whose hard edges fall together; repeating gradients
  // with hardly a stretch to repeat; radial ones that touch the side they are to end at.
  const alike = anyGradient.filter((gradient) => {
    const { space, stops, repeating } = gradient;
    if (/lch|hsl|hwb/.test(space) || stops.some((item) => item.kind === 'hint')) return false;
    const given = stops.flatMap((item) =>
      item.kind === 'stop' ? item.places.map(({ value }) => value) : [],
    );
    const ordered = given.every((value, i) => value <= 100 && (i === 0 || value > given[i - 1]! + 2));
    if (!ordered) return false;
    if (gradient.kind === 'radial' && gradient.center.some(({ value }) => value < 5 || value > 95))
      return false;
    const { first, last } = placeStops(gradient);
    return !repeating || last - first > 10;
  });
  const gradients = fc.sample(alike, { numRuns: 200, seed: 20_261_125 });
  const faults: string[] = [];
  for (let from = 0; from < gradients.length; from += PER_PAGE) {
    const part = gradients.slice(from, from + PER_PAGE);
    const boxes = part.map(
      (g) => `<div style='width:${WIDTH}px;height:${HEIGHT}px;background:${writeGradient(g)}'></div>`,
    );
    await page.setViewportSize({ width: 400, height: HEIGHT * PER_PAGE });
    await page.setContent(`<style>body{margin:0;background:#fff}</style>${boxes.join('')}`);
    const png = PNG.sync.read(
      await page.screenshot({ clip: { x: 0, y: 0, width: WIDTH, height: HEIGHT * part.length } }),
    );
    part.forEach((gradient, row) => {
      const painter = paintIn(gradient, { width: WIDTH, height: HEIGHT });
      const translucent = gradient.stops.some((item) => item.kind === 'stop' && item.color.alpha < 1);
      const allowed = translucent ? 2 : 1;
      let worst = 0;
      for (let y = 3; y < HEIGHT; y += 9)
        for (let x = 2; x < WIDTH; x += 7) {
          const seen = (px: number, py: number) => {
            const c = painter.colorAt({ x: px, y: py });
            return [c.r, c.g, c.b].map((v) => v * c.alpha + 255 * (1 - c.alpha));
          };
          // Within a pixel of a hard edge either side is right.
          const around = [-0.6, 0, 0.6].flatMap((dx) =>
            [-0.6, 0, 0.6].map((dy) => seen(x + 0.5 + dx, y + 0.5 + dy)),
          );
          const at = ((row * HEIGHT + y) * WIDTH + x) * 4;
          for (let i = 0; i < 3; i++) {
            const values = around.map((c) => c[i]!);
            const painted = png.data[at + i]!;
            worst = Math.max(worst, Math.min(...values) - painted, painted - Math.max(...values));
          }
        }
      if (worst > allowed + 0.01) faults.push(`${worst.toFixed(2)}: ${writeGradient(gradient)}`);
    });
  }
  console.log(`${gradients.length - faults.length} of ${gradients.length} gradients agree`);
  expect(faults).toEqual([]);
});

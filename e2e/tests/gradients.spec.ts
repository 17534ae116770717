import { paintIn } from '@mint-lamp/core/gradient/geometry';
import { hintsAsStops } from '@mint-lamp/core/gradient/hints-as-stops';
import { colorAtPlace } from '@mint-lamp/core/gradient/model';
import { anyGradient } from '@mint-lamp/core/gradient/random-gradient.fixture';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import { hasOwnRules } from '../support/painted-otherwise.ts';
import { expect, test } from '../support/test.ts';

const [WIDTH, HEIGHT, PER_PAGE, COUNT] = [120, 60, 40, 300];

test('gradients of every kind are painted by Chromium as the core computes them', async ({ page }) => {
  test.setTimeout(180_000);
  const alike = anyGradient.filter((gradient) => !hasOwnRules(gradient));
  const gradients = fc.sample(alike, { numRuns: COUNT, seed: 20_261_125 });
  for (const [key, kinds] of [
    ['kind', 3],
    ['space', 8],
    ['hueWay', 4],
    ['repeating', 2],
  ] as const)
    expect(new Set(gradients.map((gradient) => gradient[key])).size, key).toBe(kinds);
  expect(gradients.filter(({ stops }) => stops.some(({ kind }) => kind === 'hint')).length).toBeGreaterThan(
    50,
  );
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
      const hinted = gradient.stops.some((item) => item.kind === 'hint');
      const pieces = hintsAsStops(painter.placed);
      const translucent = gradient.stops.some((item) => item.kind === 'stop' && item.color.alpha < 1);
      const allowed = translucent ? 2 : 1;
      let worst = 0;
      for (let y = 3; y < HEIGHT; y += 9)
        for (let x = 2; x < WIDTH; x += 7) {
          const seen = (px: number, py: number) => {
            const point = { x: px, y: py };
            const c = hinted ? colorAtPlace(pieces, painter.placeAt(point)) : painter.colorAt(point);
            return [c.r, c.g, c.b].map((v) => Math.round(v * c.alpha + 255 * (1 - c.alpha)));
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
      if (worst > allowed) faults.push(`${worst}: ${writeGradient(gradient)}`);
    });
  }
  console.log(`${gradients.length - faults.length} of ${gradients.length} gradients agree`);
  expect(faults).toEqual([]);
});

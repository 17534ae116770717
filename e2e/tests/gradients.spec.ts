import { convert, numbers } from '@mint-lamp/core/color/convert';
import { color } from '@mint-lamp/core/color/spaces';
import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import { paintIn } from '@mint-lamp/core/gradient/geometry';
import { type CssGradient, colorAtPlace, placeStops } from '@mint-lamp/core/gradient/model';
import { anyGradient } from '@mint-lamp/core/gradient/random-gradient.fixture';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import { hintsAsStops } from '../support/hints-as-stops.ts';
import { expect, test } from '../support/test.ts';

const [WIDTH, HEIGHT, PER_PAGE, COUNT] = [120, 60, 40, 300];

/** Where Chromium paints otherwise than CSS Color 4 and CSS Images 4 say; see docs/decisions.md. */
function paintedOtherwise(gradient: CssGradient): boolean {
  const { space, hueWay, stops } = gradient;
  if (!/lch|hsl|hwb/.test(space)) return false;
  // Any way but the shorter one: a whole turn before the first stop, and one in every piece of a hint's curve.
  const hinted = stops.some((item) => item.kind === 'hint');
  if (hueWay !== 'shorter' && (hinted || placeStops(gradient).first > 0)) return true;
  // Nearly grey colours keep or lose their hue at other limits.
  const chroma = (c: Rgba) => numbers(convert(color('srgb', [c.r / 255, c.g / 255, c.b / 255]), 'oklch'))[1];
  return space.endsWith('lch') && stops.some((item) => item.kind === 'stop' && chroma(item.color) < 0.021);
}

/** Whether a repeating gradient repeats within so few pixels that any neighbour pixel may hold any colour. */
function tooFine(gradient: CssGradient): boolean {
  const { first, last } = placeStops(gradient);
  // A radial one that touches the side it is to end at has no extent: the average of a hint's pieces is not ours.
  const touches =
    gradient.kind === 'radial' &&
    gradient.center.some(({ value }) => value === 0 || value === 100) &&
    gradient.stops.some((item) => item.kind === 'hint');
  return gradient.repeating && (touches || (last > first && last - first < 10));
}

test('gradients of every kind are painted by Chromium as the core computes them', async ({ page }) => {
  test.setTimeout(180_000);
  const alike = anyGradient.filter((gradient) => !paintedOtherwise(gradient) && !tooFine(gradient));
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

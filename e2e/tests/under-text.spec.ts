import { groundsUnder, shareFailing, worstOnGrounds } from '@mint-lamp/core/contrast/over-colors';
import { contrastRatio, type Rgba } from '@mint-lamp/core/contrast/ratio';
import { alongGradient } from '@mint-lamp/core/gradient/along-gradient';
import type { Area } from '@mint-lamp/core/gradient/area';
import { colorsAt, coveredBy } from '@mint-lamp/core/gradient/covered';
import { paintIn } from '@mint-lamp/core/gradient/geometry';
import { type CssGradient, placeStops } from '@mint-lamp/core/gradient/model';
import { anyGradient } from '@mint-lamp/core/gradient/random-gradient.fixture';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import { areaColors } from '@mint-lamp/core/picture/area-colors';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import { hasOwnRules } from '../support/painted-otherwise.ts';
import { expect, test } from '../support/test.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };
const [WIDTH, HEIGHT, COUNT] = [160, 70, 100];

const STYLE = `<style>
  body { margin: 0; background: #fff } div { width: ${WIDTH}px; height: ${HEIGHT}px } i { display: block; height: 100% }
</style>`;

/** Painted pixels of an area. */
function pixelsIn(png: PNG, { x, y, width, height }: Area): Rgba[] {
  const out: Rgba[] = [];
  for (let j = y; j < y + height; j++)
    for (let i = x; i < x + width; i++) {
      const at = (j * png.width + i) * 4;
      out.push({ r: png.data[at]!, g: png.data[at + 1]!, b: png.data[at + 2]!, alpha: 1 });
    }
  return out;
}

/** The least ratio of a text over painted pixels. */
const leastPainted = (png: PNG, text: Rgba, area: Area) =>
  Math.min(...pixelsIn(png, area).map((ground) => contrastRatio(text, ground)));

/** What one step of 8 bits in every channel of a ground is worth. */
function oneStep(text: Rgba, ground: Rgba): number {
  const { r, g, b } = ground;
  const now = contrastRatio(text, ground);
  return Math.max(
    ...[-1, 1].map((by) =>
      Math.abs(contrastRatio(text, { r: r + by, g: g + by, b: b + by, alpha: 1 }) - now),
    ),
  );
}

const channel = fc.integer({ min: 0, max: 255 });
const anyText = fc.oneof(
  fc.constantFrom<Rgba>({ r: 255, g: 255, b: 255, alpha: 1 }, { r: 7, g: 25, b: 30, alpha: 1 }),
  fc.record({ r: channel, g: channel, b: channel, alpha: fc.constant(1) }),
);
const anyVeil = fc.option(
  fc.record({ r: channel, g: channel, b: channel, alpha: fc.constantFrom(0.2, 0.55, 0.8) }),
  { freq: 2 },
);
const anyArea = fc.tuple(fc.nat(WIDTH - 20), fc.nat(HEIGHT - 12), fc.nat(), fc.nat()).map(
  ([x, y, w, h]): Area => ({
    x,
    y,
    width: 12 + (w % (WIDTH - x - 12)),
    height: 8 + (h % (HEIGHT - y - 8)),
  }),
);

test('the worst ratio over a gradient is that of the worst pixel that Chromium paints', async ({ page }) => {
  const alike = anyGradient.filter((gradient) => !hasOwnRules(gradient));
  const drawn = fc.sample(fc.tuple(alike, anyText, anyVeil, anyArea), { numRuns: COUNT, seed: 20_261_126 });
  const boxes = drawn.map(([gradient, , veil]) => {
    const over = veil ? `<i style="background:rgb(${veil.r} ${veil.g} ${veil.b} / ${veil.alpha})"></i>` : '';
    return `<div style='background:${writeGradient(gradient)}'>${over}</div>`;
  });
  await page.setViewportSize({ width: WIDTH, height: HEIGHT * COUNT });
  await page.setContent(`${STYLE}${boxes.join('')}`);
  const png = PNG.sync.read(await page.screenshot());
  let [most, close] = [0, 0];
  const faults: string[] = [];
  drawn.forEach(([gradient, text, veil, area], row) => {
    const painter = paintIn(gradient, { width: WIDTH, height: HEIGHT });
    const grounds = groundsUnder(colorsAt(painter, coveredBy(painter, area)), WHITE, veil);
    const { ratio, ground } = worstOnGrounds(text, grounds);
    const off = Math.abs(ratio - leastPainted(png, text, { ...area, y: area.y + row * HEIGHT }));
    most = Math.max(most, off);
    if (off <= 0.05) close += 1;
    else if (off > oneStep(text, ground)) faults.push(`${off.toFixed(3)}: ${writeGradient(gradient)}`);
  });
  console.log(`${close} of ${COUNT} gradients within 0.05; off by ${most.toFixed(3)} at most`);
  expect(faults).toEqual([]);
  expect(close).toBeGreaterThanOrEqual(98);
});

test('the stretch that is told of a text along a line is that of the pixels that Chromium paints', async ({
  page,
}) => {
  const [LENGTH, ROW] = [1000, 3];
  const alike = anyGradient.filter((gradient) => !hasOwnRules({ ...gradient, repeating: false }));
  const drawn = fc.sample(fc.tuple(alike, anyText, fc.constantFrom(3, 4.5, 7)), {
    numRuns: COUNT,
    seed: 20_261_127,
  });
  const lines = drawn.map(([gradient]): CssGradient => {
    const { space, hueWay, stops } = gradient;
    return {
      kind: 'linear',
      direction: { by: 'angle', degrees: 90 },
      repeating: false,
      space,
      hueWay,
      stops,
    };
  });
  const boxes = lines.map((line) => `<p style='background:${writeGradient(line)}'></p>`);
  await page.setViewportSize({ width: LENGTH, height: ROW * COUNT });
  await page.setContent(
    `<style>body { margin: 0; background: #fff } p { margin: 0; height: ${ROW}px }</style>${boxes.join('')}`,
  );
  const png = PNG.sync.read(await page.screenshot());
  const faults: string[] = [];
  let close = 0;
  drawn.forEach(([, text, required], row) => {
    const line = lines[row]!;
    const { passing, worst } = alongGradient(text, placeStops(line, LENGTH), WHITE, required);
    const told = (at: number) => passing.some(({ from, to }) => at >= from && at <= to);
    const edges = passing.flatMap(({ from, to }) => [from, to]);
    const ratios = pixelsIn(png, { x: 0, y: row * ROW + 1, width: LENGTH, height: 1 }).map((ground) =>
      contrastRatio(text, ground),
    );
    ratios.forEach((ratio, x) => {
      const at = ((x + 0.5) / LENGTH) * 100;
      // A pixel that an edge goes through is on either side of it.
      if (edges.some((edge) => Math.abs(edge - at) < 0.11)) return;
      const off = told(at) ? required - ratio : ratio - required;
      const { r, g, b } = pixelsIn(png, { x, y: row * ROW + 1, width: 1, height: 1 })[0]!;
      if (off > Math.max(0.05, oneStep(text, { r, g, b, alpha: 1 })))
        faults.push(`${off.toFixed(3)} at ${at}: ${writeGradient(line)}`);
    });
    if (Math.abs(worst.ratio - Math.min(...ratios)) <= 0.05) close += 1;
    else if (Math.min(...ratios) - worst.ratio > 0.3) faults.push(`worst: ${writeGradient(line)}`);
  });
  console.log(`${close} of ${COUNT} worst places along a line within 0.05`);
  expect(faults).toEqual([]);
  expect(close).toBeGreaterThanOrEqual(98);
});

/** A picture of soft light, hard-edged discs and grain. */
function drawnPicture(seed: number): PNG {
  const random = (n: number) => {
    const v = Math.sin(seed * 127.1 + n * 311.7) * 43758.5453;
    return v - Math.floor(v);
  };
  const png = new PNG({ width: WIDTH, height: HEIGHT });
  const discs = Array.from({ length: 5 }, (_, i) => ({
    x: random(i) * WIDTH,
    y: random(i + 9) * HEIGHT,
    r: 6 + random(i + 20) * 24,
    color: [0, 1, 2].map((k) => random(i * 3 + k + 30) * 255),
  }));
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const disc = discs.find((one) => Math.hypot(one.x - x, one.y - y) < one.r);
      for (let k = 0; k < 3; k++) {
        const light = 40 + 170 * Math.abs(Math.sin(x / 60 + k + random(k + 60) * 6) * Math.cos(y / 40));
        const grain = (random(x * 13.7 + y * 7.3 + k) - 0.5) * 24;
        png.data[(y * WIDTH + x) * 4 + k] = Math.min(255, Math.max(0, (disc?.color[k] ?? light) + grain));
      }
      png.data[(y * WIDTH + x) * 4 + 3] = 255;
    }
  return png;
}

test('the worst ratio over a picture is that of the worst pixel that Chromium paints', async ({ page }) => {
  const drawn = fc.sample(fc.tuple(anyText, anyVeil, anyArea), { numRuns: 20, seed: 20_261_126 });
  const pictures = drawn.map((_, i) => drawnPicture(i + 1));
  const boxes = drawn.map(([, veil], i) => {
    const over = veil ? `<i style="background:rgb(${veil.r} ${veil.g} ${veil.b} / ${veil.alpha})"></i>` : '';
    const data = PNG.sync.write(pictures[i]!).toString('base64');
    return `<div style='background:url(data:image/png;base64,${data})'>${over}</div>`;
  });
  await page.setViewportSize({ width: WIDTH, height: HEIGHT * 20 });
  await page.setContent(`${STYLE}${boxes.join('')}`);
  const png = PNG.sync.read(await page.screenshot());
  drawn.forEach(([text, veil, area], row) => {
    const { data } = pictures[row]!;
    const pixels = Buffer.concat(
      Array.from({ length: area.height }, (_, j) => {
        const from = ((area.y + j) * WIDTH + area.x) * 4;
        return data.subarray(from, from + area.width * 4);
      }),
    );
    const grounds = groundsUnder(areaColors(pixels), WHITE, veil);
    const told = worstOnGrounds(text, grounds);
    const painted = pixelsIn(png, { ...area, y: area.y + row * HEIGHT });
    expect(told.ratio).toBeCloseTo(leastPainted(png, text, { ...area, y: area.y + row * HEIGHT }), 6);
    const failing = painted.filter((ground) => contrastRatio(text, ground) < 4.5).length;
    expect(shareFailing(text, grounds, 4.5)).toBeCloseTo(failing / painted.length, 6);
  });
});

import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { cssNames } from '@mint-lamp/core/exchange/css-names';
import { engineFaults } from '@mint-lamp/core/gradient/engines';
import { paintIn } from '@mint-lamp/core/gradient/geometry';
import { placeStops } from '@mint-lamp/core/gradient/model';
import { plainStops } from '@mint-lamp/core/gradient/plain-stops';
import { anyGradient } from '@mint-lamp/core/gradient/random-gradient.fixture';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { test as base, expect } from '@playwright/test';
import fc from 'fast-check';
import { chromiumOf } from '../engines/chromium.ts';
import type { Engine } from '../engines/engine.ts';
import { openFirefox } from '../engines/firefox.ts';
import { BOX, type Pixels, paintedBy, shareAlike } from '../engines/gradients-in.ts';
import { openWebKit } from '../engines/webkit.ts';

const [WIDTH, HEIGHT] = [1000, 800];

/** Debian's Chromium, Firefox and WebKit; installed by the long tests alone. */
const test = base.extend<{ engines: readonly Engine[] }>({
  engines: async ({ page }, use) => {
    await page.setViewportSize({ width: WIDTH, height: HEIGHT });
    const engines = [chromiumOf(page), await openFirefox(WIDTH, HEIGHT), await openWebKit(WIDTH, HEIGHT)];
    await use(engines);
    for (const engine of engines) await engine.close();
  },
});
test.skip(!process.env.LONG_TESTS, 'in the long tests');

test('the style sheet computes to the same colours in all themes', async ({ engines }) => {
  test.setTimeout(300_000);
  const system = resolveSystem(SKERRY_LINE);
  const names = cssNames(SKERRY_LINE);
  for (const code of ['hex', 'hsl', 'oklch'] as const)
    for (const theme of system.themes.values()) {
      const css = writeCss(system, { ...choicesOf({}, 'css'), code });
      const probes = SKERRY_LINE.roles.map(
        ({ id }) => `<i style="background-color:var(${names.role(id)})"></i>`,
      );
      const page = `<!doctype html><html data-theme="${names.theme(theme.theme.id)}"><style>${css}</style>${probes.join('')}`;
      for (const engine of engines) {
        await engine.goto(`data:text/html;charset=utf-8,${encodeURIComponent(page)}`);
        const seen = await engine.evaluate<number[][]>(
          `[...document.querySelectorAll('i')].map((node) => { const c = document.createElement('canvas').getContext('2d'); c.fillStyle = getComputedStyle(node).backgroundColor; c.fillRect(0, 0, 1, 1); return [...c.getImageData(0, 0, 1, 1).data]; })`,
        );
        SKERRY_LINE.roles.forEach(({ id }, i) => {
          const { r, g, b, alpha } = theme.roles.get(id)!.color!;
          [r, g, b, Math.round(alpha * 255)].forEach((v, k) => {
            const off = Math.abs(seen[i]![k]! - v);
            expect(off, `${engine.name}, ${code}, ${theme.theme.name}, ${id}`).toBeLessThanOrEqual(
              alpha < 1 ? 2 : 0,
            );
          });
        });
      }
    }
});

test('gradients in plain stops are painted alike, and those that are not told of are too', async ({
  engines,
}) => {
  test.setTimeout(600_000);
  // Repeats of less than a few px, of which every engine draws another pixel, are left out.
  const isSeen = (css: (typeof gradients)[number]) => {
    const { first, last } = placeStops({ ...css, repeating: false });
    return !css.repeating || (css.kind === 'linear' && last - first >= 8);
  };
  const gradients = fc.sample(anyGradient, { numRuns: 600, seed: 20_261_129 });
  const some = gradients.filter((gradient) => isSeen(gradient)).slice(0, 300);
  expect(some).toHaveLength(300);
  const plain = some.map((gradient) => writeGradient(plainStops(gradient)!));
  const untold = some.filter((gradient) => !engineFaults(gradient).length);
  expect(untold.length).toBeGreaterThan(20);
  const asked = some.map((gradient) => {
    const painter = paintIn(gradient, BOX);
    const pixels = new Uint8Array(BOX.width * BOX.height * 3);
    for (let y = 0; y < BOX.height; y++)
      for (let x = 0; x < BOX.width; x++) {
        const c = painter.colorAt({ x: x + 0.5, y: y + 0.5 });
        const over = [c.r, c.g, c.b].map((v) => Math.round(v * c.alpha + 255 * (1 - c.alpha)));
        pixels.set(over, (y * BOX.width + x) * 3);
      }
    return pixels;
  });
  const painted: Pixels[][] = [];
  const asMixed: Pixels[][] = [];
  for (const engine of engines) {
    painted.push(await paintedBy(engine, plain));
    asMixed.push(await paintedBy(engine, untold.map(writeGradient)));
  }
  const [near, faults]: [string[], string[]] = [[], []];
  const compare = (name: string, css: string, share: number) => {
    if (share < 0.99) near.push(`${name} ${share.toFixed(3)}: ${css}`);
    if (share < 0.97) faults.push(near[near.length - 1]!);
  };
  some.forEach((gradient, i) => {
    engines.forEach((engine, k) => {
      compare(
        `${engine.name} and the specification`,
        writeGradient(gradient),
        shareAlike(asked[i]!, painted[k]![i]!, 3),
      );
    });
  });
  untold.forEach((gradient, i) => {
    compare('Chromium and Firefox', writeGradient(gradient), shareAlike(asMixed[0]![i]!, asMixed[1]![i]!, 3));
    compare('Chromium and WebKit', writeGradient(gradient), shareAlike(asMixed[0]![i]!, asMixed[2]![i]!, 3));
  });
  console.log(`${some.length} gradients, ${untold.length} of them as mixed; not alike:\n${near.join('\n')}`);
  // Repeats with hard edges come out two px wide in one engine or another, in very few.
  expect(faults).toEqual([]);
  expect(near.length).toBeLessThanOrEqual(some.length / 50);
});

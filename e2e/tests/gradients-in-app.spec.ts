import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import type { Gradient } from '@mint-lamp/core/document/gradients/gradient';
import { gradientFromCss } from '@mint-lamp/core/edits/gradients/gradient-from-css';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { anyGradient } from '@mint-lamp/core/gradient/random-gradient.fixture';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import { expect, onServer, send, test } from '../support/test.ts';

const COUNT = 300;
/** Px of a tile of the list, within its hairline, and of its corners, which are cut. */
const [WIDTH, HEIGHT, CORNER] = [126, 26, 6];

/** Random gradients of every kind as a project holds them, some of their stops linked. */
function drawnGradients(): Gradient[] {
  let n = 0;
  const drawn = fc.sample(anyGradient, { numRuns: COUNT * 2, seed: 20_261_126 });
  return drawn
    .flatMap((css, i): Gradient[] => {
      const made = gradientFromCss(css, { id: `drawn-${i}`, name: `Drawn ${i}` }, ({ r, g, b, alpha }) => {
        n += 1;
        if (n % 5 === 0) return { to: 'shade', family: 'buoy', shade: ['300', '500', '800'][n % 3]! };
        if (n % 7 === 0) return { to: 'role', role: 'text-main', opacity: 0.5 };
        return { to: 'color', color: hexOfRgb8(r, g, b, alpha) };
      });
      return made ? [made] : [];
    })
    .slice(0, COUNT);
}

test('three hundred gradients are painted by the app as by a plain page with the exported CSS, within 1 of 255', async ({
  page,
  stack,
  project,
  open,
}) => {
  const gradients = drawnGradients();
  expect(gradients).toHaveLength(COUNT);
  for (const key of ['kind', 'space', 'hueWay', 'repeating'] as const)
    expect(new Set(gradients.map((gradient) => gradient[key])).size, key).toBeGreaterThan(1);
  await send(
    stack,
    project,
    gradients.map((gradient) => ({ type: 'addGradient', gradient })),
  );
  const rows = Math.ceil((COUNT + 2) / 6);
  await page.setViewportSize({ width: 1280, height: 300 + rows * 60 });
  await open('fade');
  // All tiles at once, on whole px, and on white instead of the chequer.
  await page.addStyleTag({
    content: `nav[aria-label=Gradients] div { overflow: visible; width: 830px; padding: 0 } nav[aria-label=Gradients] section { flex-shrink: 1; width: 830px; border: 0; padding: 0 } nav[aria-label=Gradients] ul { flex-wrap: wrap; gap: 0 8px }
      nav[aria-label=Gradients] { position: fixed; top: 120px; left: 20px; padding: 0; z-index: 99; background: #fff }
      nav[aria-label=Gradients] li { width: 128px; height: 48px } nav[aria-label=Gradients] a > span:first-child { height: 28px }
      .checker { background: #fff !important }`,
  });
  const tiles = page.getByRole('navigation', { name: 'Gradients' }).getByRole('listitem');
  await expect(tiles).toHaveCount(COUNT + 2);
  const painted = tiles.locator('a > span:first-child > span');
  await expect
    .poll(() =>
      painted.evaluateAll((all) => all.filter((one) => (one as HTMLElement).style.background).length),
    )
    .toBe(COUNT + 2);
  const places = await painted.evaluateAll((all) =>
    all.map((one) => {
      const { x, y, width, height } = one.getBoundingClientRect();
      return { x, y, width, height };
    }),
  );
  expect([...new Set(places.map(({ width, height }) => `${width} × ${height}`))]).toEqual([
    `${WIDTH} × ${HEIGHT}`,
  ]);
  const app = PNG.sync.read(await page.screenshot());

  const { document } = await onServer(stack, project);
  const css = writeCss(resolveSystem(document), { ...choicesOf({}, 'css'), gradients: 'mixed' });
  const boxes = gradients.map(
    ({ name }, i) =>
      `<div style="position:absolute;left:0;top:${i * HEIGHT}px;width:${WIDTH}px;height:${HEIGHT}px;background:var(--gradient-${name.toLowerCase().replace(' ', '-')})"></div>`,
  );
  await page.setContent(`<style>${css}\nbody{margin:0;background:#fff}</style>${boxes.join('')}`);
  await page.setViewportSize({ width: 200, height: HEIGHT * COUNT });
  const plain = PNG.sync.read(await page.screenshot());
  const at = (png: PNG, x: number, y: number, c: number) => png.data[(y * png.width + x) * 4 + c]!;
  const faults: string[] = [];
  let onEdges = 0;
  gradients.forEach(({ name }, i) => {
    // The two of the demo come first.
    const place = places[i + 2]!;
    let worst = 0;
    for (let y = 1; y < HEIGHT - 1; y++)
      for (let x = CORNER; x < WIDTH - CORNER; x++)
        for (let c = 0; c < 3; c++) {
          const own = at(app, place.x + x, place.y + y, c);
          const other = (dx: number, dy: number) => at(plain, x + dx, i * HEIGHT + y + dy, c);
          let off = Math.abs(own - other(0, 0));
          if (off > 1) {
            // A pixel that a hard edge goes through may be on either side of it.
            const around = [-1, 0, 1].flatMap((dx) => [-1, 0, 1].map((dy) => other(dx, dy)));
            off = Math.max(0, Math.min(...around) - own, own - Math.max(...around));
            onEdges += 1;
          }
          worst = Math.max(worst, off);
        }
    if (worst > 1) faults.push(`${name}: ${worst} off`);
  });
  expect(onEdges / (COUNT * WIDTH * HEIGHT * 3)).toBeLessThan(0.001);
  console.log(`${COUNT - faults.length} of ${COUNT} gradients are painted the same`);
  expect(faults).toEqual([]);
});

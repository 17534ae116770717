import { paintedOver } from '@mint-lamp/core/contrast/ratio';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { SceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { cssNames } from '@mint-lamp/core/exchange/css-names';
import { colorAtPlace, placeStops } from '@mint-lamp/core/gradient/model';
import { paintedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { castOf } from '@mint-lamp/core/system/scenes/cast';
import { PNG } from 'pngjs';
import { SCENES } from '../support/scenes.ts';
import { expect, test } from '../support/test.ts';

const system = resolveSystem(SKERRY_LINE);
const names = cssNames(SKERRY_LINE);

/** `rgb()`, `rgba()` or `color(srgb …)` as Chromium computes it, as channels 0–255 and alpha. */
function channels(computed: string): number[] {
  const numbers = computed.match(/[\d.]+(e-?\d+)?/g)!.map(Number);
  const [r, g, b, alpha = 1] = numbers as [number, number, number, number?];
  return computed.startsWith('color(') ? [r * 255, g * 255, b * 255, alpha] : [r, g, b, alpha];
}

test.describe('a page that links the exported CSS', () => {
  for (const theme of system.themes.values())
    test(`computes the colours of the app for every role and shade in ${theme.theme.name}`, async ({
      page,
      open,
    }) => {
      // The file is taken from the interface, as a designer would.
      await open('deliver');
      await expect(page.locator('pre')).toHaveAttribute('aria-busy', 'false');
      const css = await page.locator('pre').textContent();
      expect(css).toBe(writeCss({ ...system, document: { ...SKERRY_LINE, name: 'Copy of the demo' } }));
      await page.setContent(`<style>${css}</style><body data-theme="${names.theme(theme.theme.id)}"></body>`);
      const compute = (property: string) =>
        page.evaluate((name) => {
          document.body.style.backgroundColor = `var(${name})`;
          return getComputedStyle(document.body).backgroundColor;
        }, property);
      for (const [id, { color, role }] of theme.roles) {
        const seen = channels(await compute(names.role(id)));
        [color!.r, color!.g, color!.b, color!.alpha].forEach((v, i) => {
          expect(Math.abs(seen[i]! - v), `${role.id}, channel ${i}`).toBeLessThan(0.01);
        });
      }
      for (const { family, shades } of system.families.values())
        for (const shade of shades)
          expect(channels(await compute(names.shade(family.id, shade.label)))).toEqual([
            shade.r,
            shade.g,
            shade.b,
            1,
          ]);
    });

  for (const theme of system.themes.values())
    test(`paints the gradients of the app in ${theme.theme.name}, at most 1/255 off`, async ({ page }) => {
      const gradients = [...theme.gradients.values()];
      // Straight along x, so that a pixel's place on the gradient line is known.
      const boxes = gradients.map(
        ({ gradient }) =>
          `<div style="height:20px;width:500px;background:var(${names.gradient(gradient.id)})"></div>`,
      );
      const css = writeCss(system).replaceAll(/linear-gradient\(\d+deg/g, 'linear-gradient(90deg');
      await page.setContent(
        `<style>${css} body { margin: 0 }</style><body data-theme="${names.theme(theme.theme.id)}">${boxes.join('')}</body>`,
      );
      const png = PNG.sync.read(
        await page.screenshot({ clip: { x: 0, y: 0, width: 500, height: 20 * boxes.length } }),
      );
      gradients.forEach((resolved, row) => {
        const { gradient } = resolved;
        const placed = placeStops(paintedGradient(resolved)!);
        for (let x = 0; x < 500; x++) {
          const { r, g, b } = colorAtPlace(placed, ((x + 0.5) / 500) * 100);
          const at = ((row * 20 + 10) * 500 + x) * 4;
          [r, g, b].forEach((v, i) => {
            expect(Math.abs(png.data[at + i]! - v), `${gradient.name} at ${x}`).toBeLessThanOrEqual(1.01);
          });
        }
      });
    });
});

test('the app itself shows those same colours: the scene is painted with the exported roles', async ({
  page,
  open,
}) => {
  const uses = castOf(SKERRY_LINE);
  for (const id of SCENES) {
    await open(`stage/${id}`);
    for (const theme of system.themes.values()) {
      const scene = page.locator(`[data-stage-theme=${theme.theme.id}]`).getByTestId('scene');
      const painted = await scene.locator('[data-text], [data-ground]').evaluateAll((nodes) =>
        (nodes as HTMLElement[]).map((node) => {
          const { color, backgroundColor } = getComputedStyle(node);
          return { ...node.dataset, color, backgroundColor } as Record<string, string>;
        }),
      );
      expect(painted.length, id).toBeGreaterThan(10);
      for (const { text, ground, color, backgroundColor } of painted)
        for (const [use, seen] of [
          [text, color],
          [ground, backgroundColor],
        ]) {
          const link = use === undefined ? null : uses.get(use as SceneUse)!.link;
          if (link?.to !== 'role') continue;
          const wanted = theme.roles.get(link.role)!.color!;
          const got = channels(seen!);
          expect(got.slice(0, 3), `${id}: ${use}`).toEqual([wanted.r, wanted.g, wanted.b]);
          expect(got[3] ?? 1).toBeCloseTo(wanted.alpha, 2);
        }
    }
  }
});

test('a translucent colour is measured as Chromium paints it, to the bit', async ({ page }) => {
  let state = 20_261_125;
  const below = (n: number) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state >>> 8) % n;
  };
  const anyColor = (alpha: number) => ({ r: below(256), g: below(256), b: below(256), alpha });
  const cases = Array.from({ length: 3000 }, () => ({
    over: anyColor(below(101) / 100),
    beneath: anyColor(1),
  }));
  const css = ({ r, g, b, alpha }: (typeof cases)[number]['over']) => `rgb(${r} ${g} ${b} / ${alpha})`;
  const [side, columns] = [8, 100];
  const place = (i: number) => ({ x: (i % columns) * side, y: Math.floor(i / columns) * side });
  const boxes = cases.map(({ over, beneath }, i) => {
    const { x, y } = place(i);
    return `<div style="left:${x}px;top:${y}px;background:${css(beneath)}"><div style="background:${css(over)}"></div></div>`;
  });
  const style = `body{margin:0}div{position:absolute;width:${side}px;height:${side}px}`;
  await page.setContent(`<style>${style}</style>${boxes.join('')}`);
  const png = PNG.sync.read(await page.screenshot());
  const wrong = cases.filter(({ over, beneath }, i) => {
    const { x, y } = place(i);
    const at = ((y + side / 2) * png.width + x + side / 2) * 4;
    const { r, g, b } = paintedOver(over, beneath);
    return [r, g, b].some((v, k) => v !== png.data[at + k]);
  });
  expect(wrong).toEqual([]);
});

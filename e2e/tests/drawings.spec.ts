import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { LAMP_HOUSE_DRAWING } from '@mint-lamp/core/demo/drawings';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { matchColors, shadeCandidates } from '@mint-lamp/core/edits/artworks/match-colors';
import { cleanSvg } from '@mint-lamp/core/svg/clean-svg';
import { svgColors } from '@mint-lamp/core/svg/svg-colors';
import { paintArtwork } from '@mint-lamp/core/system/painted-artwork';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Page } from '@playwright/test';
import { axeFaults, expect, expectSaved, onServer, test } from '../support/test.ts';

const { resolve } = createRequire(import.meta.url);

/** Files of a public package, spread over all that it has. */
function drawingsOf(name: string, folder: string, count: number): string[] {
  const root = join(dirname(resolve(`${name}/package.json`)), folder);
  const all = readdirSync(root).filter((file) => file.endsWith('.svg'));
  return Array.from({ length: count }, (_, i) =>
    readFileSync(join(root, all[Math.floor(((i + 0.5) * all.length) / count)]!), 'utf8'),
  );
}

/** Adds a drawing by its text. */
async function add(page: Page, svg: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a drawing or a page …' }).click();
  await page.getByLabel('or their text').fill(svg);
  await page.getByRole('button', { name: 'Add it' }).click();
}

test('a drawing is added, linked, recoloured live, follows bases and themes, is taken away, and undone', async ({
  page,
  context,
  open,
  goOn,
  stack,
  project,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await open('stage');
  await add(page, LAMP_HOUSE_DRAWING);
  await expect(page.getByLabel('Name of the drawing')).toHaveValue('Drawing');
  const colors = page.getByRole('region', { name: 'Colours of the drawing' });
  await expect(colors.getByRole('listitem')).toHaveCount(6);
  const shown = (theme: string) => page.locator(`[data-drawing=${theme}] img`).first().getAttribute('src');
  expect(await axeFaults(page)).toEqual([]);

  await expect(page.getByTestId('drawing-balance')).toContainText(/% off 60 \/ 30 \/ 10$/);

  // Seen before it is taken, then taken.
  const before = await shown('day');
  await page.getByRole('button', { name: 'In one family' }).hover();
  await expect.poll(() => shown('day')).not.toBe(before);
  await page.mouse.move(2, 2);
  await expect.poll(() => shown('day')).toBe(before);
  await page.getByRole('button', { name: 'Nearest roles' }).press('Enter');
  await expectSaved(page);
  const { document } = await onServer(stack, project);
  const artwork = document.artworks.find(({ kind }: { kind: string }) => kind === 'drawing');
  expect(Object.values(artwork.links).every((link) => (link as { to: string }).to === 'role')).toBe(true);
  await expect.poll(async () => (await shown('day')) === (await shown('night'))).toBe(false);

  // One colour by itself.
  await colors.getByRole('button', { name: /^#b8234a is painted with/ }).press('Enter');
  await page.getByRole('combobox', { name: 'Link to' }).fill('kelp 500');
  await page.keyboard.press('Enter');
  await expect(colors.getByRole('button', { name: '#b8234a is painted with Kelp 500' })).toBeVisible();
  const copy = page.getByRole('button', { name: 'Copy the drawing: By custom properties' });
  await copy.click();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain('var(--kelp-500, #');

  // It follows a base.
  const green = await shown('day');
  await goOn('grow/kelp');
  await page.getByRole('complementary', { name: 'Lamp' }).getByLabel('Any CSS colour').fill('#7a3f9d');
  await page.keyboard.press('Enter');
  await goOn(`stage/own-${artwork.id}`);
  expect(await shown('day')).not.toBe(green);
  await page.getByRole('button', { name: 'Remove Drawing' }).click();
  await expect(page.getByRole('region', { name: 'Artwork' }).getByRole('listitem')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: 'Artwork' }).getByRole('listitem')).toHaveCount(1);
});

test('a drawing that would run or fetch does neither, says what was left out, and what cannot be taken says why', async ({
  page,
  open,
}) => {
  const asked: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith('data:') && new URL(request.url()).hostname !== '127.0.0.1')
      asked.push(request.url());
  });
  await open('stage');
  await add(
    page,
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 9 9" onload="window.ran=1"><script>window.ran=1</script><style>@import url(https://outside.example/a.css);.a{fill:#123456}</style><image href="https://outside.example/a.png"/><foreignObject><iframe src="https://outside.example"/></foreignObject><a xlink:href="javascript:window.ran=1"><path class="a" d="M0 0h9v9z"/></a></svg>`,
  );
  await expect(page.getByText(/^Left out of Drawing: /)).toContainText(
    'event handlers, foreign content, links, outside references, scripts',
  );
  await expect(
    page.getByRole('region', { name: 'Colours of the drawing' }).getByRole('listitem'),
  ).toHaveCount(1);
  expect(await page.evaluate(() => (window as { ran?: number }).ran)).toBeUndefined();
  expect(asked).toEqual([]);

  await page.getByRole('link', { name: 'All scenes and artwork' }).click();
  await add(page, '<svg xmlns="http://www.w3.org/2000/svg"><g></svg>');
  await expect(page.getByRole('alert')).toContainText('This is no sound SVG: line 1, column');
  // What was typed is still there.
  await expect(page.getByLabel('or their text')).toHaveValue(/^<svg/);
  const shapes = '<path d="M0 0h9v9z"/>'.repeat(30_000);
  const buffer = Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg">${shapes}</svg>`);
  await page.getByLabel('Files').setInputFiles({ name: 'large.svg', mimeType: 'image/svg+xml', buffer });
  await expect(page.getByRole('alert')).toContainText('Cleaned, the drawing has more than 200 kB');
});

test('public drawings look as they did, and keep their shapes in other colours', async ({ page, stack }) => {
  const system = resolveSystem(SKERRY_LINE);
  const files = [...drawingsOf('bootstrap-icons', 'icons', 15), ...drawingsOf('@twemoji/svg', '.', 25)];
  const drawings = files.map((text) => {
    const cleaned = cleanSvg(text);
    if (!cleaned.ok) throw new Error(cleaned.reason);
    const links = Object.fromEntries(matchColors(svgColors(cleaned.svg), shadeCandidates(system)));
    const artwork = { kind: 'drawing', content: cleaned.svg, links } as const;
    const painted = [...system.themes.values()].map((theme) => paintArtwork(system, theme, artwork));
    return { all: [text, cleaned.svg, ...painted], removed: cleaned.removed };
  });
  expect(drawings).toHaveLength(40);
  await page.goto(`${stack.address}/`);
  const wrong = await page.evaluate(async (list) => {
    const side = 96;
    const pixels = async (svg: string) => {
      const image = new Image();
      image.src = `data:image/svg+xml,${encodeURIComponent(svg)}`;
      await image.decode();
      const context = new OffscreenCanvas(side, side).getContext('2d', { willReadFrequently: true })!;
      context.drawImage(image, 0, 0, side, side);
      return context.getImageData(0, 0, side, side).data;
    };
    const out: string[] = [];
    for (const [i, { all }] of list.entries()) {
      const [before, after, ...painted] = await Promise.all(all.map(pixels));
      if (!before!.some((v) => v > 0)) out.push(`${i} shows nothing`);
      if (before!.some((v, at) => v !== after![at])) out.push(`${i} looks otherwise`);
      for (const one of painted)
        if (before!.some((v, at) => at % 4 === 3 && Math.abs(v - one[at]!) > 1))
          out.push(`${i} lost its shape`);
    }
    return out;
  }, drawings);
  expect(wrong).toEqual([]);
});

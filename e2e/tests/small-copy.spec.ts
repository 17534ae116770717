import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import { averageAround, sampledText } from '@mint-lamp/core/picture/sample';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { decodedIn } from '../support/pictures.ts';
import type { Stack } from '../support/stack.ts';
import { expect, expectSaved, FORM, onServer, send, test } from '../support/test.ts';

test.use({ ownPage: true });

const HARBOUR = readFileSync(
  fileURLToPath(new URL('../../apps/server/library/harbour-at-dusk.jpg', import.meta.url)),
);

/** The harbour as a photograph of so many px. */
const photograph = (width: number, height: number) => sharp(HARBOUR).resize(width, height, { fit: 'fill' });

async function keep(
  { address }: Stack,
  project: string,
  file: Buffer,
): Promise<{ width: number; height: number }> {
  const response = await fetch(`${address}/api/projects/${project}/pictures`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream', ...FORM },
    body: new Uint8Array(file),
  });
  expect(response.status).toBe(201);
  return response.json();
}

/** Keeps a picture in the project, under its id. */
async function add(stack: Stack, project: string, id: string, file: Buffer) {
  const kept = await keep(stack, project, file);
  const picture = { id, name: id, ...kept, markers: [], moved: [], textOver: null };
  await send(stack, project, [{ type: 'addPicture', picture }]);
}

interface Passed {
  /** Whether a copy was seen. */
  copy: boolean;
  /** Whether anything could be taken from it. */
  taken: boolean;
  /** The colours of its palettes. */
  rows: string[];
}

/** Notes what is seen at the desk, from before anything of the page runs: what passes is there for moments only. */
const noteWhatPasses = (page: Page) =>
  page.addInitScript(() => {
    const passed: Passed = {
      copy: false,
      taken: false,
      rows: [],
    };
    Object.assign(window, { passed });
    const look = () => {
      const station = document.getElementById('station');
      if (!station?.textContent?.includes('a small copy')) return;
      passed.copy = true;
      const rows = station.querySelectorAll<HTMLButtonElement>('[data-specimen][aria-pressed]');
      if (rows.length) passed.rows = [...rows].map((row) => row.style.background);
      const takers = [...station.querySelectorAll('button')].filter((one) =>
        /to (the tray|families|a gradient)/.test(one.textContent ?? ''),
      );
      passed.taken ||= takers.some((one) => !one.disabled);
    };
    new MutationObserver(look).observe(document, { subtree: true, childList: true, attributes: true });
  });

const whatPassed = (page: Page) => page.evaluate(() => (window as unknown as { passed: Passed }).passed);

const channels = (css: string) => (css.match(/\d+/g) ?? []).map(Number);

test('a large JPEG is seen and has palettes by a small copy, none of which can be taken; then by all its pixels', async ({
  page,
  open,
  stack,
  project,
}) => {
  await add(stack, project, 'large', await photograph(3000, 2000).jpeg({ quality: 85 }).toBuffer());
  await noteWhatPasses(page);
  await open('gather/pictures/large');
  await expect(page.getByRole('heading', { name: 'Farthest apart' })).toBeVisible();
  const surface = page.getByRole('application', { name: 'The picture large' });
  await surface.focus();
  await page.keyboard.press('Enter');
  await expectSaved(page);
  await expect(page.getByText('a small copy')).toBeHidden();
  await expect(page.getByRole('button', { name: 'All rows to the tray' })).toBeEnabled();
  const passed = await whatPassed(page);
  expect(passed.copy).toBe(true);
  expect(passed.taken).toBe(false);
  expect(passed.rows.length).toBe(36);
  const exact = await page
    .locator('#station [data-specimen][aria-pressed]')
    .evaluateAll((rows) => rows.map((row) => (row as HTMLElement).style.background));
  expect(exact).not.toEqual(passed.rows);
  // Of the same picture: the largest colour by area of the copy is among those of all pixels.
  const [r, g, b] = channels(passed.rows[0]!);
  const least = Math.min(
    ...exact.map(channels).map(([er, eg, eb]) => Math.hypot(er! - r!, eg! - g!, eb! - b!)),
  );
  expect(least).toBeLessThan(12);
  // What was asked while there may have been but the copy is told of all pixels.
  await page.getByRole('tab', { name: /Markers/ }).click();
  const { document } = await onServer(stack, project);
  const { content, markers } = document.pictures.find(({ id }: Picture) => id === 'large') as Picture;
  const pixels = await decodedIn(page, `/api/projects/${project}/pictures/${content}`);
  const { x, y, side } = markers[0]!;
  await expect(
    page
      .getByRole('tabpanel')
      .getByText(sampledText(averageAround(pixels, x, y, side)))
      .first(),
  ).toBeVisible();
});

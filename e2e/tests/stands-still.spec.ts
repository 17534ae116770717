import type { Locator, Page } from '@playwright/test';
import { expect, onServer, send, test } from '../support/test.ts';

const topOf = async (what: Locator) => Math.round((await what.boundingBox())!.y);

/** Sends what somebody else does, and waits until it is seen. */
const whileHeld = async (
  page: Page,
  what: Locator,
  edit: () => Promise<unknown>,
  seen: () => Promise<unknown>,
) => {
  const before = await topOf(what);
  await edit();
  await seen();
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  expect(Math.abs((await topOf(what)) - before)).toBeLessThanOrEqual(1);
};

const scrolled = (page: Page, by: number) =>
  page.locator('#station').evaluate((station, px) => {
    station.scrollTop = px;
    return station.scrollTop;
  }, by);

test('what one has in hand stays where it is while others add and take away above it, at every station', async ({
  page,
  open,
  goOn,
  stack,
  project,
}) => {
  const { families, pairs, roles, gradients } = (await onServer(stack, project)).document;
  const own = { ...families[1], follows: null };
  const family = (id: string, name: string) => ({ ...own, id, name });

  // Grow: under the pointer, below the rails.
  await open(`grow/${families[0].id}`);
  await page.locator('[aria-label="Shortcuts"]').waitFor();
  const field = page.getByLabel('Family', { exact: true });
  await field.hover();
  await whileHeld(
    page,
    field,
    () =>
      send(stack, project, [
        { type: 'addFamily', family: family('wrack-2', 'Wrack'), index: 0 },
        { type: 'addFamily', family: family('rope-2', 'Rope end'), index: 0 },
      ]),
    () => expect(page.getByRole('link', { name: 'Rope end', exact: true })).toBeAttached(),
  );
  await whileHeld(
    page,
    field,
    () => send(stack, project, [{ type: 'removeFamily', family: 'rope-2' }]),
    () => expect(page.getByRole('link', { name: 'Rope end', exact: true })).toHaveCount(0),
  );

  // Assign: by focus, in a long sheet that was scrolled.
  await goOn('assign');
  await page.mouse.move(640, 790);
  await scrolled(page, 200);
  const link = page.getByRole('button', { name: /^accent\.fill in Day sailing/ });
  await link.focus();
  await whileHeld(
    page,
    link,
    () =>
      send(
        stack,
        project,
        ['first', 'second'].map((name) => ({
          type: 'addRole',
          role: { ...roles[0], id: `page-${name}`, name, links: roles[0].links },
          index: 0,
        })),
      ),
    () => expect(page.getByRole('row', { name: /second/ })).toBeAttached(),
  );

  // Check: somebody adds a pair that is worse than all, and takes one away; the row under the pointer stays.
  await goOn('check');
  const last = page.locator(`#pair-${pairs.at(-1).id}`);
  await last.scrollIntoViewIfNeeded();
  await last.hover();
  await whileHeld(
    page,
    last,
    () =>
      send(stack, project, [
        {
          type: 'addPair',
          pair: { ...pairs[0], id: 'worst', foreground: 'page-raised', background: 'page-ground' },
        },
      ]),
    () => expect(page.getByRole('list', { name: 'Pairs, worst first' })).toContainText('page.raised'),
  );

  // Fade: what is set below a list that grows.
  await goOn(`fade/${gradients[0].id}`);
  const stop = page.getByRole('region', { name: 'Stops' }).getByRole('button').first();
  await stop.hover();
  await whileHeld(
    page,
    stop,
    () =>
      send(stack, project, [
        { type: 'addGradient', gradient: { ...gradients[0], id: 'dusk', name: 'Dusk' }, index: 0 },
      ]),
    () => expect(page.getByRole('link', { name: /Dusk/ }).first()).toBeAttached(),
  );

  // What one does oneself scrolls as ever.
  await goOn('check');
  await last.scrollIntoViewIfNeeded();
  await last.hover();
  const before = await topOf(last);
  await page.mouse.wheel(0, -120);
  await expect.poll(() => topOf(last)).toBeGreaterThan(before);
});

import type { Page } from '@playwright/test';
import { coveredTargets, smallTargets } from '../support/targets.ts';
import { expect, post, test } from '../support/test.ts';
import { VIEWS } from '../support/views.ts';

/** High enough that nearly all of a view is in sight at once. */
const TALL = 2600;
/** WCAG 2.2, 1.4.12: what readers may set of a text's spacing without losing anything. */
const SPACED =
  '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important } p { margin-bottom: 2em !important }';

/** Texts whose foot is cut off by what they stand in. */
const cutTexts = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('#root *')]
      .filter(
        (one) =>
          [...one.childNodes].some((node) => node.nodeType === 3 && node.textContent?.trim()) &&
          one.checkVisibility() &&
          !one.closest('.sr-only, [data-specimen]') &&
          /hidden|clip/.test(getComputedStyle(one).overflowY) &&
          one.clientHeight > 2 &&
          one.scrollHeight > one.clientHeight + 3,
      )
      .map((one) => one.textContent?.trim().slice(0, 40)),
  );

for (const width of [1280, 375])
  test(`at ${width} px all that is pressed is large enough and lies free, also with wider spacing of text`, async ({
    page,
    open,
    goOn,
    stack,
  }) => {
    test.setTimeout(300_000);
    // One's own set, adopted and favoured: all that a set on the shelf can show and be asked for.
    const { id } = await post(stack, '/shelf', {
      name: 'All that is on board',
      words: 'a ferry, its quay and its bakery',
      content: { kind: 'palette', colors: [{ name: 'Kelp', color: '#1f6f5c' }] },
      colors: ['#1f6f5c'],
    });
    await post(stack, `/shelf/${id}/adopted`, {});
    await page.setViewportSize({ width, height: TALL });
    await open('gather');
    for (const view of VIEWS) {
      await goOn(view);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      if (view.startsWith('fade')) await page.getByRole('list', { name: 'Worth a look' }).waitFor();
      await expect.poll(() => coveredTargets(page), view).toEqual([]);
      expect(await smallTargets(page), view).toEqual([]);
      const spacing = await page.addStyleTag({ content: SPACED });
      // Long lists take the new heights in a moment later.
      await expect.poll(() => coveredTargets(page), `${view}, spaced`).toEqual([]);
      expect(await smallTargets(page), `${view}, spaced`).toEqual([]);
      expect(await cutTexts(page), `${view}, spaced`).toEqual([]);
      await spacing.evaluate((one) => (one as Element).remove());
    }
  });

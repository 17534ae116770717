import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** The parts of the frame around a station, which stand unchanged from view to view and are half of what axe looks at. */
const FRAME_PARTS = ['#root header', '[aria-label="Readout"]', '#lamp', '#tray'];

/** The designer's own samples. */
const SAMPLES = '[data-specimen]';

/** Marks, while axe looks, what has been found clean as it stands. */
const CLEAN_MARK = 'data-found-clean';

/** Frame parts, as markup in a dress and a window, in which axe found nothing in this worker. */
const foundClean = new Set<string>();

/**
 * What each part of the frame is now, as far as axe can tell; those that were found clean are marked. What lies behind a
 * dialog is not looked at and so never found clean.
 */
const frameParts = (page: Page, samples: string, clean: readonly string[]): Promise<string[]> =>
  page.evaluate(
    async ([parts, samples, clean, mark]) => {
      const keys: string[] = [];
      const dress = document.documentElement.dataset.theme;
      for (const part of parts)
        for (const element of document.querySelectorAll(part)) {
          if (element.closest('[aria-hidden="true"], [inert]')) continue;
          // Ids that are counted up say nothing.
          const markup = element.outerHTML.replace(/_r_\w+_/g, '');
          const told = `${samples} ${dress} ${innerWidth}×${innerHeight} ${markup}`;
          const bytes = await crypto.subtle.digest('SHA-1', new TextEncoder().encode(told));
          const key = [...new Uint8Array(bytes)].join();
          if (clean.includes(key)) element.setAttribute(mark, '');
          else keys.push(key);
        }
      return keys;
    },
    [FRAME_PARTS, samples, clean, CLEAN_MARK] as const,
  );

export interface Looked {
  /** The rules looked by, all of them where it is left out. With rules named, everything is looked at. */
  readonly rules?: readonly string[];
  /** The designer's own samples, which show colours that fail: left out as a whole, or judged by all but contrast. */
  readonly samples?: 'left out' | 'but for contrast';
}

/**
 * What axe finds on the page, by rule and markup; parts of the frame that were found clean in the very same form before
 * are not looked at again.
 */
export async function axeFaults(page: Page, { rules, samples = 'left out' }: Looked = {}): Promise<string[]> {
  // What fades or slides would be found on its way; where motion is to be less, there is none.
  if (!(await page.evaluate(() => matchMedia('(prefers-reduced-motion: reduce)').matches)))
    throw new Error('axe looks at pages whose motion is reduced: colours on their way are no faults.');
  const looked = rules ? [] : await frameParts(page, samples, [...foundClean]);
  // What passes is told by its rule only: twice as fast. A page that has axe is not given half a megabyte of it again.
  const isThere = page.frames().length === 1 && (await page.evaluate(() => 'axe' in window));
  const axe = new AxeBuilder(isThere ? { page, axeSource: ';' } : { page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .exclude(`[${CLEAN_MARK}]`);
  if (samples === 'left out') axe.exclude(SAMPLES);
  const { violations } = await (rules ? axe.withRules([...rules]) : axe).analyze();
  await page.evaluate((mark) => {
    for (const element of document.querySelectorAll(`[${mark}]`)) element.removeAttribute(mark);
  }, CLEAN_MARK);
  const faults: string[] = [];
  for (const { id, nodes } of violations)
    for (const { target, html } of nodes) {
      const isSample = () =>
        page
          .locator(String(target[0]))
          .first()
          .evaluate((element, selector) => element.closest(selector) !== null, SAMPLES);
      if (id !== 'color-contrast' || !(await isSample())) faults.push(`${id}: ${html.slice(0, 200)}`);
    }
  if (!faults.length) for (const key of looked) foundClean.add(key);
  return faults;
}

import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { after } from '@mint-lamp/core/document/commands/after.fixture';
import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import { type CssChoices, writeCss } from '@mint-lamp/core/exchange/css';
import { cssNames } from '@mint-lamp/core/exchange/css-names';
import { type ResolvedTheme, resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Page } from '@playwright/test';
import { expect, test } from '../support/test.ts';

const GLARE = { id: 'glare', name: 'Deck glare' };
const system = resolveSystem(
  after(SKERRY_LINE, {
    type: 'addTheme',
    theme: GLARE,
    links: Object.fromEntries(
      SKERRY_LINE.roles.map(({ id }, i) => [
        id,
        { to: 'shade' as const, family: 'shingle', shade: i % 2 ? '950' : '50' },
      ]),
    ),
  }),
);
const [DAY, NIGHT, DECK] = [...system.themes.values()] as [ResolvedTheme, ResolvedTheme, ResolvedTheme];

/** The colours that a page computes for every role, with an attribute or a class on its root. */
async function computed(page: Page, css: string, root: string, prefix = ''): Promise<number[][]> {
  const names = cssNames(system.document, prefix);
  const properties = system.document.roles.map(({ id }) => names.role(id));
  await page.setContent(`<!doctype html><html ${root}><style>${css}</style><body></body></html>`);
  const values = await page.evaluate((all) => {
    const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true })!;
    return all.map((name) => {
      document.body.style.backgroundColor = 'rgb(1 2 3)';
      document.body.style.backgroundColor = `var(${name})`;
      const text = getComputedStyle(document.body).backgroundColor;
      canvas.clearRect(0, 0, 1, 1);
      canvas.fillStyle = text;
      canvas.fillRect(0, 0, 1, 1);
      return [...canvas.getImageData(0, 0, 1, 1).data];
    });
  }, properties);
  return values;
}

const wanted = ({ roles }: ResolvedTheme) =>
  system.document.roles.map(({ id }) => {
    const { r, g, b, alpha } = roles.get(id)!.color!;
    return [r, g, b, Math.round(alpha * 255)];
  });

/** Opaque colours to the bit; of translucent ones a canvas keeps fewer. */
function expectColors(seen: number[][], theme: ResolvedTheme, what: string) {
  wanted(theme).forEach((color, i) => {
    const name = `${what}, ${system.document.roles[i]!.id}`;
    if (color[3] === 255) expect(seen[i], name).toEqual(color);
    else
      for (const [k, v] of color.entries()) expect(Math.abs(seen[i]![k]! - v), name).toBeLessThanOrEqual(2);
  });
}

const styles: Partial<CssChoices>[] = [
  {},
  { code: 'rgb', text: 'plain' },
  { code: 'hsl', roles: 'resolved', typed: true },
  { code: 'oklch', text: 'small', prefix: 'sk' },
  { code: 'oklch', roles: 'resolved', gradients: 'fallback', classes: true },
];

for (const own of styles) {
  const css = (more: Partial<CssChoices>) => writeCss(system, { ...choicesOf({}, 'css'), ...own, ...more });
  const told = JSON.stringify(own);

  test(`pages compute the colours of the app in every kind of theme, written with ${told}`, async ({
    page,
  }) => {
    const { prefix } = own;
    const look = async (sheet: string, root: string, theme: ResolvedTheme, what: string) =>
      expectColors(await computed(page, sheet, root, prefix), theme, what);
    const scheme = (colorScheme: 'light' | 'dark', contrast: 'more' | 'no-preference' = 'no-preference') =>
      page.emulateMedia({ colorScheme, contrast });

    const attribute = css({ themes: 'attribute', contrast: 'glare' });
    await look(attribute, '', DAY, 'no attribute');
    await look(attribute, 'data-theme="night-sailing"', NIGHT, 'attribute');
    await look(attribute, 'data-theme="deck-glare"', DECK, 'attribute');

    const byClass = css({ themes: 'class', contrast: 'glare' });
    await look(byClass, '', DAY, 'no class');
    await look(byClass, 'class="theme-night-sailing"', NIGHT, 'class');

    const byScheme = css({ themes: 'scheme' });
    await look(byScheme, '', DAY, 'light');
    const both = css({ themes: 'both', contrast: 'glare' });
    const byFunction = css({ themes: 'function' });
    await look(byFunction, '', DAY, 'light-dark() in light');
    await scheme('dark');
    await look(byScheme, '', NIGHT, 'dark');
    await look(byFunction, '', NIGHT, 'light-dark() in dark');
    await look(both, '', NIGHT, 'both, dark');
    // An attribute wins.
    await look(both, 'data-theme="day-sailing"', DAY, 'both, dark with an attribute');
    await look(both, 'data-theme="deck-glare"', DECK, 'both, dark with another');

    await scheme('light', 'more');
    for (const [sheet, what] of [
      [attribute, 'attribute'],
      [byClass, 'class'],
      [both, 'both'],
    ] as const)
      await look(sheet, '', DECK, `${what}, more contrast`);
    await look(attribute, 'data-theme="night-sailing"', NIGHT, 'more contrast with an attribute');
  });
}

test('a part of a page has another theme than the rest', async ({ page }) => {
  const css = writeCss(system);
  await page.setContent(
    `<style>${css}</style><div data-theme="night-sailing"><p style="color: var(--text-main)">x</p><div data-theme="day-sailing"><b style="color: var(--text-main)">x</b></div></div>`,
  );
  const rgb = (theme: ResolvedTheme) => {
    const { r, g, b } = theme.roles.get('text-main')!.color!;
    return `rgb(${r}, ${g}, ${b})`;
  };
  await expect(page.locator('p')).toHaveCSS('color', rgb(NIGHT));
  await expect(page.locator('b')).toHaveCSS('color', rgb(DAY));
});

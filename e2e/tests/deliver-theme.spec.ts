import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import { HOSTILE } from '@mint-lamp/core/exchange/hostile-names.fixture';
import { writeClientPage } from '@mint-lamp/core/exchange/people/client-page';
import { clientView } from '@mint-lamp/core/exchange/people/client-view';
import { writeTailwind } from '@mint-lamp/core/exchange/tailwind';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { compile } from 'tailwindcss';
import { expect, test } from '../support/test.ts';

const system = resolveSystem(SKERRY_LINE);
const rgb = (theme: string, role: string) => {
  const { r, g, b } = system.themes.get(theme)!.roles.get(role)!.color!;
  return `rgb(${r}, ${g}, ${b})`;
};

test('a page that the framework compiles with the theme is painted in the colours of the app, in each theme', async ({
  page,
}) => {
  const require = createRequire(import.meta.url);
  for (const themes of ['attribute', 'class', 'both'] as const) {
    const theme = writeTailwind(system, { ...choicesOf({}, 'tailwind'), themes, only: true });
    const { build } = await compile(`@import "tailwindcss";\n${theme}`, {
      loadStylesheet: async (id, base) => {
        const path = require.resolve(id === 'tailwindcss' ? 'tailwindcss/index.css' : id);
        return { path, base: dirname(path) || base, content: readFileSync(path, 'utf8') };
      },
    });
    const classes = [
      'bg-page-ground',
      'text-text-main',
      'bg-deepwater-700',
      'bg-first-light',
      'theme-night-sailing:bg-action-fill',
    ];
    const css = build(classes);
    const at = (name: string) => (themes === 'class' ? `class="theme-${name}"` : `data-theme="${name}"`);
    await page.setContent(
      `<style>${css}</style><div class="bg-page-ground text-text-main">a</div><section ${at('night-sailing')}><p class="bg-page-ground text-text-main">b</p><i class="bg-deepwater-700">c</i><u class="theme-night-sailing:bg-action-fill">d</u><s class="bg-first-light">e</s></section>`,
    );
    await expect(page.locator('div')).toHaveCSS('background-color', rgb('day', 'page-ground'));
    await expect(page.locator('div')).toHaveCSS('color', rgb('day', 'text-main'));
    await expect(page.locator('p')).toHaveCSS('background-color', rgb('night', 'page-ground'));
    await expect(page.locator('p')).toHaveCSS('color', rgb('night', 'text-main'));
    await expect(page.locator('i')).toHaveCSS('background-color', 'rgb(11, 95, 107)');
    await expect(page.locator('u')).toHaveCSS('background-color', rgb('night', 'action-fill'));
    await expect(page.locator('s')).toHaveCSS('background-image', /linear-gradient\(105deg in oklab/);
  }
});

test('no name does anything on the page for the client', async ({ page }) => {
  const said: string[] = [];
  page.on('dialog', (dialog) => {
    said.push(dialog.message());
    void dialog.dismiss();
  });
  const asked: string[] = [];
  await page.goto('about:blank');
  page.on('request', (request) => asked.push(request.url()));
  const view = clientView(resolveSystem(HOSTILE), '2026-06-14T08:15:00Z', 7);
  await page.setContent(writeClientPage(view, { codes: 'shown', scenes: true, notes: true }));
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(HOSTILE.name);
  expect(await page.locator('script, img, iframe').count()).toBe(0);
  expect(await page.locator('h3').allTextContents()).toEqual(
    expect.arrayContaining(HOSTILE.families.slice(0, 20).map(({ name }) => name)),
  );
  expect([said, asked]).toEqual([[], []]);
});

import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, test } from '../support/test.ts';
import { treeWalk } from '../support/tree-walk.ts';
import { VIEWS } from '../support/views.ts';

// What a screen reader comes by, view by view, in its order. `WALKS=new` writes them anew, to be read before they are kept.
const fileOf = (name: string) => fileURLToPath(new URL(`../walks/${name}.txt`, import.meta.url));

for (const view of VIEWS)
  test(`the walk through the tree of ${view} is as it is written`, async ({ page, open, stack, project }) => {
    const name = view.replaceAll('/', '-');
    await open(view);
    await expect(page.getByRole('complementary', { name: 'Lamp' })).toBeVisible();
    await page.waitForLoadState('networkidle');
    await expect(page.locator('main [aria-busy=true]')).toHaveCount(0);
    // Addresses are of this server and this project.
    const walk = (await treeWalk(page)).replaceAll(stack.address, '…').replaceAll(project, '…');
    if (process.env.WALKS === 'new' || !existsSync(fileOf(name))) writeFileSync(fileOf(name), walk);
    expect(walk).toBe(readFileSync(fileOf(name), 'utf8'));
    // In order: where one is, what is told, the work, the colour, the tray; one heading that says which station it is.
    const at = ['banner', 'region "Readout"', 'main "Station"', 'complementary "Lamp"', 'region "Tray"'].map(
      (part) => walk.indexOf(`- ${part}`),
    );
    expect(at).toEqual([...at].sort((a, b) => a - b));
    expect(at).not.toContain(-1);
    expect(walk.match(/heading .* \[level=1\]/g)).toHaveLength(1);
  });

test('the beginning is told in order too', async ({ page }) => {
  await page.goto('/new/text');
  await expect(page.getByLabel(/Paste it whole/)).toBeFocused();
  await page.keyboard.insertText('Our blue-green is #0b5f6b and the funnels #e2552b');
  await expect(page.getByText(/^All \d+ pairs pass/)).toBeVisible();
  // Whoever is in a team is asked whose it is.
  const walk = (await treeWalk(page)).replace(/^.*combobox "Whose"\n/m, '');
  if (process.env.WALKS === 'new' || !existsSync(fileOf('begin'))) writeFileSync(fileOf('begin'), walk);
  expect(walk).toBe(readFileSync(fileOf('begin'), 'utf8'));
});

import { rgbToOklab } from '@mint-lamp/core/color/kernel';
import { paint } from '@mint-lamp/core/system/painted';
import type { Page } from '@playwright/test';
import { addColor, axeFaults, expect, expectSaved, onServer, post, test } from '../support/test.ts';

const proposals = (page: Page) => page.getByRole('region', { name: 'Proposals' }).locator('> ul > li');
const proposal = (page: Page, n: number) =>
  page.getByRole('listitem', { name: `Proposal ${n}`, exact: true });
const rounds = (page: Page) => page.getByRole('navigation', { name: 'Rounds' }).getByRole('link');
/** The colours of every proposal that is shown. */
const shown = (page: Page) =>
  proposals(page).evaluateAll((cards) =>
    cards.map((card) =>
      [...card.querySelectorAll('[data-specimen][title^="#"]')].map((one) => one.getAttribute('title')!),
    ),
  );
const settled = (page: Page) =>
  expect(page.getByRole('region', { name: 'Proposals' })).toHaveAttribute('aria-busy', 'false');

test('a round shows nine; more like one, away, a mix; earlier rounds, by their address too; adopted in part', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('gather/proposals');
  const { document: before } = await onServer(stack, project);
  await page.getByRole('button', { name: 'Keep 1 …' }).click();
  await page.getByRole('dialog').getByLabel('Kelp').check();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Make the first round' }).click();
  await expect(proposals(page)).toHaveCount(9);
  const first = await shown(page);
  const base = (id: string) => before.families.find((family: { id: string }) => family.id === id).base;
  for (const colors of first)
    expect(colors.slice(0, 2)).toEqual([`${base('deepwater')}, kept`, `${base('kelp')}, kept`]);
  await expect(proposal(page, 1)).toContainText(/\d+ of 36 pairs pass/);
  const address = page.url();
  expect(address).toMatch(/gather\/proposals\/\d+$/);

  const leave = async (go: () => Promise<void>) => {
    const here = page.url();
    const there = await shown(page);
    await go();
    await expect.poll(() => page.url()).not.toBe(here);
    // The address comes first, the page after it.
    await expect.poll(() => shown(page)).not.toEqual(there);
    await settled(page);
    await expect(proposals(page)).toHaveCount(9);
  };
  await leave(() => page.getByRole('button', { name: 'More like Proposal 2' }).click());
  await leave(() => page.getByRole('button', { name: 'Less like Proposal 3' }).click());
  await page.getByLabel('Mix Proposal 1').check();
  await page.getByLabel('Mix Proposal 4').check();
  await leave(() => page.getByRole('button', { name: 'Mix the two selected' }).click());
  await expect(rounds(page)).toHaveText([/fresh/, /like one/, /unlike one/, /a mix of two/]);

  // Back to the first, by the strip and by its address in another tab of another time.
  await leave(() => rounds(page).first().click());
  expect(await shown(page)).toEqual(first);
  await expectSaved(page);
  await page.goto(address);
  await expect(proposals(page)).toHaveCount(9);
  expect(await shown(page)).toEqual(first);

  await page.getByRole('button', { name: 'Adopt Proposal 5 …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Lantern').uncheck();
  await dialog.getByRole('button', { name: /^Adopt \d+$/ }).click();
  await expect(page.getByText('Adopted. Undo takes all of it back')).toBeVisible();
  await expectSaved(page);
  const bases = async () =>
    Object.fromEntries(
      (await onServer(stack, project)).document.families.map(
        ({ id, base: now }: { id: string; base: string }) => [id, now],
      ),
    );
  const adopted = await bases();
  const code = (i: number) => first[4]![i]!.slice(0, 7);
  expect(adopted).toMatchObject({
    deepwater: base('deepwater'),
    kelp: base('kelp'),
    lantern: base('lantern'),
    // After the two that are kept come the free ones, in the order of the project.
    buoy: code(2),
  });
  expect(adopted.flare).not.toBe(base('flare'));
  // Also after the tab was closed.
  await page.reload();
  await expect(proposals(page)).toHaveCount(9);
  await page.keyboard.press('Control+z');
  await expectSaved(page);
  expect(await bases()).toEqual(
    Object.fromEntries(before.families.map(({ id, base: was }: { id: string; base: string }) => [id, was])),
  );
});

test('the same seed in an address makes the same proposals; by keyboard, and axe finds nothing', async ({
  page,
  open,
  goOn,
}) => {
  await open('gather/proposals/4711');
  await expect(proposals(page)).toHaveCount(9);
  const made = await shown(page);
  await goOn('gather/proposals/4712');
  await expect.poll(() => shown(page)).not.toEqual(made);
  await goOn('gather/proposals/4711');
  await expect.poll(() => shown(page)).toEqual(made);

  await page.getByLabel('More colours').fill('3');
  await page.keyboard.press('Tab');
  await page.getByRole('slider', { name: 'How varied the proposals are' }).focus();
  await page.keyboard.press('End');
  await page.getByRole('button', { name: 'New round' }).focus();
  await page.keyboard.press('Enter');
  await expect(rounds(page)).toHaveCount(1);
  await settled(page);
  await expect.poll(async () => (await shown(page))[0]?.length ?? 0).toBeGreaterThan(made[0]!.length);
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Switch to dark mode' }).click();
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Adopt Proposal 1 …' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
});

test('colours in between two of the tray are put between them, evenly to the eye', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow');
  const tray = page.getByRole('region', { name: 'Tray' });
  await tray.getByRole('button', { name: 'Letterhead', exact: true }).click();
  await tray.getByRole('button', { name: 'Funnel paint', exact: true }).click({ modifiers: ['Control'] });
  await tray.getByRole('button', { name: 'In between …' }).click();
  await page.getByLabel('How many').fill('4');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Add them between' }).click();
  await expectSaved(page);
  const { document } = await onServer(stack, project);
  const colors: string[] = document.tray.slice(0, 6).map(({ color }: { color: string }) => color);
  expect([colors[0], colors[5]]).toEqual(['#0b5f6b', '#e2552b']);
  const labs = colors.map((color) => {
    const { r, g, b } = paint(color);
    return rgbToOklab(r, g, b);
  });
  const steps = labs.slice(1).map((lab, i) => Math.hypot(...lab.map((v, k) => v - labs[i]![k]!)));
  expect(Math.max(...steps) - Math.min(...steps)).toBeLessThan(0.01);
});

test('what is kept stays the same over a reload, also when more has come into the tray', async ({
  page,
  stack,
}) => {
  const { id } = await post(stack, '/projects', { name: 'Kept' });
  await page.goto(`/p/${id}/gather/proposals`);
  const keeps = (n: number) => page.getByRole('button', { name: `Keep ${n} …` });
  await expect(page.getByRole('button', { name: 'Keep nothing …' })).toBeVisible();
  for (const hex of ['#2f6f4e', '#c8102e']) await addColor(page, hex);
  await expectSaved(page);
  // What is usual is said when one comes here.
  await page.reload();
  await expect(keeps(2)).toBeVisible();
  await addColor(page, '#0b5f6b');
  await expectSaved(page);
  await page.reload();
  await expect(keeps(2)).toBeVisible();
});

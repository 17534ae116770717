import { expect, expectSaved, send, test } from '../support/test.ts';

const ROLES = 300;
const PAIRS = 150;

/** Roles and pairs beside those of the demo. */
const fill = () => {
  const shades = ['50', '300', '500', '700', '950'];
  const link = (i: number) => ({ to: 'shade', family: 'kelp', shade: shades[i % 5] });
  const id = (i: number) => `made-${i}`;
  return [
    ...Array.from({ length: ROLES }, (_, i) => ({
      type: 'addRole',
      role: { id: id(i), group: ['made'], name: `role-${i}`, links: { day: link(i), night: link(i + 2) } },
    })),
    ...Array.from({ length: PAIRS }, (_, i) => ({
      type: 'addPair',
      pair: {
        id: `pair-${i}`,
        foreground: id(i),
        background: id(i + 1),
        target: { level: 'AA', content: 'body' },
        size: 16,
        weight: 400,
      },
    })),
  ];
};

test('of long tables only what is near the window is drawn, and every row can be reached', async ({
  page,
  open,
  stack,
  project,
}) => {
  const id = (i: number) => `made-${i}`;
  await send(stack, project, [{ type: 'batch', label: 'fill', commands: fill() }]);
  const inWindow = (locator: ReturnType<typeof page.locator>) => expect(locator).toBeInViewport();

  await open(`assign/${id(ROLES - 1)}`);
  const rows = page.getByRole('table').getByRole('row');
  await inWindow(page.getByLabel(`Name of made.role-${ROLES - 1}`));
  expect(await rows.count()).toBeLessThan(80);
  await page.getByRole('main').evaluate((main) => main.scrollTo(0, 0));
  await inWindow(page.getByLabel('Name of page.ground'));

  await open('check');
  const pairs = page.getByRole('list', { name: 'Pairs, worst first' }).getByRole('listitem');
  await expect(pairs.first()).toBeVisible();
  expect(await pairs.count()).toBeLessThan(60);
  await page.getByRole('main').evaluate((main) => main.scrollTo(0, main.scrollHeight));
  await inWindow(page.locator(`[aria-posinset="${PAIRS + 18}"]`));
  await open('check/pair-7');
  await inWindow(page.getByRole('listitem', { name: 'made.role-7 on made.role-8' }));

  await open('deliver/values');
  const values = page.getByRole('region', { name: 'Values' });
  await inWindow(values.getByText('--page-ground', { exact: true }));
  expect(await values.getByRole('listitem').count()).toBeLessThan(60);
  await values.evaluate((box) => box.scrollTo(0, box.scrollHeight));
  await inWindow(values.getByText('--shingle-950'));
});

test('the readout follows a key that is held, and comes to what is true', async ({
  page,
  open,
  stack,
  project,
}) => {
  await send(stack, project, [{ type: 'batch', label: 'fill', commands: fill() }]);
  await open('grow/kelp');
  const readout = page.getByRole('region', { name: 'Readout' });
  const before = await readout.textContent();
  // What is counted behind an edit here is counted with it on other machines.
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const behind = page.locator('[aria-label="Readout"][aria-busy="true"]');
  const wasBehind = behind.waitFor().then(() => true);
  const base = page.getByRole('slider', { name: /^Base of Kelp/ });
  await base.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('Shift+ArrowRight');
  expect(await wasBehind).toBe(true);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  // While the key is held it is read in turns; at the end it is what is true.
  await expect(readout).not.toHaveText(before!);
  await expectSaved(page);
  await expect(behind).toHaveCount(0);
  await expect(readout).not.toContainText('counting');
  const after = await readout.textContent();
  expect(after).not.toBe(before);
  await page.reload();
  await expect(readout).toHaveText(after!);
});

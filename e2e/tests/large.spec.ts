import { expect, send, test } from '../support/test.ts';

const ROLES = 300;
const PAIRS = 150;

test('of long tables only what is near the window is drawn, and every row can be reached', async ({
  page,
  open,
  stack,
  project,
}) => {
  const shades = ['50', '300', '500', '700', '950'];
  const link = (i: number) => ({ to: 'shade', family: 'kelp', shade: shades[i % 5] });
  const id = (i: number) => `made-${i}`;
  const commands = [
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
  await send(stack, project, [{ type: 'batch', label: 'fill', commands }]);
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

  await open('deliver');
  const values = page.getByRole('region', { name: 'Values' });
  await inWindow(values.getByText('--page-ground', { exact: true }));
  expect(await values.getByRole('listitem').count()).toBeLessThan(60);
  await values.evaluate((box) => box.scrollTo(0, box.scrollHeight));
  await inWindow(values.getByText('--shingle-950'));
});

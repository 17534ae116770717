import { axeFaults, expect, expectSaved, onServer, send, test } from '../support/test.ts';

const baseOf = async (stack: Parameters<typeof onServer>[0], id: string, family: string) =>
  (await onServer(stack, id)).document.families.find((one: { id: string }) => one.id === family).base;

test('a state is named, compared with now role by role, and restored in part and whole, each with one undo', async ({
  page,
  open,
  goOn,
  stack,
  project,
}) => {
  // From the steps of the sitting, which end with it, to what stays.
  await open('assign');
  await page.getByRole('button', { name: 'Steps' }).click();
  await page.getByRole('link', { name: 'Checkpoints' }).click();
  await expect(page.getByText('No checkpoint yet')).toBeVisible();
  await page.getByLabel('Save a checkpoint').fill('As handed over');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Compare As handed over with now' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Nothing differs' })).toBeVisible();
  // The same name again is refused, and what was typed stays.
  await page.getByLabel('Save a checkpoint').fill('as handed over');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('There is a checkpoint named "as handed over" already');
  await expect(page.getByLabel('Save a checkpoint')).toHaveValue('as handed over');

  await send(stack, project, [
    { type: 'setBase', family: 'deepwater', color: '#6b2147' },
    {
      type: 'setLink',
      role: 'text-quiet',
      theme: 'day',
      link: { to: 'shade', family: 'buoy', shade: '800' },
    },
    { type: 'removeFamily', family: 'lantern' },
  ]);
  const roles = page.getByRole('table', { name: 'What differs, by role and theme' });
  const row = (name: string) => roles.getByRole('row').filter({ hasText: name });
  await expect(row('text.quiet')).toContainText('Shingle 600 → Buoy 800');
  await expect(row('text.quiet')).toContainText('5.04 → ');
  await expect(row('action.fill')).toContainText('Deepwater 700, which moved');
  await expect(row('notice.delay.ground')).toContainText('removed family');
  const families = page.getByRole('region', { name: 'Families' });
  await expect(families.getByRole('listitem')).toHaveText(['Deepwaterbase', 'Lanterngone']);
  // What is the same in both is not there.
  await expect(row('accent.fill')).toHaveCount(0);
  expect(await axeFaults(page)).toEqual([]);

  // In part, by keyboard.
  const quiet = page.getByRole('checkbox', { name: 'text.quiet in Day sailing: Shingle 600' });
  await quiet.focus();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Restore the 1 selected' }).press('Enter');
  await expect(row('text.quiet')).toHaveCount(0);
  await expect(families).toContainText('Deepwater');
  await page.keyboard.press('Control+z');
  await expect(row('text.quiet')).toContainText('Shingle 600 → Buoy 800');

  // Whole, and back.
  await page.getByRole('button', { name: 'Restore all of it' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Nothing differs' })).toBeVisible();
  await expectSaved(page);
  expect(await baseOf(stack, project, 'deepwater')).toBe('#0b5f6b');
  await page.keyboard.press('Control+z');
  await expect(families).toContainText('Lantern');
  await expectSaved(page);
  expect(await baseOf(stack, project, 'deepwater')).toBe('#6b2147');

  // Two of them with each other, at an address of their own; the other way round.
  await page.getByLabel('Save a checkpoint').fill('In plum');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Compare In plum with now' })).toBeVisible();
  await page.getByLabel('To', { exact: true }).selectOption('In plum');
  await expect(row('text.quiet')).toContainText('Shingle 600 → Buoy 800');
  await page.getByRole('button', { name: 'Swap' }).click();
  await expect(row('text.quiet')).toContainText('Buoy 800 → Shingle 600');
  await page.reload();
  await expect(row('text.quiet')).toContainText('Buoy 800 → Shingle 600');

  // Renamed in place; removed, and kept after all.
  const name = page.getByLabel('Name of the checkpoint In plum');
  await name.fill('Plum, not liked');
  await name.press('Enter');
  const plum = page.getByRole('button', { name: 'Compare Plum, not liked with now' });
  await expect(plum).toBeVisible();
  await page.getByRole('button', { name: 'Remove the checkpoint Plum, not liked' }).click();
  await expect(plum).toBeHidden();
  await page.getByRole('button', { name: 'Keep it after all' }).click();
  await expect(plum).toBeVisible();
  await goOn('assign');
});

test('a part that needs another brings it along, and says so before', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('checkpoints');
  await page.getByLabel('Save a checkpoint').fill('All there');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Compare All there with now' }).click();
  await send(stack, project, [
    { type: 'removeFamily', family: 'buoy' },
    { type: 'setLink', role: 'accent-fill', theme: 'day', link: { to: 'color', color: '#123456' } },
  ]);
  await page.getByRole('checkbox', { name: /^accent\.fill in Day sailing: Buoy/ }).check();
  await expect(page.getByText('They need, and bring back with them: the family Buoy.')).toBeVisible();
  await page.getByRole('button', { name: 'Restore the 1 selected' }).click();
  await expectSaved(page);
  await expect(page.getByText('0 broken links')).toBeVisible();
  expect(await baseOf(stack, project, 'buoy')).toBe('#e2552b');
});

import { addColor, expect, onServer, send, test } from '../support/test.ts';

test('a translucent grey keeps the hue that it was given, for when it has a chroma again', async ({
  page,
  open,
}) => {
  await open('grow');
  await addColor(page, '#80808080');
  await page.getByRole('region', { name: 'Tray' }).getByRole('listitem').last().getByRole('button').click();
  const field = (name: string) => page.getByRole('textbox', { name, exact: true });
  await field('Hue').fill('200');
  await page.keyboard.press('Enter');
  await expect(field('Hue')).toHaveValue('200');
  await field('Opacity').fill('60');
  await page.keyboard.press('Enter');
  await expect(field('Hue')).toHaveValue('200');
  await field('Chroma').fill('0.08');
  await page.keyboard.press('Enter');
  await expect(field('Any CSS colour')).toHaveValue(/^rgb\(\d+ 1\d\d 1\d\d \/ 0\.6\)$/);
  await expect(field('Hue')).toHaveValue('200');
});

test('what follows a shade is counted anew when the labels change', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow/deepwater/700');
  const used = page.getByRole('region', { name: 'Used by' });
  await expect(used).toContainText('Followed by');
  await open('grow/deepwater');
  await expect(used).toContainText('Followed by');
  const { document } = await onServer(stack, project);
  const { growth } = document.families.find(({ id }: { id: string }) => id === 'deepwater');
  const labels = growth.labels.map((label: string) => `d${label}`);
  await send(stack, project, [{ type: 'setGrowth', family: 'deepwater', growth: { ...growth, labels } }]);
  await expect(used).toContainText('Nothing follows it');
});

import { axeFaults, expect, test } from '../support/test.ts';

test('the demo’s one person invites somebody, opens the letter, is them for a while, and is itself again', async ({
  page,
}) => {
  await page.goto('/');
  // Nobody is asked who they are.
  await page.getByRole('button', { name: 'This computer' }).click();
  await page.getByRole('link', { name: 'Teams' }).click();
  await page.getByLabel('New team').fill('Ferry crew');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Ferry crew' })).toBeVisible();
  const email = `nis-${Date.now()}@skerry-line.example`;
  await page.getByLabel('E-mail address').fill(email);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Invitations' })).toContainText(email);
  await page.getByRole('button', { name: 'This computer' }).click();
  await page.getByRole('link', { name: 'Mail kept here' }).click();
  expect(await axeFaults(page)).toEqual([]);
  const letter = page.getByRole('article', { name: 'Letter' });
  await expect(letter).toContainText(email);
  const leads = await letter.getByRole('link').getAttribute('href');
  await page.goto(leads!);
  await page.getByLabel('Your name').fill('Nis Lantern');
  await page.getByLabel('Passphrase', { exact: true }).fill('four gulls over Grey Holm');
  await page.getByRole('button', { name: 'Join Ferry crew' }).click();
  await expect(page.getByRole('button', { name: 'Nis Lantern' })).toBeVisible();
  // What is the computer's own is not theirs.
  await expect(page.getByText('No project yet')).toBeVisible();
  await page.getByRole('button', { name: 'Nis Lantern' }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'This computer' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Mint Lamp interface' })).toBeVisible();
});

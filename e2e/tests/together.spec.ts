import { randomUUID } from 'node:crypto';
import { enter, test } from '../support/crew-test.ts';
import { askAs } from '../support/people.ts';
import { addColor, axeFaults, expect, expectSaved } from '../support/test.ts';

test('who else is here is seen, where they are, what they hold and did; one is followed until one acts', async ({
  browser,
  server,
  crew: { ula, nis, project },
}) => {
  const [one, two] = [await enter(browser, server, ula), await enter(browser, server, nis)];
  await one.page.goto(`/p/${project}/gather`);
  await expect(one.page.getByRole('heading', { name: 'Gather', level: 1 })).toBeVisible();
  await expect(one.page.getByRole('button', { name: /other/ })).toHaveCount(0);
  await two.page.goto(`/p/${project}/assign`);
  await expect(two.page.getByRole('heading', { name: 'Assign', level: 1 })).toBeVisible();

  // Each sees the other, who came first too.
  const mark = one.page.getByRole('button', { name: '1 other is here: Nis Lantern' });
  await expect(mark).toBeVisible();
  await expect(two.page.getByRole('button', { name: '1 other is here: Ula Harbour' })).toBeVisible();
  await mark.focus();
  await one.page.keyboard.press('Enter');
  const people = one.page.getByRole('list', { name: 'People here' });
  await expect(people.getByRole('listitem')).toContainText('at Assign');
  expect(await axeFaults(one.page)).toEqual([]);

  // What somebody does arrives with who did it.
  await Promise.all([
    // It stands there for a moment only.
    expect(one.page.getByRole('status', { name: 'What others did' })).toContainText('Nis Lantern: '),
    addColor(two.page, '#e2552b'),
  ]);
  await expectSaved(two.page);

  // Followed, also to what they light; told when both hold the same.
  await people.getByRole('button', { name: 'Follow Nis Lantern' }).click();
  await expect(one.page).toHaveURL(/\/assign$/);
  await two.page.getByRole('link', { name: /^Fade/ }).click();
  await expect(one.page).toHaveURL(/\/fade$/);
  await expect(one.page.getByText('You follow Nis Lantern')).toBeVisible();
  await two.page
    .getByRole('region', { name: 'Tray' })
    .getByRole('listitem')
    .first()
    .getByRole('button')
    .first()
    .click();
  await expect(one.page.getByRole('complementary', { name: 'Lamp' })).toContainText(
    'Nis Lantern holds this colour too.',
  );
  await expect(two.page.getByRole('complementary', { name: 'Lamp' })).toContainText(
    'Ula Harbour holds this colour too.',
  );
  expect(await axeFaults(one.page)).toEqual([]);
  await one.page.keyboard.press('Escape');
  await expect(one.page.getByText('You follow Nis Lantern')).toBeHidden();
  await two.page.getByRole('link', { name: /^Gather/ }).click();
  await expect(two.page).toHaveURL(/\/gather/);
  await expect(people.or(one.page.locator('main')).first()).toBeVisible();
  expect(one.page.url()).toMatch(/\/fade$/);

  // Who leaves is gone.
  await two.page.goto('/');
  await expect(one.page.getByRole('button', { name: /other is here/ })).toHaveCount(0);
  await one.context.close();
  await two.context.close();
});

test('what others did since one was last here is told by person and station, before and after, and put back', async ({
  browser,
  server,
  crew: { ula, nis, project },
}) => {
  const one = await enter(browser, server, ula);
  await one.page.goto(`/p/${project}/gather`);
  await expect(one.page.getByRole('heading', { name: 'Gather', level: 1 })).toBeVisible();
  await expect(one.page.getByRole('button', { name: 'People of this project' })).toBeVisible();
  await expect(one.page.getByRole('link', { name: /since you were here/ })).toHaveCount(0);
  await one.page.goto('/teams');

  const command = (changed: object) => ({ id: randomUUID(), command: changed });
  const answer = await askAs(server.address, nis, 'POST', `/projects/${project}/commands`, {
    revision: 1,
    commands: [
      command({
        type: 'addSwatch',
        swatch: { id: 'buoy', name: 'Buoy', color: '#e2552b', group: '', added: 0 },
      }),
      command({ type: 'renameProject', name: 'Skerry Line, winter' }),
      command({ type: 'addTheme', theme: { id: 'glare', name: 'Deck glare' }, links: {} }),
    ],
  });
  const { outcomes } = (await answer.json()) as { outcomes: { status: string }[] };
  expect(outcomes.map(({ status }) => status)).toEqual(['applied', 'applied', 'applied']);

  await one.page.goto(`/p/${project}/gather`);
  const since = one.page.getByRole('link', { name: '3 steps since you were here' });
  await since.focus();
  await one.page.keyboard.press('Enter');
  await expect(one.page.getByRole('heading', { name: 'Since you were here', level: 1 })).toBeVisible();
  const who = one.page.getByRole('list', { name: 'Who did what' });
  await expect(who.getByRole('heading', { name: 'Nis Lantern, 3 steps' })).toBeVisible();
  for (const [station, words] of [
    ['Gather: 1 step', 'Buoy'],
    ['Assign: 1 step', 'Deck glare'],
    ['Elsewhere: 1 step', 'winter'],
  ] as const) {
    await who.getByText(station).click();
    await expect(who).toContainText(words);
  }
  const compared = one.page.getByRole('region', { name: 'Before and after' });
  await expect(compared).toContainText('Deck glare');
  expect(await axeFaults(one.page)).toEqual([]);
  await compared.getByRole('button', { name: /^Restore all/ }).click();
  await expectSaved(one.page);
  await expect(one.page.getByText('It was all undone since: nothing differs.')).toBeVisible();
  // Looked at once, it is not told again.
  await one.page.goto('/teams');
  await one.page.goto(`/p/${project}/gather`);
  await expect(one.page.getByRole('button', { name: 'People of this project' })).toBeVisible();
  await expect(one.page.getByRole('link', { name: /since you were here/ })).toHaveCount(0);
  await one.context.close();
});

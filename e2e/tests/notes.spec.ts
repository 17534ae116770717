import { enter, test } from '../support/crew-test.ts';
import { askAs } from '../support/people.ts';
import { test as alone, axeFaults, expect, expectSaved, onServer, send } from '../support/test.ts';

test('somebody is named in a note and answers it; it is found among all, settled, and opened again, by keyboard', async ({
  browser,
  server,
  crew: { ula, nis, project },
}) => {
  const [one, two] = [await enter(browser, server, ula), await enter(browser, server, nis)];
  await one.page.goto(`/p/${project}/notes`);
  await expect(one.page.getByRole('heading', { name: 'No notes yet' })).toBeVisible();
  await one.page.getByRole('button', { name: 'Write a note …' }).focus();
  await one.page.keyboard.press('Enter');
  const form = one.page.getByRole('region', { name: 'New note' });
  await form.getByLabel('On', { exact: true }).selectOption({ label: 'Deep' });
  await form.getByLabel('Note', { exact: true }).focus();
  await one.page.keyboard.type('Too dark at night, @la');
  const offered = one.page.getByRole('listbox', { name: 'People to mention' });
  await expect(offered.getByRole('option')).toHaveText(['Nis Lantern']);
  expect(await axeFaults(one.page)).toEqual([]);
  // Given up with Escape, and taken with Enter.
  await one.page.keyboard.press('Escape');
  await expect(offered).toBeHidden();
  await one.page.keyboard.press('Backspace');
  await one.page.keyboard.press('Enter');
  await one.page.keyboard.type('?');
  await expect(form.getByLabel('Note', { exact: true })).toHaveValue('Too dark at night, @Nis Lantern ?');
  await one.page.keyboard.press('Control+Enter');
  await expectSaved(one.page);

  // Whoever is named finds it, and answers.
  await two.page.goto(`/p/${project}/notes?to=me`);
  const notes = two.page.getByRole('list', { name: 'Notes of this project' });
  await expect(notes.getByRole('listitem')).toHaveCount(1);
  await expect(notes.locator('b')).toHaveText('@Nis Lantern');
  await expect(notes).toContainText('Ula Harbour, ');
  await notes.getByRole('button', { name: 'Answer', exact: true }).click();
  await two.page.keyboard.type('A step lighter, then');
  await two.page.keyboard.press('Control+Enter');
  await expect(one.page.getByRole('list', { name: 'Answers' })).toContainText(
    'A step lighter, thenNis Lantern, ',
  );

  // What comes while somebody has one in hand waits until it is asked for.
  await two.page.goto(`/p/${project}/notes`);
  await one.page.getByRole('button', { name: 'Write a note …' }).click();
  await form.getByLabel('Note', { exact: true }).fill('For all of it');
  await one.page.keyboard.press('Control+Enter');
  await two.page.getByRole('button', { name: 'Show 1 new note' }).click();
  await expect(notes.getByText('The whole project')).toBeVisible();
  await notes.getByRole('button', { name: 'Remove the note' }).first().click();
  await expect(notes.getByText('The whole project')).toBeHidden();

  // Only who wrote something changes its words.
  await expect(notes.getByRole('button', { name: 'Change the note' })).toHaveCount(0);
  await notes.getByRole('button', { name: 'Change the answer' }).click();
  await two.page.keyboard.press('ControlOrMeta+A');
  await two.page.keyboard.type('Two steps lighter');
  await two.page.keyboard.press('Control+Enter');
  await expect(one.page.getByRole('list', { name: 'Answers' })).toContainText('Two steps lighter');

  // Settled, it is not among the open ones; it is found again, and opened again; an undo is one step.
  await expect(one.page.getByRole('button', { name: '1 open note' })).toBeVisible();
  await notes.getByRole('button', { name: 'Resolve' }).click();
  // It stays where it is, under the hand, until something else is asked for.
  await expect(notes.getByRole('button', { name: 'Reopen' })).toBeVisible();
  await expect(one.page.getByRole('link', { name: '0 open notes' })).toBeVisible();
  await two.page.getByRole('radio', { name: 'Resolved' }).click();
  await expect(two.page).toHaveURL(/state=settled/);
  await expect(notes.getByRole('listitem').first()).toBeVisible();
  await notes.getByRole('button', { name: 'Reopen' }).click();
  await two.page.getByRole('radio', { name: 'All' }).click();
  await two.page.getByRole('searchbox', { name: 'Find' }).fill('steps');
  await expect(two.page.getByText('1 of 1 note')).toBeVisible();
  await two.page.getByRole('searchbox', { name: 'Find' }).fill('no such words');
  await expect(two.page.getByText('0 of 1 note')).toBeVisible();
  await two.page.getByRole('button', { name: 'Show the open ones' }).click();
  await expect(notes.getByRole('listitem').first()).toBeVisible();
  await two.page.keyboard.press('Escape');
  await two.page.keyboard.press('ControlOrMeta+Z');
  await expect(notes.getByRole('button', { name: 'Reopen' })).toBeVisible();
  await two.page.reload();
  await expect(two.page.getByRole('heading', { name: 'No open notes' })).toBeVisible();
  expect(await axeFaults(two.page)).toEqual([]);
  await expectSaved(two.page);
  const { document } = (await (await askAs(server.address, ula, 'GET', `/projects/${project}`)).json()) as {
    document: { notes: object[] };
  };
  expect(document.notes).toMatchObject([
    {
      author: ula.id,
      mentions: [nis.id],
      settled: true,
      answers: [{ author: nis.id, text: 'Two steps lighter' }],
    },
  ]);
  await one.context.close();
  await two.context.close();
});

alone(
  'open notes are pinned to what they are on in every theme of a scene, and answered there',
  async ({ page, open, stack, project }) => {
    const note = (id: string, on: object, more: object = {}) => ({
      type: 'addNote',
      note: { id, on, text: `About ${id}`, by: 'Ida', at: 1, settled: false, answers: [], ...more },
    });
    const { gradients } = (await onServer(stack, project)).document;
    await send(stack, project, [
      note('text', { kind: 'role', role: 'text-main' }),
      note('again', { kind: 'role', role: 'text-main' }),
      note('hero', { kind: 'gradient', gradient: gradients[0].id }),
      note('done', { kind: 'role', role: 'action-fill' }, { settled: true }),
      note('page', { kind: 'scene', scene: 'landing' }),
      note('dusk', { kind: 'theme', theme: 'night' }),
    ]);
    await open('stage/landing');
    const pins = page.locator('[data-pin]');
    await expect(page.locator('[data-stage-theme]')).toHaveCount(2);
    await expect(pins).toHaveCount(0);
    await page.getByRole('button', { name: 'Notes', exact: true }).click();
    const night = page.locator('[data-stage-theme="night"]');
    const pin = night.getByRole('button', { name: '2 notes on text.main' });
    await expect(pin).toHaveText('2');
    await expect(night.getByRole('button', { name: /^1 note on/ })).toHaveCount(1);
    expect(await axeFaults(page)).toEqual([]);

    // Where it stands is where that role is seen.
    const under = await pin.evaluate((element) => {
      const { left, bottom } = element.getBoundingClientRect();
      return document
        .elementsFromPoint(left - 2, bottom - 4)
        .flatMap((one) => one.closest('[data-text]')?.getAttribute('data-text') ?? []);
    });
    expect(under).toContain('text');

    await pin.focus();
    await page.keyboard.press('Enter');
    const panel = page.getByRole('dialog', { name: '2 notes on text.main' });
    await panel.getByRole('button', { name: 'Answer', exact: true }).first().click();
    await page.keyboard.type('Seen');
    await page.keyboard.press('Control+Enter');
    await expect(panel.getByRole('list', { name: 'Answers' })).toContainText('Seen');
    await panel.getByRole('button', { name: 'Resolve' }).first().click();
    await page.keyboard.press('Escape');
    await expect(night.getByRole('button', { name: '1 note on text.main' })).toHaveText('1');

    // The page and a theme are noted on as a whole.
    await page.getByRole('button', { name: 'Notes on Night sailing: 1 open' }).click();
    await expect(page.getByRole('dialog')).toContainText('About dusk');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Notes on Landing page: 1 open' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Write a note' }).click();
    await page.keyboard.type('Warmer');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('button', { name: 'Notes on Landing page: 2 open' })).toBeVisible();
    await expectSaved(page);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: '5 open notes' }).click();
    await page.getByRole('link', { name: 'All notes, with answers' }).click();
    await page.getByLabel('On', { exact: true }).selectOption('Pages');
    await expect(page.getByText('2 of 7 notes')).toBeVisible();
    await page.getByRole('link', { name: 'Landing page' }).first().click();
    await expect(page).toHaveURL(/stage\/landing$/);
  },
);

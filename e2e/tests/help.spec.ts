import { HELP } from '../../apps/web/src/help/help-list.ts';
import { axeFaults, expect, test } from '../support/test.ts';
import { VIEWS } from '../support/views.ts';

test('a mark, a key and the finder say what something is and why one would, in two sentences', async ({
  page,
  open,
}) => {
  await open('grow');
  await page.getByRole('main').getByRole('button', { name: 'What is this?' }).first().click();
  const card = page.getByRole('dialog', { name: 'Grow', exact: true });
  await expect(card).toContainText('A family is a base colour');
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await expect(card).toBeHidden();
  // By the key, of what has the focus.
  await page.getByRole('region', { name: 'Tray' }).getByRole('button').first().focus();
  await page.mouse.move(1, 1);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Tray' })).toContainText('stays with the project');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'Tray' }).getByRole('button').first()).toBeFocused();
  // Of what the pointer is over.
  await page.getByText('light axis, L*').hover();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Rail and light axis' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder(/^A name, a shade/)).toBeFocused();
  await page.keyboard.type('large text');
  await page.getByRole('option', { name: /What is: What large text is/ }).click();
  await expect(page.getByRole('dialog', { name: 'What large text is' })).toContainText('18.66 px');
});

test('every mark that stands anywhere has an answer', async ({ page, open, goOn }) => {
  const known = HELP.map(({ id }) => id);
  await open('gather');
  for (const view of VIEWS) {
    await goOn(view);
    await page.locator('[data-help-open]').first().waitFor();
    const asked = await page
      .locator('[data-help-open], [data-help]')
      .evaluateAll((all) =>
        all.map((one) => one.getAttribute('data-help-open') ?? one.getAttribute('data-help')),
      );
    expect(
      asked.filter((one) => !known.includes(one!)),
      view,
    ).toEqual([]);
  }
});

test('any control of the frame and of every view is answered, what it is itself first', async ({
  page,
  open,
  goOn,
}) => {
  const known = HELP.map(({ id }) => id);
  await open('gather');
  for (const view of VIEWS) {
    await goOn(view);
    await page.locator('[data-help-open]').first().waitFor();
    const unanswered = await page
      .locator('button, input, select, textarea, a[href], [role=slider], [role=gridcell]')
      .evaluateAll(
        (all, ids) =>
          all
            .filter((one) => one.checkVisibility() && !one.matches('[data-help-open]'))
            .filter((one) => {
              const view = '#station nav[data-help], #station header [data-help]';
              const marked =
                one.closest<HTMLElement>('[data-help]') ??
                (one.closest('#station') ? document.querySelector<HTMLElement>(view) : null);
              return !ids.includes(marked?.dataset.help ?? '');
            })
            .map((one) => one.getAttribute('aria-label') ?? one.textContent),
        known,
      );
    expect(unanswered, view).toEqual([]);
  }
  const asked = async (title: string) => {
    await page.keyboard.press('?');
    return page.getByRole('dialog', { name: title, exact: true });
  };
  await goOn('check/readers');
  await page.getByRole('button', { name: 'See everything this way: Blurred' }).hover();
  const readers = await asked('Readers');
  await expect(readers).toContainText(
    'See everything this way: Blurred: At every station, until you switch it off',
  );
  await expect(readers).toContainText('Your page as others see it');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).hover();
  await expect(await asked('Undo, redo and steps')).toContainText('Undo: Nothing to undo');
  await page.keyboard.press('Escape');
  // Where nothing is asked about, the keys are shown.
  await page.mouse.move(1, 1);
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.mouse.move(500, 700);
  await expect(await asked('Shortcuts')).toBeVisible();
});

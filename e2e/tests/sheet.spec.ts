import type { Locator, Page } from '@playwright/test';
import { seen } from '../support/painted.ts';
import { saveData } from '../support/saved-data.ts';
import { axeFaults, expect, expectSaved, onServer, send, test } from '../support/test.ts';

const cell = (page: Page, role: string, theme: string) =>
  page.getByRole('button', { name: new RegExp(`^${role.replaceAll('.', '\\.')} in ${theme}:`) });
const rolesOf = async (stack: Parameters<typeof onServer>[0], id: string) =>
  (await onServer(stack, id)).document.roles as {
    id: string;
    group: string[];
    name: string;
    links: Record<string, object>;
  }[];
const shade = (family: string, label: string) => ({ to: 'shade', family, shade: label });

/** Drags from the middle of one thing to the middle of another, in steps as a hand does. */
async function drag(page: Page, from: Locator, to: Locator, isRow = false): Promise<void> {
  // Where it has come to rest: what is fetched behind the page may still move it.
  await from.hover();
  const a = (await from.boundingBox())!;
  await page.mouse.down();
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2 + 12, { steps: 3 });
  const said = page.locator('[id^=DndLiveRegion]');
  // Nobody lets go before the place has shown that it would take it.
  await expect(async () => {
    const b = (await to.boundingBox())!;
    await page.mouse.move(b.x + b.width / 2 - 9, b.y + b.height / 2, { steps: 4 });
    await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 4 });
    if (isRow) await expect(said).toHaveText(/ is over (?!nothing)/, { timeout: 1000 });
    else await expect(to).toHaveClass(/(^| )outline-ring/, { timeout: 1000 });
  }).toPass();
  await page.mouse.up();
}

test('several cells are picked by keys and by mouse: moved, filled, copied, pasted, linked and cleared as one', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('assign');
  const start = cell(page, 'text.main', 'Day sailing');
  await start.focus();
  // Reached by a key, whatever was used before.
  await page.keyboard.press('Tab');
  await page.keyboard.press('Shift+Tab');
  // The ring goes round all of it, the sample at its left included.
  const { data, width, height } = await seen(start);
  const at = (x: number, y: number) =>
    [...data.subarray((y * width + x) * 4, (y * width + x) * 4 + 3)].join();
  const [top, left] = [at(width - 20, 1), at(1, Math.floor(height / 2))];
  expect([left, at(20, 1)]).toEqual([top, top]);
  expect(at(4, Math.floor(height / 2))).not.toBe(top);
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowRight');
  const bar = page.getByRole('toolbar', { name: 'Picked cells' });
  await expect(bar.getByRole('status')).toHaveText('4 cells');
  await expect(cell(page, 'text.quiet', 'Night sailing')).toHaveAccessibleName(/, picked$/);
  expect(await axeFaults(page)).toEqual([]);
  // All one shade on, each along its own family, as one step.
  await page.keyboard.press('ArrowLeft');
  await expect(cell(page, 'text.quiet', 'Day sailing')).toHaveAccessibleName(/Shingle 700/);
  await expect(cell(page, 'text.quiet', 'Night sailing')).toHaveAccessibleName(/Shingle 400/);
  await expect(cell(page, 'text.main', 'Night sailing')).toHaveAccessibleName(/Shingle 100/);
  await page.keyboard.press('Control+z');
  await expect(cell(page, 'text.quiet', 'Day sailing')).toHaveAccessibleName(/Shingle 600/);
  await expect(cell(page, 'text.main', 'Night sailing')).toHaveAccessibleName(/Shingle 50,/);
  // Copied as a block, and pasted from another cell on.
  await page.keyboard.press('Control+c');
  await cell(page, 'line.soft', 'Day sailing').focus();
  await expect(bar).toBeHidden();
  await page.keyboard.press('Control+v');
  await expectSaved(page);
  const pasted = await rolesOf(stack, project);
  const linksOf = (id: string) => pasted.find((role) => role.id === id)!.links;
  expect(linksOf('line-soft')).toEqual(linksOf('text-main'));
  expect(linksOf('line-strong')).toEqual(linksOf('text-quiet'));
  await page.keyboard.press('Control+z');

  // By mouse: Shift and a press; filled across; linked to one shade; cleared.
  await cell(page, 'action.fill', 'Day sailing').focus();
  await cell(page, 'action.hover', 'Night sailing').click({ modifiers: ['Shift'] });
  await expect(bar.getByRole('status')).toHaveText('4 cells');
  await bar.getByRole('button', { name: 'Fill across' }).click();
  await expect(cell(page, 'action.fill', 'Night sailing')).toHaveAccessibleName(/Deepwater 700/);
  await bar.getByRole('button', { name: 'Link to …' }).click();
  await page.getByLabel('Link to').fill('ke 6');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'action.hover', 'Day sailing')).toHaveAccessibleName(/Kelp 600/);
  await bar.getByRole('button', { name: 'Clear', exact: true }).click();
  await expectSaved(page);
  for (const { id, links } of await rolesOf(stack, project))
    if (id === 'action-fill' || id === 'action-hover') expect(links).toEqual({});
  await bar.getByRole('button', { name: 'Clear the selection' }).click();
  await expect(bar).toBeHidden();
});

test('shades are dragged from the rails at hand, the lit colour from the lamp; both come as links', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('assign/text-main');
  await page.getByRole('button', { name: 'Rails at hand' }).click();
  const rack = page.getByRole('list', { name: 'Rails at hand' });
  expect(await axeFaults(page)).toEqual([]);
  await drag(
    page,
    rack.getByRole('button', { name: 'Buoy 600', exact: true }),
    cell(page, 'line.soft', 'Night sailing'),
  );
  await expect(cell(page, 'line.soft', 'Night sailing')).toHaveAccessibleName(/Buoy 600/);
  // What is lit is carried as itself: the role, and not its colour.
  await drag(page, page.getByTestId('lamp-color'), cell(page, 'text.quiet', 'Day sailing'));
  await expect(cell(page, 'text.quiet', 'Day sailing')).toHaveAccessibleName(/: text\.main/);
  // A press gives it to all that are picked; without the pointer at all.
  await cell(page, 'page.raised', 'Day sailing').focus();
  await page.keyboard.press('Shift+ArrowDown');
  await rack.getByRole('button', { name: 'Kelp base', exact: true }).press('Enter');
  await expectSaved(page);
  const roles = await rolesOf(stack, project);
  const linkOf = (id: string, theme: string) => roles.find((role) => role.id === id)!.links[theme];
  expect(linkOf('line-soft', 'night')).toEqual(shade('buoy', '600'));
  expect(linkOf('text-quiet', 'day')).toEqual({ to: 'role', role: 'text-main' });
  for (const id of ['page-raised', 'page-sunken'])
    expect(linkOf(id, 'day')).toEqual({ to: 'base', family: 'kelp' });
  // A circle by dragging is refused by its name, and changes nothing.
  await drag(page, page.getByTestId('lamp-color'), cell(page, 'text.main', 'Day sailing'));
  await expect(page.getByText(/text\.main would come of itself/)).toBeVisible();
});

test('roles and groups are put elsewhere by keys and by drag; a role goes into the group that it is put in', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('assign');
  const written = async () =>
    (await rolesOf(stack, project)).map(({ group, name }) => [...group, name].join('.'));
  const before = await written();
  const grip = (name: string) => page.getByRole('button', { name: `Move ${name}`, exact: true });
  await grip('text.link').focus();
  // Down past the heading of the lines, and it is one of them.
  await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('Name of line.link')).toBeVisible();
  await expect(grip('line.link')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expectSaved(page);
  expect((await written()).slice(5, 8)).toEqual(['line.soft', 'line.link', 'line.strong']);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  // A group goes with all its roles.
  await grip('the group text').focus();
  await page.keyboard.press('ArrowUp');
  await expectSaved(page);
  expect((await written()).slice(0, 4)).toEqual(['text.main', 'text.quiet', 'text.link', 'page.ground']);
  await page.keyboard.press('Control+z');
  await expectSaved(page);
  expect(await written()).toEqual(before);

  await page
    .getByRole('row')
    .filter({ has: page.getByLabel('Name of text.quiet') })
    .hover();
  await drag(
    page,
    grip('text.quiet'),
    page
      .getByRole('row')
      .filter({ has: page.getByLabel('Name of line.strong') })
      .getByRole('rowheader'),
    true,
  );
  await expect(page.getByLabel('Name of line.quiet')).toBeVisible();
  await expectSaved(page);
  const after = await rolesOf(stack, project);
  const at = after.findIndex(({ id }) => id === 'text-quiet');
  expect(after[at - 1]!.id).toBe('line-strong');
  // Pairs and links go by the role, not by its name.
  await expect(page.getByLabel('Readout')).toContainText('0 broken links');
  // A name that the group has already is refused, and nothing moves.
  await send(stack, project, [
    { type: 'addRole', role: { id: 'own-main', group: ['line'], name: 'main', links: {} } },
  ]);
  await expect(page.getByLabel('Name of line.main')).toBeVisible();
  await grip('text.main').focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/There is a role line\.main already/)).toBeVisible();
  await expect(page.getByLabel('Name of text.main')).toBeVisible();
});

test('a group of five hundred roles is renamed in one command with one undo, and every file follows', async ({
  page,
  open,
  goOn,
  stack,
  project,
}) => {
  const role = (i: number) => ({
    id: `n${i}`,
    group: ['notice'],
    name: `kind-${i}`,
    links: { day: shade('flare', '700') },
  });
  await send(
    stack,
    project,
    Array.from({ length: 495 }, (_, i) => ({ type: 'addRole', role: role(i) })),
  );
  await open('assign/n0');
  const heading = page.getByLabel('Name of the group notice', { exact: true });
  await heading.fill('service');
  await heading.press('Enter');
  await expect(page.getByLabel('Name of the group service', { exact: true })).toBeVisible();
  await expectSaved(page);
  const written = async () =>
    (await rolesOf(stack, project)).map(({ group, name }) => [...group, name].join('.'));
  expect((await written()).filter((name) => name.startsWith('service.'))).toHaveLength(501);
  const { revision } = await onServer(stack, project);
  await goOn('deliver');
  const file = page.locator('main pre');
  await expect(file).toContainText('--service-kind-494: ');
  await expect(file).toContainText('--service-delay-ground: ');
  await expect(file).not.toContainText('--notice-');
  await page.getByRole('link', { name: 'List of codes' }).click();
  await expect(file).toContainText('service.kind-494');
  await expect(file).not.toContainText('notice.');
  await page.keyboard.press('Control+z');
  await expect(file).toContainText('notice.kind-494');
  await expect(file).not.toContainText('service.');
  await expectSaved(page);
  // One command there, one back.
  expect((await onServer(stack, project)).revision).toBe(revision + 1);
  expect((await written()).some((name) => name.startsWith('service.'))).toBe(false);
});

test('a theme is duplicated beside itself', async ({ page, open }) => {
  await open('assign');
  await page.getByRole('button', { name: 'Themes …' }).click();
  await page.getByRole('button', { name: 'Duplicate Day sailing' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('columnheader')).toContainText([
    'Role',
    'Day sailing',
    'Day sailing copy',
    'Night sailing',
    'Remove',
  ]);
  await expect(cell(page, 'action.fill', 'Day sailing copy')).toHaveAccessibleName(/Deepwater 700, 7\.33/);
});

test('a second person’s edits come in during one’s own drag, and both are there at the end', async ({
  page,
  open,
  stack,
  project,
  browser,
}) => {
  await open('grow/deepwater');
  const elsewhere = await browser.newContext({ baseURL: stack.address });
  await saveData(elsewhere);
  const second = await elsewhere.newPage();
  await open('assign', second);
  const handle = page.getByRole('slider', { name: /^Base of Deepwater/ });
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + 12, box.y + 12);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + 12, { steps: 6 });
  // While it is held: another links, renames and moves another base.
  const link = cell(second, 'line.soft', 'Day sailing');
  await link.press('ArrowLeft');
  await expect(link).toHaveAccessibleName(/Shingle 300/);
  const name = second.getByLabel('Name of text.quiet');
  await name.fill('calm');
  await name.press('Enter');
  await expectSaved(second);
  await send(stack, project, [{ type: 'setBase', family: 'buoy', color: '#c02050' }]);
  // Seen here meanwhile, with the drag still on.
  await expect(page.getByRole('slider', { name: /^Base of Buoy/ })).toHaveAttribute(
    'aria-valuetext',
    /#c02050/,
  );
  await page.mouse.move(box.x + 110, box.y + 12, { steps: 6 });
  // What is read of a handle follows it a little behind: it has come to rest when it says the same four times.
  const said: (string | null)[] = [];
  await expect(async () => {
    said.push(await handle.getAttribute('aria-valuetext'));
    expect(said.length).toBeGreaterThan(3);
    expect(new Set(said.slice(-4)).size).toBe(1);
  }).toPass({ intervals: [300] });
  await page.mouse.up();
  await expectSaved(page);
  const { families, roles } = (await onServer(stack, project)).document;
  const baseOf = (id: string) => families.find((family: { id: string }) => family.id === id).base;
  expect(said.at(-1)).toContain(baseOf('deepwater'));
  expect(baseOf('deepwater')).not.toBe('#0b5f6b');
  expect(baseOf('buoy')).toBe('#c02050');
  expect(roles.find((role: { id: string }) => role.id === 'text-quiet').name).toBe('calm');
  expect(roles.find((role: { id: string }) => role.id === 'line-soft').links.day).toEqual(
    shade('shingle', '300'),
  );
  // And the second has the first one's.
  await expect(cell(second, 'action.fill', 'Day sailing')).toHaveAccessibleName(/Deepwater 700/);
  await second.context().close();
});

test('a lit role is linked by the finder; what depends on a colour is named in every theme, and leads there', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('assign/line-soft');
  await expect(page.getByRole('heading', { name: 'line.soft' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder(/^A name, a shade/).fill('buoy 300');
  await expect(page.getByText('Link line.soft in Day sailing to')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(cell(page, 'line.soft', 'Day sailing')).toHaveAccessibleName(/Buoy 300/);
  await send(stack, project, [
    { type: 'setLink', role: 'focus-ring', theme: 'night', link: { to: 'role', role: 'action-fill' } },
    {
      type: 'setFollows',
      family: 'kelp',
      follows: { by: 'turn', family: 'deepwater', turn: 120, lightness: 0, chroma: 0 },
    },
  ]);
  const used = page.getByRole('region', { name: 'Used by' });
  await cell(page, 'action.fill', 'Day sailing').press('Enter');
  await page.keyboard.press('Escape');
  await used.getByText('other things depend on it').click();
  await expect(used.getByRole('link', { name: 'focus.ring in Night sailing' })).toBeVisible();
  await used.getByRole('link', { name: 'the pair action.text on action.fill' }).click();
  await expect(page.getByRole('heading', { name: 'Check', exact: true })).toBeVisible();
  await open('grow/deepwater');
  await used.getByText('other things depend on it').click();
  await used.getByRole('link', { name: 'the family Kelp' }).click();
  await expect(page.getByLabel('Family', { exact: true })).toHaveValue('Kelp');
  // A new role stands at the end of the sheet, and is shown there.
  await open('assign');
  await page.getByRole('button', { name: 'New role …' }).click();
  await page.getByLabel('Name, such as notice.delay.text').fill('deck.sign');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name of deck.sign')).toBeInViewport();
});

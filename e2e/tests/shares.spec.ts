import type { Browser, Page } from '@playwright/test';
import { saveData } from '../support/saved-data.ts';
import { axeFaults, expect, expectSaved, onServer, send, test } from '../support/test.ts';

/** A client's phone: another browser than the designer's, small, by touch. */
async function phoneAt(browser: Browser, address: string): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 375, height: 700 },
    hasTouch: true,
    isMobile: true,
    reducedMotion: 'reduce',
  });
  await saveData(context);
  const page = await context.newPage();
  await page.goto(address);
  return page;
}

/** Makes a share at Deliver; the text in the box that is copied. */
async function share(
  page: Page,
  what: string,
  fill?: (dialog: ReturnType<Page['getByRole']>) => Promise<void>,
) {
  await page.getByRole('button', { name: 'New share …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What it shows').selectOption(what);
  await fill?.(dialog);
  await dialog.getByRole('button', { name: 'Create the address' }).click();
  const made = page.getByRole('dialog', { name: /^The address of/ });
  return (await made.getByRole('button', { name: /^Copy/ }).textContent())!.trim();
}

const painted = (page: Page, theme: string, use: string) =>
  page
    .locator(`[data-scene-theme="${theme}"] [data-ground="${use}"]`)
    .first()
    .evaluate((part) => getComputedStyle(part).backgroundColor);
const fits = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth);

test('a client on a phone looks, notes and tries; the designer takes in part what came back', async ({
  page,
  open,
  project,
  stack,
  browser,
}) => {
  await open('deliver/shares');
  expect(await axeFaults(page)).toEqual([]);
  const address = await share(page, 'project', async (dialog) => {
    await dialog.getByLabel('Name', { exact: true }).fill('Skerry Line for the harbour');
    expect(await axeFaults(page)).toEqual([]);
  });
  expect(address).toMatch(/\/s\/[\w-]{43}$/);
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Done' }).click();
  const client = await phoneAt(browser, address);
  await expect(client.getByRole('heading', { name: 'Skerry Line for the harbour' })).toBeVisible();
  await expect(client).toHaveTitle('Skerry Line for the harbour');

  // Names first, codes for who asks; both themes; nothing wider than the phone.
  for (const theme of ['Day sailing', 'Night sailing'])
    await expect(client.locator(`[data-scene-theme="${theme}"]`)).toBeVisible();
  await expect(client.getByText('deep muted blue-green').first()).toBeVisible();
  await expect(client.getByText('#0b5f6b')).toHaveCount(0);
  await client.getByLabel('Show codes').tap();
  await expect(client.getByText('#0b5f6b').first()).toBeVisible();
  expect(await fits(client)).toBe(true);
  expect(await axeFaults(client)).toEqual([]);

  // It goes on with the project.
  const { document } = await onServer(stack, project);
  const [deepwater, buoy] = document.families;
  const before = await painted(client, 'Day sailing', 'action');
  await send(stack, project, [{ type: 'setBase', family: deepwater.id, color: '#4a2a7a' }]);
  await expect.poll(() => painted(client, 'Day sailing', 'action')).not.toBe(before);

  // A word on what was pressed, without an account.
  await client.getByText('Seals on the north shore').first().tap();
  const dialog = client.getByRole('dialog');
  await expect(dialog).toContainText('Note on text.quiet');
  await dialog.getByRole('button', { name: 'Send the note' }).tap();
  await expect(dialog.getByRole('alert')).toContainText('Type a few words');
  await dialog.getByLabel('Your words').fill('Too pale for my eyes');
  await dialog.getByRole('button', { name: 'Send the note' }).tap();
  await expect(dialog.getByRole('alert')).toContainText('Type your name');
  await dialog.getByLabel('Your name').fill('Nis of the harbour');
  await dialog.getByRole('button', { name: 'Send the note' }).tap();
  await expect(dialog).toBeHidden();
  await client.getByRole('button', { name: 'Notes (1)' }).tap();
  await expect(client.getByRole('listitem').filter({ hasText: 'Too pale' })).toContainText(
    'Nis of the harbour',
  );
  expect(await axeFaults(client)).toEqual([]);
  await expect(page.getByText('1 open note')).toBeVisible();

  // The designer answers, the client reads it where the note is pinned, and answers that.
  const [note] = (await onServer(stack, project)).document.notes;
  await page.goto(`/p/${project}/notes/${note.id}`);
  const answered = page.getByRole('list', { name: 'Notes of this project' }).getByRole('listitem').first();
  await answered.getByRole('button', { name: 'Answer', exact: true }).click();
  await expect(page.getByText('The client reads this too: the note is for them.')).toBeVisible();
  await answered.getByLabel('Answer', { exact: true }).fill('A step darker then?');
  await answered.getByRole('button', { name: 'Send the answer' }).click();
  await expectSaved(page);
  await expect(client.getByText('A step darker then?')).toBeVisible();
  await client.getByRole('button', { name: 'Look', exact: true }).tap();
  await client.getByRole('button', { name: '1 note on text.quiet' }).first().tap();
  await expect(dialog).toContainText('A step darker then?');
  expect(await axeFaults(client)).toEqual([]);
  await dialog.getByRole('button', { name: 'Answer', exact: true }).tap();
  await dialog.getByLabel('Your words').fill('Yes, like that');
  await dialog.getByRole('button', { name: 'Send the answer' }).tap();
  await expect(dialog.getByRole('list', { name: 'Answers' }).getByRole('listitem')).toHaveCount(2);
  await expect(answered).toContainText('Yes, like thatNis of the harbour');
  await client.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await page.goto(`/p/${project}/deliver/shares`);

  // A copy of one's own: what can no longer be read is told, and nobody else's colours change.
  await client.getByRole('button', { name: 'Try' }).tap();
  await client.getByLabel('Colour of Deepwater').fill('#c8b8f0');
  await expect(client.getByText('Everything that could be read before can still be read.')).toBeVisible();
  expect(await painted(client, 'Day sailing', 'action')).not.toBe(before);
  await client.getByLabel('Deepwater as a code or a name').fill('teal');
  await client.getByLabel('Buoy as a code or a name').fill('#zz');
  await expect(client.getByRole('alert')).toContainText('hex digit');
  await client.getByLabel('Buoy as a code or a name').fill('crimson');
  await client.getByText('main', { exact: true }).first().tap();
  await client.getByRole('button', { name: /^main: Shingle 100/ }).tap();
  await expect(
    client.getByText(/text\.main on page\.ground, in Day sailing: 1\.24 where 7 is needed/),
  ).toBeVisible();
  await client.getByRole('button', { name: 'Put back: text.main is Shingle 100 in Day sailing' }).tap();
  await expect(client.getByText('Everything that could be read before can still be read.')).toBeVisible();
  await client.getByText('fill', { exact: true }).first().tap();
  await client.getByRole('button', { name: 'fill: Deepwater 900', exact: false }).first().tap();
  await expect(client.getByRole('button', { name: 'Send these 3 changes' })).toBeVisible();
  expect(await fits(client)).toBe(true);
  expect(await axeFaults(client)).toEqual([]);
  // It is there again after the browser was closed.
  await client.reload();
  await expect(client.getByLabel('Deepwater as a code or a name')).toHaveValue('#008080');
  expect((await onServer(stack, project)).document.families[0].base).toBe('#4a2a7a');
  await client.getByLabel('A few words').fill('Like the water, please');
  await client.getByRole('button', { name: 'Send these 3 changes' }).tap();
  await expect(client.getByText(/It is sent/)).toBeVisible();

  // Meanwhile the project goes on.
  await send(
    stack,
    project,
    [
      { type: 'setBase', family: buoy.id, color: '#b03a20' },
      { type: 'removeFamily', family: document.families[2].id },
    ].slice(0, 1),
  );
  await page.reload();
  await page.getByRole('link', { name: /Nis of the harbour: Like the water/ }).click();
  await expect(page.getByRole('heading', { name: 'What Nis of the harbour suggests' })).toBeVisible();
  await expect(page.getByText(/You have changed this since/)).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: /^Buoy base$/ })).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('checkbox', { name: 'Deepwater base' }).check();
  await page.getByRole('button', { name: 'Apply the 1 selected' }).click();
  await expectSaved(page);
  const bases = (await onServer(stack, project)).document.families.map(({ base }: { base: string }) => base);
  expect(bases.slice(0, 2)).toEqual(['#008080', '#b03a20']);
  await page.getByRole('button', { name: 'Mark as done' }).click();
  await expect(page.getByRole('link', { name: /Like the water/ })).toContainText('taken');

  // Shut, at once, for whoever has it open.
  await page.getByRole('button', { name: 'Shut Skerry Line for the harbour' }).click();
  await expect(
    client.getByRole('heading', { name: 'There is nothing here, or it has expired' }),
  ).toBeVisible();
  expect(await axeFaults(client)).toEqual([]);
  await expect(page.getByRole('listitem', { name: 'Skerry Line for the harbour' })).toContainText('shut');
});

test('a share with a passphrase, by keyboard; a new address, an end, and being removed', async ({
  page,
  open,
  browser,
}) => {
  await open('deliver/shares');
  const address = await share(page, 'gradient.wake', async (dialog) => {
    await dialog.getByLabel('Passphrase', { exact: true }).fill('short');
    await dialog.getByRole('button', { name: 'Create the address' }).click();
    await expect(dialog.getByRole('alert')).toContainText('At least 6 letters');
    await dialog.getByLabel('Passphrase', { exact: true }).fill('grey holm');
  });
  const client = await phoneAt(browser, address);
  await expect(client.getByRole('heading', { name: 'This opens with a passphrase' })).toBeVisible();
  expect(await axeFaults(client)).toEqual([]);
  await client.keyboard.type('hallin');
  await client.keyboard.press('Enter');
  await expect(client.getByRole('alert')).toContainText('another passphrase');
  await client.getByLabel('Passphrase', { exact: true }).fill('grey holm');
  await client.keyboard.press('Enter');
  await expect(client.getByRole('heading', { name: 'Wake', level: 1 })).toBeVisible();
  // Large, with its CSS.
  await expect(client.locator('pre')).toContainText('--wake: linear-gradient(');
  expect(await axeFaults(client)).toEqual([]);

  await page.getByRole('button', { name: 'Done' }).click();
  const row = page.getByRole('listitem', { name: 'Wake' });
  await row.getByRole('button', { name: 'Change Wake …' }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('Name', { exact: true }).fill('Wake, for Ula');
  await page.getByLabel('Expires').selectOption('in a year');
  await page.getByRole('button', { name: 'Change it' }).click();
  const changed = page.getByRole('listitem', { name: 'Wake, for Ula' });
  await expect(changed).toContainText(/ends in 12 months/);
  await changed.getByRole('button', { name: 'New address …' }).click();
  await page.getByRole('button', { name: 'Make a new one' }).click();
  await expect(page.getByRole('dialog', { name: 'The address of Wake, for Ula' })).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await client.reload();
  await expect(client.getByRole('heading', { name: /There is nothing here/ })).toBeVisible();
  await changed.getByRole('button', { name: 'Shut Wake, for Ula' }).click();
  await changed.getByRole('button', { name: 'Remove Wake, for Ula' }).click();
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(changed).toHaveCount(0);
});

test('a palette, a scene, a report and a checkpoint are shown for what they are', async ({
  page,
  open,
  browser,
  stack,
  project,
}) => {
  await open('deliver/shares');
  const frozen = await share(page, 'report', (dialog) =>
    dialog
      .getByLabel('Which version')
      .selectOption('Frozen as it is now')
      .then(() => {}),
  );
  await page.getByRole('button', { name: 'Done' }).click();
  const scene = await share(page, 'scene.board');
  await page.getByRole('button', { name: 'Done' }).click();
  const tray = await share(page, 'tray');
  const client = await phoneAt(browser, tray);
  await expect(client.locator('pre')).toContainText('--letterhead: #0b5f6b;');
  await client.goto(scene);
  await expect(client.getByRole('heading', { name: 'Board', level: 2 })).toBeVisible();
  await expect(client.locator('[data-scene-theme]')).toHaveCount(2);
  await client.goto(frozen);
  await expect(client.getByText(/33 of 36 texts can be read/)).toBeVisible();
  const { document } = await onServer(stack, project);
  const [role] = document.roles.filter(({ name }: { name: string }) => name === 'quiet');
  await send(stack, project, [
    { type: 'setLink', role: role.id, theme: 'day', link: { to: 'color', color: '#ffffff' } },
  ]);
  await client.reload();
  await expect(client.getByText(/33 of 36 texts can be read/)).toBeVisible();
});

test('a prototype’s page follows a drag while it lasts, and what is let go', async ({
  page,
  open,
  context,
  stack,
  project,
}) => {
  await open('deliver/shares');
  const lines = await share(page, 'css');
  expect(lines).toContain('/follow.js"></script>');
  const [prototype] = await Promise.all([
    context.waitForEvent('page'),
    page.getByRole('link', { name: 'See it on the prototype page' }).click(),
  ]);
  const button = prototype.getByRole('button', { name: 'Book a crossing' });
  const colour = () => button.evaluate((one) => getComputedStyle(one).backgroundColor);
  await expect.poll(colour).toBe('rgb(11, 95, 107)');
  expect(await axeFaults(prototype)).toEqual([]);
  // The theme is the page's own choice.
  await prototype.getByLabel('Theme').selectOption('night sailing');
  await expect.poll(colour).not.toBe('rgb(11, 95, 107)');
  await prototype.getByLabel('Theme').selectOption('As the sheet begins');

  await page.bringToFront();
  await page.getByRole('button', { name: 'Done' }).click();
  // A stop is dragged, and given back.
  await page.getByRole('link', { name: /^Fade/ }).click();
  const light = () => prototype.locator('.light').evaluate((one) => getComputedStyle(one).backgroundImage);
  const first = await light();
  const stop = page.getByRole('slider', { name: 'Stop 2' });
  const at = (await stop.boundingBox())!;
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(at.x + 80, at.y + at.height / 2, { steps: 6 });
  await expect.poll(light).not.toBe(first);
  await page.keyboard.press('Escape');
  await expect.poll(light).toBe(first);
  await page.mouse.up();

  // A base is dragged, and let go of.
  await page.getByRole('link', { name: /^Grow/ }).click();
  const track = page.getByRole('slider', { name: 'Hue', exact: true });
  const box = (await track.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 4 });
  await expect.poll(colour).not.toBe('rgb(11, 95, 107)');
  expect((await onServer(stack, project)).document.families[0].base).toBe('#0b5f6b');
  await page.mouse.up();
  await expectSaved(page);
  const { base } = (await onServer(stack, project)).document.families[0];
  expect(base).not.toBe('#0b5f6b');
  const css = await (await fetch(`${stack.address}/api/projects/${project}/deliver/css`)).text();
  const [, wanted] = /--deepwater-700: (#[\da-f]{6})/.exec(css)!;
  const rgb = [1, 3, 5].map((at) => Number.parseInt(wanted!.slice(at, at + 2), 16)).join(', ');
  await expect.poll(colour).toBe(`rgb(${rgb})`);
});

test('a gradient, a scene and a set are shared from where one is', async ({ page, open, browser }) => {
  await open('fade');
  await page.getByRole('link', { name: 'Share it at an address …' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('What it shows')).toHaveValue('gradient.first-light');
  await expect(dialog.getByLabel('Name', { exact: true })).toHaveValue('First light');
  await page.keyboard.press('Escape');
  await open('stage/board');
  await page.getByRole('link', { name: 'Share it …' }).click();
  await expect(dialog.getByLabel('What it shows')).toHaveValue('scene.board');
  await page.keyboard.press('Escape');
  await open('gather/shelf');
  await page.getByLabel(/By words/).fill('copper');
  await page.getByRole('link', { name: 'Share Oxidised copper …' }).click();
  await expect(dialog.getByLabel('Name', { exact: true })).toHaveValue('Oxidised copper');
  await dialog.getByRole('button', { name: 'Create the address' }).click();
  const made = page.getByRole('dialog', { name: 'The address of Oxidised copper' });
  const address = (await made.getByRole('button', { name: /^Copy/ }).textContent())!.trim();
  const client = await phoneAt(browser, address);
  await expect(client.getByRole('heading', { name: 'Oxidised copper', level: 2 })).toBeVisible();
  await expect(client.locator('pre')).toContainText(': #a8562f;');
  expect(await axeFaults(client)).toEqual([]);
});

import type { Page } from '@playwright/test';
import { Secret, TOTP } from 'otpauth';
import { browserOf, enter, signIn, test } from '../support/crew-test.ts';
import { askAs, letterTo } from '../support/people.ts';
import { startTeamServer } from '../support/team-server.ts';
import { addColor, axeFaults, expect, expectSaved } from '../support/test.ts';

const trayOf = (page: Page) => page.getByRole('region', { name: 'Tray' }).getByRole('listitem');

test('the first person begins a server by keyboard alone, and invites another into a team', async ({
  browser,
}) => {
  const server = await startTeamServer();
  const { page, context } = await browserOf(browser, server);
  try {
    // Nobody is anybody here: every address leads to where one signs in, and back to where one wanted to go.
    await page.goto('/teams');
    await expect(page).toHaveURL(/\/sign-in\?to=%2Fteams/);
    expect(await axeFaults(page)).toEqual([]);

    await page.goto(server.first());
    await expect(page.getByLabel('Your name')).toBeFocused();
    await page.keyboard.type('Ula Harbour');
    await page.keyboard.press('Tab');
    await page.keyboard.type('Ula at skerry-line');
    await page.keyboard.press('Tab');
    await page.keyboard.type('password1234');
    await page.keyboard.press('Enter');
    await expect(page.getByText('This is no e-mail address; it is like name@example.org.')).toBeVisible();
    await expect(page.getByLabel('E-mail address')).toBeFocused();
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type('ula@skerry-line.example');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/easily guessed/)).toBeVisible();
    await expect(page.getByLabel('Passphrase', { exact: true })).toBeFocused();
    expect(await axeFaults(page)).toEqual([]);
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type('four gulls over Grey Holm');
    await page.keyboard.press('Enter');
    await expect(page.getByText('No project yet')).toBeVisible();

    // The address worked once.
    const other = await browserOf(browser, server);
    await other.page.goto(server.first());
    await expect(other.page.getByRole('heading', { name: 'This invitation cannot be taken' })).toBeVisible();
    await other.context.close();

    await page.getByRole('button', { name: 'Ula Harbour' }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('link', { name: 'Teams' }).focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('New team').focus();
    await page.keyboard.type('Ferry crew');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Ferry crew' })).toBeVisible();
    await page.getByLabel('E-mail address').focus();
    await page.keyboard.type('nis@skerry-line.example');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Invitations' })).toContainText('nis@skerry-line.example');
    // The next one can be typed at once.
    await expect(page.getByLabel('E-mail address')).toBeFocused();
    expect(await axeFaults(page)).toEqual([]);
  } finally {
    await context.close();
    await server.close();
  }
});

test('who is invited joins, and sees what the team has; each step says whose it is', async ({
  browser,
  server,
  keeper,
  crew: { ula },
}) => {
  const { page, context } = await enter(browser, server, ula);
  await page.getByRole('link', { name: 'Ferry crew' }).click();
  const email = `pia-${Date.now()}@skerry-line.example`;
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('As').selectOption('Editor');
  await page.getByRole('button', { name: 'Invite', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Invitations' })).toContainText(email);

  const looksAfter = await enter(browser, server, keeper);
  await looksAfter.page.goto('/mailbox');
  await expect(looksAfter.page.getByRole('article', { name: 'Letter' })).toContainText(
    'Ula Harbour invites you',
  );
  expect(await axeFaults(looksAfter.page)).toEqual([]);
  await looksAfter.context.close();

  const pia = await browserOf(browser, server);
  await pia.page.goto(await letterTo(server.address, keeper, email));
  await expect(pia.page.getByRole('heading', { name: 'Join Ferry crew' })).toBeVisible();
  await pia.page.getByLabel('Your name').fill('Pia Kelp');
  await pia.page.getByLabel('Passphrase', { exact: true }).fill('a heron on the pier at dusk');
  expect(await axeFaults(pia.page)).toEqual([]);
  await pia.page.getByRole('button', { name: 'Join Ferry crew' }).click();
  await pia.page
    .getByRole('list', { name: 'Projects of Ferry crew' })
    .getByRole('link', { name: 'Skerry Line' })
    .click();
  await page.goto('/');
  await page.getByRole('link', { name: 'Skerry Line' }).click();
  await expect(trayOf(page)).toHaveCount(1);
  await addColor(pia.page, '#e2552b');
  await expectSaved(pia.page);
  await expect(trayOf(page)).toHaveCount(2);
  await page.getByRole('button', { name: 'Steps' }).click();
  await page.getByRole('link', { name: 'Every step' }).click();
  const sittings = page.getByRole('list', { name: 'Steps by day' }).locator('> li');
  await expect(sittings).toHaveText([/Today.*Pia Kelp, 1 step/s, /Today.*You, 1 step/s]);
  expect(await axeFaults(page)).toEqual([]);
  await context.close();
  await pia.context.close();
});

test('what somebody may on a project is what an owner says, at once', async ({
  browser,
  server,
  crew: { ula, nis, project },
}) => {
  const one = await enter(browser, server, ula);
  await one.page.goto(`/p/${project}/gather`);
  const two = await enter(browser, server, nis);
  await two.page.goto(`/p/${project}/gather`);
  await expectSaved(two.page);
  const say = async (label: string) => {
    const said = one.page.waitForResponse((answer) => answer.request().method() === 'PUT');
    await one.page.getByLabel(`What ${nis.name} may here`).selectOption({ label });
    await said;
  };
  await one.page.getByRole('button', { name: 'People of this project' }).click();
  // What is on its way when an owner says so is set aside; it is told where one is, without loading anything.
  await two.page.route(
    '**/commands',
    async (route) => {
      await say('Looker here');
      await route.continue();
    },
    { times: 1 },
  );
  await addColor(two.page, '#f0b429');
  await expect(two.page.getByText(/You may not change this project any more/)).toBeVisible();
  await expect(two.page.getByText(/You can look at this project, copy/)).toBeVisible();
  // What was done meanwhile is kept, and says so.
  await expect(two.page.getByRole('button', { name: '1 set aside' })).toBeVisible();
  await expect(trayOf(two.page)).toHaveCount(1);
  expect(await axeFaults(two.page)).toEqual([]);
  // A looker follows what others do.
  await one.page.keyboard.press('Escape');
  await addColor(one.page, '#2f9e44');
  await expect(trayOf(two.page)).toHaveCount(2);
  // Kept from it, it is as if it were not there; and it is there again when an owner says so.
  await one.page.getByRole('button', { name: 'People of this project' }).click();
  await say('No access');
  await two.page.reload();
  await expect(two.page.getByRole('heading', { name: 'There is no such project' })).toBeVisible();
  await say('Editor, as in the team');
  await two.page.reload();
  await two.page.getByRole('button', { name: '1 set aside' }).click();
  await two.page.getByRole('button', { name: /Try .*again/ }).click();
  await expect(trayOf(two.page)).toHaveCount(3);
  await one.context.close();
  await two.context.close();
});

test('a noter writes notes under their own name, and nothing else', async ({
  browser,
  server,
  crew: { ula, nis, team, project },
}) => {
  await askAs(server.address, ula, 'PUT', `/teams/${team}/members/${nis.id}`, { access: 'noter' });
  const one = await enter(browser, server, ula);
  await one.page.goto(`/p/${project}/gather`);
  const two = await enter(browser, server, nis);
  await two.page.getByText('to look at and write notes').waitFor();
  await two.page.getByRole('link', { name: 'Skerry Line' }).click();
  await trayOf(two.page).first().click();
  await two.page.getByRole('button', { name: 'Write a note' }).click();
  // Whose it is need not be typed.
  await expect(two.page.getByLabel('Your name')).toHaveCount(0);
  await two.page.getByLabel('Note', { exact: true }).fill('A shade darker at night?');
  await two.page.getByRole('button', { name: 'Save the note' }).click();
  await expectSaved(two.page);
  await trayOf(one.page).first().click();
  const note = one.page.getByRole('group', { name: 'Notes' });
  await expect(note).toContainText('A shade darker at night?');
  await expect(note).toContainText(nis.name);
  await two.page.getByRole('button', { name: 'Add', exact: true }).click();
  await two.page.getByRole('dialog').getByLabel('Any CSS colour').fill('#123456');
  await two.page.keyboard.press('Enter');
  await expect(two.page.getByText('You may write notes in this project, and not change it.')).toBeVisible();
  expect(await axeFaults(two.page)).toEqual([]);
  await one.context.close();
  await two.context.close();
});

test('a session that ends elsewhere loses nothing: one signs in where one is, and goes on', async ({
  browser,
  server,
  crew: { ula, project },
}) => {
  const desk = await enter(browser, server, ula);
  await desk.page.goto(`/p/${project}/gather`);
  await expectSaved(desk.page);
  const phone = await enter(browser, server, ula);
  await phone.page.goto('/account');
  await phone.page.getByRole('button', { name: 'End all others' }).click();
  await expect(phone.page.getByRole('list', { name: 'Sessions' }).getByRole('listitem')).toHaveCount(1);
  expect(await axeFaults(phone.page)).toEqual([]);
  const over = desk.page.getByRole('dialog', { name: 'You are signed out' });
  await expect(over).toBeVisible();
  expect(await axeFaults(desk.page)).toEqual([]);
  await over.getByLabel('E-mail address').fill(ula.email);
  await over.getByLabel('Passphrase', { exact: true }).fill(ula.passphrase);
  await over.getByRole('button', { name: 'Sign in' }).click();
  await expect(over).toBeHidden();
  await addColor(desk.page, '#2f9e44');
  await expectSaved(desk.page);
  await desk.context.close();
  await phone.context.close();
});

test('of two tabs signed in as two people, the first changes nothing as the second', async ({
  browser,
  server,
  crew: { ula, nis, project },
}) => {
  const { page, context } = await enter(browser, server, ula);
  await page.goto(`/p/${project}/gather`);
  await expectSaved(page);
  const second = await context.newPage();
  await second.goto('/');
  await second.getByRole('button', { name: ula.name }).click();
  await second.getByRole('button', { name: 'Sign out' }).click();
  await signIn(second, nis);
  await expect(second.getByRole('button', { name: nis.name })).toBeVisible();
  // What is done in the first tab before it hears of that.
  await page.evaluate(() => dispatchEvent(new Event('online')));
  const over = page.getByRole('dialog', { name: 'Somebody else is signed in now' });
  await expect(over).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await second.goto(`/p/${project}/gather`);
  await expect(trayOf(second)).toHaveCount(1);
  await over.getByRole('button', { name: 'Continue as them' }).click();
  await expect(page.getByRole('button', { name: nis.name })).toBeVisible();
  await context.close();
});

test('what somebody has not sent when they sign out waits for them, and for nobody else', async ({
  browser,
  server,
  crew: { ula, nis, project },
}) => {
  const { page, context } = await enter(browser, server, ula);
  await page.goto(`/p/${project}/gather`);
  await expectSaved(page);
  await page.route('**/commands', (route) => route.abort());
  await addColor(page, '#7048e8');
  await expect(page.locator('[data-saving]')).toHaveText(/1 edit kept here/);
  await page.getByRole('link', { name: 'All projects' }).click();
  await page.getByRole('button', { name: ula.name }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByText(/1 edit has not reached the server/)).toBeVisible();
  await page.getByRole('button', { name: 'Sign out' }).last().click();
  await expect(page).toHaveURL(/sign-in/);
  await page.unroute('**/commands');
  expect(await page.evaluate(() => Object.keys(sessionStorage))).toEqual([]);
  expect((await context.cookies()).map(({ value }) => value)).toEqual([]);
  await signIn(page, nis);
  await page.getByRole('link', { name: 'Skerry Line' }).click();
  await expectSaved(page);
  await expect(trayOf(page)).toHaveCount(1);
  await page.getByRole('link', { name: 'All projects' }).click();
  await page.getByRole('button', { name: nis.name }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await signIn(page, ula);
  await page.getByRole('link', { name: 'Skerry Line' }).click();
  await expect(trayOf(page)).toHaveCount(2);
  await expectSaved(page);
  await context.close();
});

test('a page whose browser has forgotten who it is of asks, and goes on as them', async ({
  browser,
  server,
  crew: { ula, project },
}) => {
  const { page, context } = await enter(browser, server, ula);
  await page.evaluate(() => localStorage.clear());
  await page.goto(`/p/${project}/gather`);
  await expect(page.getByRole('button', { name: 'People of this project' })).toBeVisible();
  await addColor(page, '#7048e8');
  await expectSaved(page);
  await context.close();
});

test('a second factor is set up, asked for, and stood in for by a recovery code', async ({
  browser,
  server,
  crew: { nis },
}) => {
  const { page, context } = await enter(browser, server, nis);
  await page.goto('/account');
  await page.getByRole('button', { name: 'Set up a second factor' }).click();
  await page.getByLabel('Your passphrase', { exact: true }).fill(nis.passphrase);
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('img', { name: /QR code/ })).toBeVisible();
  const told = (await page.getByText(/type this into it/).textContent())!;
  const secret = told.split(':')[1]!.replace(/\s/g, '');
  await page.getByLabel('The code that it shows').fill('000000');
  await page.getByRole('button', { name: 'Use it from now on' }).click();
  await expect(page.getByText(/The code is not right/)).toBeVisible();
  const code = new TOTP({ secret: Secret.fromBase32(secret) }).generate();
  await page.getByLabel('The code that it shows').fill(code);
  await page.getByRole('button', { name: 'Use it from now on' }).click();
  const codes = page.getByRole('list', { name: 'Recovery codes' }).getByRole('listitem');
  await expect(codes).toHaveCount(10);
  const [first] = await codes.allTextContents();
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'I have kept them' }).click();
  await expect(page.getByText(/10 recovery codes are left/)).toBeVisible();
  await page.getByRole('button', { name: nis.name }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await signIn(page, nis);
  await expect(page.getByLabel('Code of your second factor')).toBeFocused();
  await page.keyboard.type(first!);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: nis.name })).toBeVisible();
  await context.close();
});

test('a forgotten passphrase is set anew by a letter, and signs out everywhere', async ({
  browser,
  server,
  keeper,
  crew: { ula },
}) => {
  const elsewhere = await enter(browser, server, ula);
  const { page, context } = await browserOf(browser, server);
  await page.goto('/sign-in');
  await page.getByRole('link', { name: 'Forgotten your passphrase?' }).click();
  await expect(page.getByRole('heading', { name: 'A new passphrase' })).toBeVisible();
  await page.getByLabel('E-mail address').fill(ula.email);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status')).toContainText(ula.email);
  expect(await axeFaults(page)).toEqual([]);
  await expect.poll(() => letterTo(server.address, keeper, ula.email)).toContain('/new-passphrase#');
  await page.goto(await letterTo(server.address, keeper, ula.email));
  await page.getByLabel('New passphrase', { exact: true }).fill('an eider under the slip');
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await expect(page.getByText('You were signed out everywhere.')).toBeVisible();
  await elsewhere.page.goto('/');
  await expect(elsewhere.page.getByRole('dialog', { name: 'You are signed out' })).toBeVisible();
  await page.getByRole('link', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await signIn(page, { ...ula, passphrase: 'an eider under the slip' });
  await expect(page.getByRole('button', { name: ula.name })).toBeVisible();
  await page.goto('/account');
  await page.getByLabel('Present passphrase', { exact: true }).fill('an eider under the slip');
  await page.getByLabel('New passphrase', { exact: true }).fill('an otter in the kelp');
  await page.getByRole('button', { name: 'Change the passphrase' }).click();
  await expect(page.getByText(/Your passphrase is changed/)).toBeVisible();
  await elsewhere.context.close();
  await context.close();
});

test('who looks after a server sees its people, and not what is theirs', async ({
  browser,
  server,
  keeper,
  crew: { ula, project },
}) => {
  const { page, context } = await enter(browser, server, keeper);
  await page.getByRole('button', { name: keeper.name }).click();
  await page.getByRole('link', { name: 'People of this server' }).click();
  const row = page.getByRole('listitem').filter({ hasText: ula.email });
  await expect(row).toContainText('1 team, 0 projects of their own');
  await row.getByRole('button', { name: `Make ${ula.name} an administrator` }).click();
  await expect(row).toContainText('administrator');
  expect(await axeFaults(page)).toEqual([]);
  await page.goto(`/p/${project}`);
  await expect(page.getByRole('heading', { name: 'There is no such project' })).toBeVisible();
  await context.close();
  await askAs(server.address, keeper, 'PUT', `/server/people/${ula.id}`, { administrator: false });
});

test('a project is given to a team and taken back; leaving a team and an account ask first', async ({
  browser,
  server,
  crew: { ula },
}) => {
  const { page, context } = await enter(browser, server, ula);
  await page.getByRole('link', { name: /^Nothing yet/ }).click();
  await page.getByLabel('Project name').fill('Winter timetable');
  await page.getByRole('button', { name: 'Begin empty' }).click();
  await expect(page.getByRole('heading', { name: 'Gather', level: 1 })).toBeVisible();
  await page.getByRole('link', { name: 'All projects' }).click();
  const own = page.getByRole('region', { name: 'Your own projects' });
  await own.getByRole('button', { name: 'Give Winter timetable to a team' }).click();
  await page.getByRole('button', { name: 'Give it to Ferry crew' }).click();
  await expect(page.getByRole('region', { name: 'Projects of Ferry crew' })).toContainText(
    'Winter timetable',
  );
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Give Winter timetable to a team' }).click();
  await page.getByRole('button', { name: 'Make it your own' }).click();
  await expect(own).toContainText('Winter timetable');
  await page.getByRole('link', { name: 'Ferry crew' }).click();
  await page.getByRole('button', { name: 'Leave the team' }).click();
  await page.getByRole('button', { name: 'Leave', exact: true }).click();
  await expect(page.getByText('A team has an owner: make somebody else one first.')).toBeVisible();
  await page.goto('/account');
  await page.getByRole('button', { name: 'Delete my account …' }).click();
  await page.getByLabel('Your passphrase', { exact: true }).fill('not the right one');
  await page.getByRole('button', { name: 'Delete it all for good' }).click();
  await expect(page.getByText('The passphrase is not right.')).toBeVisible();
  await page.getByLabel('Your passphrase', { exact: true }).fill(ula.passphrase);
  await page.getByRole('button', { name: 'Delete it all for good' }).click();
  await expect(page.getByText(/last owner of Ferry crew/)).toBeVisible();
  await context.close();
});

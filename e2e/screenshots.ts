import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import { openBench } from './bench/in-browser.ts';
import { onServer, paste, post, SKERRY, send } from './support/test.ts';

// npm run screenshots [-- name]: takes the pictures in docs/screenshots anew, each in the state that it is to show.
const FOLDER = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));
const wanted = process.argv[2] ?? '';
const { page, stack, close } = await openBench();

const MAIL = `Hi! Our funnel is painted #E2552B and the
water on the posters is rgb(11 95 107).
Notices: delayed hsl(42 79% 49%), cancelled
#B8234A. The letterhead says #0B5F6 …
Oh, and linen for the background.
The poster: linear-gradient(105deg,
#002f39, #0b5f6b 40%, #f4bd87)`;

/** What makes the project again what it was before the last view. */
const back: object[] = [];

/** How the views come to be what they show: from a project as the demo has it, one after the other. */
const VIEWS: Readonly<Record<string, () => Promise<unknown>>> = {
  projects: () => page.goto(stack.address),
  gather: async () => {
    await station('gather');
    await paste(page, MAIL);
  },
  'gather-system': async () => {
    await station('gather', 'sheets');
    await page.getByRole('button', { name: 'The old timetable, a page' }).click();
    await page.getByRole('heading', { name: 'Families' }).waitFor();
    await page.getByRole('radio', { name: 'not visibly' }).click();
    await page.getByText('As it would be').waitFor();
  },
  'gather-picture': async () => {
    const { document } = await onServer(stack, SKERRY);
    const [{ id }] = document.pictures.filter(({ name }: { name: string }) => name === 'Harbour at dusk');
    await station('gather', 'pictures', id);
    await page.getByText('What covers most').waitFor();
  },
  'gather-proposals': async () => {
    await station('gather', 'proposals', '850376235');
    await page
      .getByText(/of 36 pairs pass/)
      .first()
      .waitFor();
  },
  grow: () => station('grow'),
  assign: () => station('assign', 'action-fill'),
  check: async () => {
    const { document } = await onServer(stack, SKERRY);
    const over = document.pairs.find(({ backdrop }: { backdrop?: object }) => backdrop);
    await station('check', ...(over ? [over.id] : []));
  },
  'check-matrix': () => station('check', 'matrix'),
  'check-readers': () => station('check', 'readers'),
  fade: async () => {
    const { document } = await onServer(stack, SKERRY);
    const [first] = document.gradients;
    await station(
      'fade',
      first.id,
      first.stops.filter(({ kind }: { kind: string }) => kind === 'stop')[1].id,
    );
    await page.getByRole('combobox', { name: 'Text on it' }).selectOption({ label: 'hero.text' });
  },
  stage: () => station('stage'),
  'stage-pressed': async () => {
    await station('stage', 'timetable');
    await page.locator('[data-stage-theme=day]').getByText('Delayed to 10:05').click();
    await page.getByRole('dialog', { name: 'What paints it' }).waitFor();
  },
  deliver: () => station('deliver'),
  'deliver-changes': async () => {
    const { revision, document } = await onServer(stack, SKERRY);
    const { leftOut, choices } = document.delivery;
    await post(stack, `/projects/${SKERRY}/hand-overs`, {
      revision,
      forms: ['css'],
      choices,
      leftOut,
      file: 'skerry-line.css',
    });
    const buoy = document.families.find(({ id }: { id: string }) => id === 'buoy').base;
    await send(stack, SKERRY, [
      { type: 'setBase', family: 'buoy', color: '#b8452a' },
      { type: 'renameRole', role: 'text-quiet', group: ['text'], name: 'soft' },
    ]);
    await station('deliver', 'hand-overs');
    await page.getByRole('heading', { name: /^Values/ }).waitFor();
    back.push(
      { type: 'setBase', family: 'buoy', color: buoy },
      { type: 'renameRole', role: 'text-quiet', group: ['text'], name: 'quiet' },
    );
  },
  checkpoints: async () => {
    await send(stack, SKERRY, back.splice(0));
    await save('As handed over');
    await send(stack, SKERRY, [{ type: 'setBase', family: 'deepwater', color: '#6b2147' }]);
    await save('Plum, for the client');
    await page.getByRole('button', { name: 'Compare As handed over with now' }).click();
    await page.getByRole('heading', { name: 'Roles' }).waitFor();
  },
  team: async () => {
    const { id } = await newTeam();
    await page.goto(`${stack.address}/teams/${id}`);
    await page.getByRole('list', { name: 'Invitations' }).waitFor();
  },
  'coming-in': async () => {
    const { letter } = await newTeam();
    await page.goto(stack.address + new URL(letter).pathname + new URL(letter).hash);
    await page.getByLabel('Your name').fill('Maren Holm');
  },
  'grow-family': async () => {
    await send(stack, SKERRY, [{ type: 'setBase', family: 'deepwater', color: '#0b5f6b' }]);
    await station('grow', 'kelp');
    await page.getByRole('button', { name: 'Lightness and chroma as a plane' }).click();
    const follows = { by: 'turn', family: 'deepwater', turn: -30, lightness: 0, chroma: 0 };
    await send(stack, SKERRY, [{ type: 'setFollows', family: 'kelp', follows }]);
    await page.getByRole('heading', { name: 'Kelp 700' }).waitFor();
    await page.getByRole('combobox', { name: 'Grows by' }).selectOption({ label: 'Drawn, step by step' });
    await page.getByRole('slider', { name: /^Base of Kelp/ }).focus();
    await page.mouse.move(640, 20);
    await page.getByRole('main').evaluate((main) => main.scrollTo(0, 236));
  },
};

/** A team with people in it, and the newest letter of an invitation to it. */
async function newTeam(): Promise<{ id: string; letter: string }> {
  const { id } = await post(stack, '/teams', { name: 'Skerry Line, the web team' });
  const invite = async (email: string, access: string): Promise<string> => {
    await post(stack, `/teams/${id}/invitations`, { email: `${email}@skerry-line.example`, access });
    const { letters } = await (await fetch(`${stack.address}/api/mailbox`)).json();
    return /https?:\/\/\S+/.exec(letters[0].text)![0];
  };
  for (const [name, email, access] of [
    ['Ula Harbour', 'ula', 'owner'],
    ['Nis Lantern', 'nis', 'editor'],
    ['Pia Kelp', 'pia', 'noter'],
  ] as const)
    await fetch(`${stack.address}/api/invitation/take`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        token: (await invite(email, access)).split('#')[1],
        name,
        passphrase: 'four gulls over Grey Holm',
      }),
    });
  return { id, letter: await invite('maren', 'looker') };
}

async function station(...parts: readonly string[]): Promise<void> {
  await page.goto(`${stack.address}/p/${[SKERRY, ...parts].join('/')}`);
  await page.getByRole('main').waitFor();
}

async function save(name: string): Promise<void> {
  await station('checkpoints');
  await page.getByLabel('Name the present state').fill(name);
  await page.getByRole('button', { name: 'Save it' }).click();
  await page.getByRole('button', { name: `Compare ${name} with now` }).waitFor();
}

/** Until what is fetched and measured behind the page is there. */
async function atRest(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(1500);
  await page.waitForFunction(() => !document.querySelector('[aria-busy=true], [data-sonner-toast]'));
}

try {
  for (const [name, show] of Object.entries(VIEWS)) {
    if (!name.includes(wanted)) continue;
    try {
      // What the view before has left in the browser is none of this one's.
      await page.goto(stack.address);
      await page.evaluate(() => localStorage.clear());
      await show();
      await atRest(page);
      await page.screenshot({ path: `${FOLDER}${name}.png` });
      console.log(name);
    } catch (error) {
      process.exitCode = 1;
      console.error(`${name}: ${error instanceof Error ? error.message : error}`);
    }
  }
} finally {
  await close();
}

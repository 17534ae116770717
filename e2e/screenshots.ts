import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import sharp, { type OverlayOptions, type SharpOptions } from 'sharp';
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
  begin: async () => {
    await page.goto(`${stack.address}/new/text`);
    await page.getByLabel(/Paste it whole/).fill(MAIL);
    await page.getByText(/^All \d+ pairs pass/).waitFor();
  },
  gather: async () => {
    await station('gather');
    await paste(page, MAIL);
  },
  'gather-system': async () => {
    await station('gather', 'sheets');
    await page.getByRole('button', { name: 'The old timetable, a page' }).click();
    await page.getByRole('heading', { name: 'Families' }).waitFor();
    await page.getByRole('radio', { name: 'not visibly' }).click();
    await page.getByText('After').waitFor();
  },
  'gather-picture': async () => {
    const { document } = await onServer(stack, SKERRY);
    const [{ id }] = document.pictures.filter(({ name }: { name: string }) => name === 'Harbour at dusk');
    await station('gather', 'pictures', id);
    await page.getByText('By area').waitFor();
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
  deliver: () => station('deliver'),
  share: async () => {
    await page.goto(`${stack.address}/s/${await shared()}`);
    await page.getByRole('heading', { name: 'How it looks' }).waitFor();
  },
  'share-phone': async () => {
    const token = await shared();
    const { document } = await onServer(stack, SKERRY);
    await fetch(`${stack.address}/api/shared/${token}/notes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        by: 'Nis',
        on: { kind: 'role', role: document.roles.find(({ name }: { name: string }) => name === 'quiet').id },
        text: 'Too pale for my eyes, out in the sun.',
      }),
    });
    const screen = async (what: string, prepare = async () => {}) => {
      await page.goto(`${stack.address}/s/${token}${what}`);
      await prepare();
      return shotOf(375, 700);
    };
    const screens = [
      await screen(''),
      await screen('?do=try', async () => {
        await page.getByLabel('Colour of Deepwater').fill('#7a2a60');
        await page.getByLabel('Colour of Buoy').scrollIntoViewIfNeeded();
      }),
      await screen('?do=notes'),
    ];
    return laidOn(
      { create: { width: 1280, height: 800, channels: 3, background: '#8b8f92' } },
      screens.map((input, i) => ({ input, left: 28 + i * 425, top: 50 })),
    );
  },
  pocket: async () => {
    await page.goto(`${stack.address}/p/${SKERRY}/pocket`);
    await page.getByRole('list', { name: 'Colours' }).waitFor();
    const pocket = await shotOf(300, 460);
    await station('stage');
    const beneath = await shotOf(1280, 800);
    const edge = { create: { width: 302, height: 462, channels: 3, background: '#131415' } } as const;
    return laidOn(beneath, [
      { input: await sharp(edge).png().toBuffer(), left: 619, top: 259 },
      { input: pocket, left: 620, top: 260 },
    ]);
  },
  notes: async () => {
    const { document } = await onServer(stack, SKERRY);
    const hour = 60 * 60 * 1000;
    const note = (id: string, on: object, text: string, by: string, hours: number, more: object = {}) => ({
      type: 'addNote',
      note: { id, on, text, by, at: Date.now() - hours * hour, settled: false, answers: [], ...more },
    });
    const [first] = document.gradients;
    await send(stack, SKERRY, [
      note('deck', { kind: 'role', role: 'text-main' }, 'Dark enough on the deck at noon?', 'Ula', 26, {
        forClient: true,
        answers: [
          {
            id: 'yes',
            text: 'The crew reads it through spray, so yes.',
            by: 'Nis',
            at: Date.now() - 20 * hour,
          },
        ],
      }),
      note(
        'hero',
        { kind: 'scene', scene: 'landing' },
        'The hero feels cold beside the boat’s red.',
        'Pia',
        5,
      ),
      note('dawn', { kind: 'gradient', gradient: first.id }, 'Could the light come in later?', 'Nis', 4),
      note('pair', { kind: 'pair', pair: document.pairs[1].id }, 'The harbour wants AAA here.', 'Ula', 3),
    ]);
    back.push(...['deck', 'hero', 'dawn', 'pair'].map((id) => ({ type: 'removeNote', note: id })));
    await station('notes');
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
};

/** What the page shows in a window of a size, once it rests. */
async function shotOf(width: number, height: number): Promise<Buffer> {
  await page.setViewportSize({ width, height });
  await atRest(page);
  return page.screenshot();
}

/** Small windows, laid on what they stand before. */
const laidOn = (beneath: Buffer | SharpOptions, windows: OverlayOptions[]): Promise<Buffer> =>
  (Buffer.isBuffer(beneath) ? sharp(beneath) : sharp(beneath))
    .composite(windows)
    .png({ compressionLevel: 9 })
    .toBuffer();

/** The address of a share of the whole project, without its beginning. */
async function shared(): Promise<string> {
  const { token } = await post(stack, `/projects/${SKERRY}/shares`, {
    name: 'Skerry Line for the harbour',
    subject: { kind: 'project' },
    revision: null,
    tries: true,
    notes: true,
    endsAt: new Date(Date.now() + 30 * 24 * 60 * 60 * 1000).toISOString(),
    passphrase: null,
  });
  return token;
}

/** A team with people in it. */
async function newTeam(): Promise<{ id: string }> {
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
  await invite('maren', 'looker');
  return { id };
}

async function station(...parts: readonly string[]): Promise<void> {
  await page.goto(`${stack.address}/p/${[SKERRY, ...parts].join('/')}`);
  await page.getByRole('main').waitFor();
}

async function save(name: string): Promise<void> {
  await station('checkpoints');
  await page.getByLabel('Save a checkpoint').fill(name);
  await page.getByRole('button', { name: 'Save' }).click();
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
      await page.setViewportSize({ width: 1280, height: 800 });
      // A view of small windows is put together by itself.
      const laid = await show();
      const picture = Buffer.isBuffer(laid) ? laid : await shotOf(1280, 800);
      writeFileSync(`${FOLDER}${name}.png`, picture);
      console.log(name);
    } catch (error) {
      process.exitCode = 1;
      console.error(`${name}: ${error instanceof Error ? error.message : error}`);
    }
  }
} finally {
  await close();
}

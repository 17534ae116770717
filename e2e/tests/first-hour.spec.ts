import { readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { contrastRatio } from '@mint-lamp/core/contrast/ratio';
import { paint } from '@mint-lamp/core/system/painted';
import { Person } from '../support/person.ts';
import { axeFaults, test as base, expect, expectSaved, onServer } from '../support/test.ts';

// Ten first hours: somebody who has never seen it gets from what they have to CSS that passes, at a person's pace.
const LONGEST = 120;
const SHORT = 60;

const MAIL = `Hi! The funnels are painted #E2552B, the water on our posters is rgb(11 95 107),
notices on time hsl(116 37% 36%). The ropes: rgb(217 199 161). Thanks, Ida`;
const HARBOUR = fileURLToPath(new URL('../../apps/server/library/harbour-at-dusk.jpg', import.meta.url));
const SHEET = `:root { --ground: #ffffff; --ink: #12262b; --funnel: #c43d15 }
.night { --ground: #002f39; --ink: #e6f1f2; --funnel: #ff7a52 }
body { background: var(--ground); color: var(--ink) }
.go { background: var(--funnel); color: #ffffff }
.note { background: #fbe3b4; color: #b08430 }`;

const test = base.extend<{ person: Person }>({
  context: async ({ context }, use) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await use(context);
  },
  person: async ({ page }, use, info) => {
    const person = new Person(page);
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'What do you have?' })).toBeVisible();
    await use(person);
    const told = `${person.presses} presses, ${Math.round(person.seconds)} s at a person’s pace`;
    info.annotations.push({ type: 'pace', description: told });
    console.log(`    ${info.title}: ${told}`);
    expect(person.seconds).toBeLessThanOrEqual(info.title.includes('(short)') ? SHORT : LONGEST);
  },
});

/** What of a system's CSS a theme says: custom properties with what they come to. */
function colorsIn(css: string, theme: 'light' | 'dark'): Map<string, string> {
  const blocks = [...css.matchAll(/([^{}]+)\{([^{}]*)\}/g)];
  const own = new Map<string, string>();
  for (const [, selector = '', body = ''] of blocks) {
    if (/@/.test(selector) || (/dark/.test(selector) && theme === 'light')) continue;
    for (const [, name = '', value = ''] of body.matchAll(/(--[\w-]+):\s*([^;]+);/g)) own.set(name, value);
  }
  const resolved = (value: string): string => {
    const name = /^var\((--[\w-]+)\)$/.exec(value)?.[1];
    return name ? resolved(own.get(name) ?? '') : value;
  };
  return new Map([...own].map(([name, value]) => [name, resolved(value)]));
}

/** The CSS of a first system: in both themes its texts can be read, measured anew. */
function expectReadable(css: string): void {
  for (const theme of ['light', 'dark'] as const) {
    const colors = colorsIn(css, theme);
    for (const [text, ground] of [
      ['--text-main', '--page-ground'],
      ['--text-quiet', '--page-ground'],
      ['--text-link', '--page-raised'],
      ['--action-text', '--action-fill'],
    ] as const)
      expect(
        contrastRatio(paint(colors.get(text)!), paint(colors.get(ground)!)),
        `${theme}: ${text} on ${ground}`,
      ).toBeGreaterThanOrEqual(4.5);
  }
}

test('from a mail that is pasted right on the list (short)', async ({ page, person }) => {
  await person.paste(MAIL);
  await expect(page.getByText('4 colours found')).toBeVisible();
  await expect(page.getByText(/^All \d+ pairs pass/)).toBeVisible();
  const css = await person.copied(page.getByRole('button', { name: 'Copy the CSS' }));
  expectReadable(css);
  expect(css.toLowerCase()).toContain('#e2552b');
});

test('from a mail with a code that is mistyped (short)', async ({ page, person }) => {
  await person.press(page.getByRole('link', { name: /^A text/ }));
  await expect(page.getByLabel(/Paste it whole/)).toBeFocused();
  await person.paste('Our blue-green is #0B5F6 and the funnels #e2552b');
  const near = page.getByRole('region', { name: 'Possible typos' });
  await person.press(near.getByRole('button').first());
  await expect(near).toBeHidden();
  await expect(page.getByLabel(/Paste it whole/)).toBeFocused();
  await expect(page.getByText('2 colours found')).toBeVisible();
  expectReadable(await person.copied(page.getByRole('button', { name: 'Copy the CSS' })));
});

test('from one colour with its complement (short)', async ({ page, person }) => {
  await person.press(page.getByRole('link', { name: /^One colour/ }));
  await expect(page.getByLabel(/Its code or its name/)).toBeFocused();
  await person.type('#0b5f6');
  await expect(page.getByText('A hex code has 3, 4, 6 or 8 digits; this has 5.')).toBeVisible();
  await person.type('b');
  await expect(page.getByText('deep muted blue-green')).toBeVisible();
  await expect(page.getByRole('radio', { name: /Its complement/ })).toBeChecked();
  const css = await person.copied(page.getByRole('button', { name: 'Copy the CSS' }));
  expectReadable(css);
  expect(css).toContain('--accent-fill');
});

test('from a picture (short)', async ({ page, person }) => {
  await person.press(page.getByRole('link', { name: /^A picture/ }));
  await person.openFile(HARBOUR, page.getByLabel('Picture file'));
  await person.press(page.getByRole('radio', { name: 'Farthest apart' }));
  await expect(page.getByText(/^All \d+ pairs pass/)).toBeVisible();
  expectReadable(await person.copied(page.getByRole('button', { name: 'Copy the CSS' })));
});

test('from a page’s address', async ({ page, person }) => {
  await person.press(page.getByRole('link', { name: /^A style sheet/ }));
  await person.press(page.getByLabel(/A page’s address/));
  await person.type('http://pictures.skerry-line.example/timetable.html');
  await person.key('Enter');
  await expect(page.getByRole('list', { name: 'Sheets' }).getByRole('listitem')).toHaveCount(3);
  await expect(page.getByText(/^\d+ of \d+ pairs pass/)).toBeVisible();
  // As the page has it: what passed there passes, what did not is told.
  const css = await person.copied(page.getByRole('button', { name: 'Copy the CSS' }));
  expect(css).toContain('--');
});

test('from a style sheet to one that passes, repaired as a whole', async ({ page, person, stack }) => {
  await person.paste(SHEET);
  await expect(page.getByText('This is a style sheet')).toBeVisible();
  await expect(page.getByText('Check repairs the rest')).toBeVisible();
  await person.press(page.getByRole('button', { name: 'Begin the project' }));
  await expect(page.getByRole('heading', { name: 'Grow', level: 1 })).toBeVisible();
  await person.press(page.getByRole('link', { name: 'Check', exact: true }));
  await person.press(page.getByRole('button', { name: /^Repair all/ }));
  await person.press(page.getByRole('button', { name: /^Apply/ }).first());
  await expect(page.getByLabel('Readout')).toContainText(/(\d+) of \1 overall/);
  await person.press(page.getByRole('link', { name: 'Deliver' }));
  const download = page.waitForEvent('download');
  await person.press(page.getByRole('button', { name: /^Download .+\.css/ }));
  expect(readFileSync(await (await download).path(), 'utf8')).toContain('--funnel');
  await expectSaved(page);
  const id = /\/p\/([^/]+)/.exec(page.url())![1]!;
  expect((await onServer(stack, id)).document.name).toBe('Untitled');
});

test('from a ready-made set (short)', async ({ page, person }) => {
  await person.press(page.getByRole('link', { name: /^A set/ }));
  await person.press(page.getByLabel('Search the shelf'));
  await person.type('rust');
  await person.press(page.getByRole('list', { name: 'Sets on the shelf' }).getByRole('button').first());
  await expect(page.getByText(/^All \d+ pairs pass/)).toBeVisible();
  expectReadable(await person.copied(page.getByRole('button', { name: 'Copy the CSS' })));
});

test('from nothing, by an idea among nine (short)', async ({ page, person }) => {
  await person.press(page.getByRole('link', { name: /^Nothing yet/ }));
  await expect(page.getByRole('button', { name: /^Idea 9/ })).toBeVisible();
  await person.press(page.getByRole('button', { name: 'Show nine others' }));
  await expect(page.getByRole('region', { name: 'Ideas' })).toHaveAttribute('aria-busy', 'false');
  await person.press(page.getByRole('button', { name: /^Idea 2/ }));
  await expect(page.getByText(/^All \d+ pairs pass/)).toBeVisible();
  expectReadable(await person.copied(page.getByRole('button', { name: 'Copy the CSS' })));
});

test('from a mail to a project by keyboard alone, and its file', async ({ page, person, stack }) => {
  await person.key('Tab');
  await person.key('Enter');
  await expect(page.getByLabel(/Paste it whole/)).toBeFocused();
  await person.paste(MAIL);
  await expect(page.getByText(/^All \d+ pairs pass/)).toBeVisible();
  const name = page.getByLabel('Project name');
  for (let i = 0; i < 20 && !(await name.evaluate((one) => one === document.activeElement)); i++)
    await person.key('Tab');
  await person.type('Harbour kiosk');
  await person.key('Enter');
  await expect(page.getByRole('heading', { name: 'Grow', level: 1 })).toBeVisible();
  await person.key('7');
  await expect(page.getByRole('button', { name: /^Download .+\.css/ })).toBeEnabled();
  await person.key('m');
  const download = page.waitForEvent('download');
  await person.key('Enter');
  const file = await download;
  expect(file.suggestedFilename()).toBe('harbour-kiosk.css');
  expectReadable(readFileSync(await file.path(), 'utf8'));
  await expect(page.getByLabel('Readout')).toContainText('32 of 32 overall');
  const id = /\/p\/([^/]+)/.exec(page.url())![1]!;
  await expectSaved(page);
  const { document } = await onServer(stack, id);
  expect(document.tray.map(({ color }: { color: string }) => color)).toEqual([
    '#e2552b',
    '#0b5f6b',
    'hsl(116 37% 36%)',
    '#d9c7a1',
  ]);
  // What it came from lies at Gather.
  await page.keyboard.press('1');
  await expect(page.getByLabel('Text with colours')).toHaveValue(MAIL);
});

test('from a picture to a project with another colour that leads, seen on the Stage', async ({
  page,
  person,
  stack,
}) => {
  await person.press(page.getByRole('link', { name: /^A picture/ }));
  await person.openFile(HARBOUR, page.getByLabel('Picture file'));
  const leads = page.getByLabel(/^Leads/);
  await expect(leads).toBeVisible();
  const options = await leads.locator('option').allTextContents();
  await person.choose(options.at(-1)!, leads);
  await expect(leads.locator('option:checked')).toHaveText(options.at(-1)!);
  await expect(page.getByText(/^All \d+ pairs pass/)).toBeVisible();
  await person.press(page.getByLabel('Project name'));
  await person.type('Dusk');
  await person.press(page.getByRole('button', { name: 'Begin the project' }));
  await expect(page.getByRole('heading', { name: 'Grow', level: 1 })).toBeVisible();
  await person.press(page.getByRole('link', { name: 'Stage' }));
  await expect(page.getByRole('link', { name: 'Timetable' })).toBeVisible();
  await person.press(page.getByRole('link', { name: 'Deliver' }));
  const download = page.waitForEvent('download');
  await person.press(page.getByRole('button', { name: /^Download .+\.css/ }));
  expectReadable(readFileSync(await (await download).path(), 'utf8'));
  await expectSaved(page);
  const id = /\/p\/([^/]+)/.exec(page.url())![1]!;
  const { document } = await onServer(stack, id);
  expect(document.pictures).toMatchObject([{ name: 'Harbour at dusk' }]);
});

base('what cannot be begun with is told, and the way on; axe finds nothing', async ({ page }, info) => {
  const broken = info.outputPath('broken.png');
  writeFileSync(broken, Buffer.from('89504e470d0a1a0a0000000d4948445200000010', 'hex'));
  await page.goto('/new/picture');
  await page.getByLabel('Picture file').setInputFiles(broken);
  await expect(page.getByRole('alert')).toContainText('broken.png could not be read');
  await page.getByLabel('Picture file').setInputFiles({
    name: 'notes.png',
    mimeType: 'image/png',
    buffer: Buffer.from('no picture at all'),
  });
  await expect(page.getByRole('alert')).toContainText('This kind of file can’t be opened');
  await page.goto('/new/sheet');
  await page.getByLabel(/A page’s address/).fill('http://127.0.0.1/a.html');
  await page.getByRole('button', { name: 'Fetch' }).click();
  await expect(page.getByRole('alert')).toBeVisible();
  await page.goto('/new/text');
  await page.getByLabel(/Paste it whole/).fill('no colour here');
  await expect(page.getByText('No colour found yet')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Copy the CSS' })).toBeDisabled();
  // More than a tray holds.
  const many = Array.from({ length: 1200 }, (_, i) => `#${(i * 9973).toString(16).padStart(6, '0')}`);
  await page.getByLabel(/Paste it whole/).fill(many.join(' '));
  await expect(page.getByText('The first 1,000 go into the tray.')).toBeVisible();
  await expect(page.getByText(/^All \d+ pairs pass/)).toBeVisible();
  for (const way of ['text', 'picture', 'sheet', 'colour', 'set', 'nothing', 'elsewhere']) {
    await page.goto(`/new/${way}`);
    await expect(page.getByRole('heading', { name: 'A new project' })).toBeVisible();
    expect(await axeFaults(page), way).toEqual([]);
  }
});

import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { MINT_LAMP_INTERFACE } from '@mint-lamp/core/demo/interface';
import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import { emptyDocument, type ProjectDocument } from '@mint-lamp/core/document/document';
import { SCENE_USES } from '@mint-lamp/core/document/scenes/scene-uses';
import { firstSystem } from '@mint-lamp/core/edits/first-system';
import { STARTER_PARTS } from '@mint-lamp/core/edits/roles/starter-parts';
import { adoptSheet, wholeOf } from '@mint-lamp/core/sheet/adopt';
import { readSheet } from '@mint-lamp/core/sheet/sheet-system';
import type { Locator, Page } from '@playwright/test';
import { LARGEST } from '../../packages/core/bench/largest-document.ts';
import { makeProject } from '../bench/largest-project.ts';
import { SCENES } from '../support/scenes.ts';
import { axeFaults, expect, expectSaved, onServer, test } from '../support/test.ts';

let ids = 0;
const newId = () => `made${++ids}`;
const EMPTY = emptyDocument('Corner bakery', [
  { id: 'light', name: 'Light' },
  { id: 'dark', name: 'Dark' },
]);

function edited(document: ProjectDocument, command: Parameters<typeof applyCommand>[1]): ProjectDocument {
  const result = applyCommand(document, command);
  if (!result.ok) throw new Error(result.reason);
  return result.document;
}

/** A whole first system from one pasted code. */
const fromOneCode = () =>
  edited(
    EMPTY,
    firstSystem(
      EMPTY,
      {
        colors: [{ name: 'Crust', color: '#8a4b1f' }],
        leads: 0,
        accent: null,
        calm: 0.5,
        level: 'AA',
        parts: new Set(STARTER_PARTS),
      },
      newId,
    ).command,
  );

/** What a public style sheet comes to. */
function fromSheet(): ProjectDocument {
  const path = createRequire(import.meta.url).resolve('bootstrap/dist/css/bootstrap.css');
  const system = readSheet(readFileSync(path, 'utf8'))!;
  return edited(EMPTY, adoptSheet(EMPTY, system, wholeOf(system), newId)!.command);
}

const OTHERS: readonly (readonly [of: string, make: () => ProjectDocument])[] = [
  ['the other demo', () => ({ ...MINT_LAMP_INTERFACE, name: 'Interface' })],
  ['one pasted code', fromOneCode],
  ['an adopted style sheet', fromSheet],
  ['the largest sizes', () => ({ ...LARGEST, themes: LARGEST.themes.slice(0, 3) })],
];

const FERRY =
  /Hallin|Skerry|Grey Holm|ferry|ferries|sailing|crossing|\bpier\b|\bdeck\b|island|harbour|on board/i;

/** Of all scenes that are seen: the uses without a paint, and everything that they say. */
const seen = (page: Page) =>
  page.locator('.scene').evaluateAll((roots) => {
    const unpainted = new Set<string>();
    const said: string[] = [];
    for (const root of roots as HTMLElement[]) {
      said.push(root.textContent ?? '');
      for (const part of root.querySelectorAll<HTMLElement>(
        '[data-ground], [data-text], [data-line], [data-ring]',
      ))
        for (const use of [part.dataset.ground, part.dataset.text, part.dataset.line, part.dataset.ring])
          if (use && !root.style.getPropertyValue(`--s-${use}`)) unpainted.add(use);
    }
    return { unpainted: [...unpainted], said: said.join('\n'), scenes: roots.length };
  });

for (const [of, make] of OTHERS)
  test(`scenes of ${of} are painted by roles, say what is not, and no word of the ferry`, async ({
    page,
    stack,
  }) => {
    const document = make();
    const id = await makeProject(stack, document);
    await page.goto(`/p/${id}/stage`);
    const list = page.getByRole('list', { name: 'Scenes' });
    await expect(list.getByRole('listitem')).toHaveCount(SCENES.length);
    await expect(list.locator('.recharts-surface').first()).toBeAttached();
    const { unpainted, said, scenes } = await seen(page);
    expect(scenes).toBe(SCENES.length * document.themes.length);
    expect(said).not.toMatch(FERRY);
    expect(said).toContain(document.name);
    await page.getByRole('button', { name: 'What paints what …' }).press('Enter');
    const uses = page.getByRole('list', { name: 'Uses' });
    for (const use of unpainted) {
      expect(SCENE_USES[use as keyof typeof SCENE_USES], use).toBeDefined();
      await expect(uses.locator(`[data-use=${use}]`)).toContainText('not painted');
    }
    // Nothing stands in untold either.
    await expect(uses.getByRole('listitem')).toHaveCount(Object.keys(SCENE_USES).length);
    expect(await axeFaults(page)).toEqual([]);
  });

const frame = (page: Page, theme: string): Locator =>
  page.locator(`[data-stage-theme=${theme}]`).getByTestId('scene');
const painted = (of: Locator) => of.evaluate((element) => getComputedStyle(element).color);

test('what is wrong on a page is pressed there, seen otherwise in every theme, mended, and taken back', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('stage/timetable');
  await page.getByRole('button', { name: 'Low contrast' }).click();
  await expect(page.locator('[data-stage-theme=day]')).toContainText('1 text fails');
  // On its plain page at night, board.text is a chain of links to what is meant to be quiet.
  await expect(page.locator('[data-stage-theme=night]')).toContainText('2 texts fail');
  const state = frame(page, 'day').getByText('Delayed to 10:05', { exact: true });
  const before = await painted(state);
  await frame(page, 'day')
    .getByRole('button', { name: /^Delayed to 10:05: 4\.27 to 1, needs 4\.5/ })
    .press('Enter');
  const panel = page.getByRole('dialog', { name: 'What paints it' });
  await expect(panel).toContainText('4.27 : 1');
  await expect(panel).toContainText('notice.delay.text');
  // Other shades with the ratio that they would have there, seen before they are taken.
  const darker = panel.getByRole('button', { name: /^Lantern 800, 8\.2\d to 1/ });
  await darker.hover();
  await expect.poll(() => painted(state)).not.toBe(before);
  await expect(panel).toContainText(/8\.2\d : 1/);
  await expect(panel).toContainText('4.27 before');
  expect(await axeFaults(page)).toEqual([]);
  await page.mouse.move(2, 2);
  await expect.poll(() => painted(state)).toBe(before);
  const mend = panel.getByRole('button', { name: 'Repair it' });
  await mend.click();
  await expect(panel).toContainText('passes 4.5');
  await expectSaved(page);
  const link = async () =>
    (await onServer(stack, project)).document.roles.find(
      ({ id }: { id: string }) => id === 'notice-delay-text',
    ).links.day;
  expect(await link()).toMatchObject({ family: 'lantern', shade: '700' });
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-stage-theme=day]')).toContainText('every text passes here');
  await page.keyboard.press('Control+z');
  await expect.poll(() => painted(state)).toBe(before);
});

test('by keyboard: parts are walked through and told, pressed, and changed', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('stage/board');
  const board = frame(page, 'day');
  await board.focus();
  await page.keyboard.press('ArrowRight');
  const told = page.locator('[data-announced]');
  await expect(told).toHaveText('board: board.ground');
  await page.keyboard.press('ArrowRight');
  await expect(told).toHaveText('Departures: board.text, board.ground');
  await page.keyboard.press('Enter');
  const panel = page.getByRole('dialog', { name: 'What paints it' });
  await expect(panel.getByRole('tab', { name: 'Text' })).toHaveAttribute('aria-selected', 'true');
  await panel.getByRole('tab', { name: 'Ground' }).press('Enter');
  await expect(panel).toContainText('board.ground');
  await panel.getByRole('button', { name: /^Deepwater 800,/ }).press('Enter');
  await expectSaved(page);
  const { document } = await onServer(stack, project);
  const ground = document.roles.find(({ id }: { id: string }) => id === 'board-ground');
  expect(ground.links.day).toMatchObject({ family: 'deepwater', shade: '800' });
  await page.keyboard.press('Escape');
  await expect(board).toBeFocused();
  await expect(page.getByRole('complementary', { name: 'Lamp' })).toContainText('board.text');
});

test('what paints a use is chosen once for all scenes, kept, and undone; so are the words', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('stage');
  await page.getByRole('button', { name: 'What paints what …' }).press('Enter');
  await page.getByLabel('What paints hero', { exact: true }).selectOption({ label: 'Wake' });
  const hero = page.locator('[data-scene=landing] [data-ground=hero]').first();
  await expect(hero).toHaveCSS('background-image', /^linear-gradient\((in oklab|180deg)/);
  await page.getByLabel('What paints veil over hero').selectOption({ label: 'Leave it unpainted' });
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Words …' }).press('Enter');
  const field = page.getByLabel('A clear start to the day', { exact: true });
  await field.fill('Off to the isles');
  await field.press('Enter');
  await expect(page.locator('[data-scene=landing]')).toContainText('Off to the isles');
  await page.keyboard.press('Escape');
  await expectSaved(page);
  const { document } = await onServer(stack, project);
  expect(document.scenes.cast).toMatchObject({
    hero: { to: 'gradient', gradient: 'wake' },
    'hero-veil': { to: 'nothing' },
  });
  expect(document.scenes.words.headline).toBe('Off to the isles');
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
  await expect(page.locator('[data-scene=landing]')).toContainText('First light to Oster Skerry');
  await expect(hero).toHaveCSS('background-image', /^linear-gradient\(105deg/);
});

test('a scene is looked at in other widths, through other eyes, in all states, over the whole window and in one of its own', async ({
  page,
  context,
  open,
}) => {
  await open('stage/landing');
  const scene = frame(page, 'day').locator('.scene');
  await page.getByRole('radio', { name: 'Phone' }).click();
  await expect.poll(() => scene.evaluate((root) => (root as HTMLElement).offsetWidth)).toBe(390);
  const edge = page.getByRole('slider', { name: 'Width of the page' }).first();
  const { x, y, height } = (await edge.boundingBox())!;
  await page.mouse.move(x + 5, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + 105, y + height / 2, { steps: 5 });
  await page.mouse.up();
  const wide = Number(await edge.getAttribute('aria-valuenow'));
  expect(wide).toBeGreaterThan(450);
  await edge.press('ArrowLeft');
  await expect(edge).toHaveAttribute('aria-valuenow', String(wide - 10));
  await page.getByRole('radio', { name: 'Its own' }).click();

  await page.getByLabel('Scenes seen by').selectOption('blurred');
  await expect(scene.locator('..')).toHaveCSS('filter', 'blur(1.2px)');
  await page.getByLabel('Scenes seen by').selectOption('everyone');
  await page.getByRole('button', { name: 'All states' }).click();
  for (const state of ['default', 'hover', 'focus', 'pressed', 'disabled'])
    await expect(scene.getByText(state, { exact: true }).first()).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);

  await page.getByRole('button', { name: 'Full window' }).click();
  await expect(page.getByRole('region', { name: 'Landing page' })).toHaveCSS('position', 'fixed');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'Landing page' })).not.toHaveCSS('position', 'fixed');

  // The other window follows a colour while it is looked at.
  const opening = context.waitForEvent('page');
  await page.getByRole('button', { name: 'Open in its own window, which follows live' }).click();
  const apart = await opening;
  const action = apart.locator('[data-stage-theme=day] [data-ground=accent]').first();
  const fill = () => action.evaluate((element) => getComputedStyle(element).backgroundColor);
  const before = await fill();
  await page.bringToFront();
  await frame(page, 'day').locator('[data-ground=accent]').first().click();
  const panel = page.getByRole('dialog', { name: 'What paints it' });
  await panel.getByRole('tab', { name: 'Ground' }).click();
  await panel.getByRole('button', { name: /^Kelp 700/ }).hover();
  await expect.poll(fill).not.toBe(before);
  await page.keyboard.press('Escape');
  await expect.poll(fill).toBe(before);
  await apart.close();
  await expect(
    page.getByRole('button', { name: 'Open in its own window, which follows live' }),
  ).toBeVisible();
});

test('what families cover is told beside 60 / 30 / 10, and brought nearer by a role that is seen before it is taken', async ({
  page,
  open,
}) => {
  await open('stage/timetable');
  await page.getByRole('button', { name: 'Areas' }).click();
  const day = page.locator('[data-balance=day]');
  await expect(day).toContainText(/\d+\.\d % off 60 \/ 30 \/ 10/);
  const off = async () => Number.parseFloat(/([\d.]+) % off/.exec((await day.textContent())!)![1]!);
  const before = await off();
  const shares = await day.locator('dl[aria-label="Families in Day sailing"] dd').allTextContents();
  const sum = shares.reduce((all, text) => all + Number.parseFloat(text), 0);
  expect(Math.abs(sum - 100)).toBeLessThan(1);
  expect(await axeFaults(page)).toEqual([]);
  const way = day.getByRole('list', { name: 'What brings Day sailing closer' }).getByRole('listitem').first();
  const nearer = Number.parseFloat(/: ([\d.]+) % closer/.exec((await way.textContent())!)![1]!);
  const passing = await page.getByLabel('Readout').textContent();
  await way.getByRole('button', { name: 'Apply' }).hover();
  await expect.poll(off).toBeCloseTo(before - nearer, 0);
  await page.mouse.move(2, 2);
  await expect.poll(off).toBe(before);
  await way.getByRole('button', { name: 'Apply' }).press('Enter');
  await expectSaved(page);
  await expect.poll(off).toBeCloseTo(before - nearer, 0);
  // No pair fails that passed.
  expect((await page.getByLabel('Readout').textContent())!.slice(0, 20)).toBe(passing!.slice(0, 20));
  await page.keyboard.press('Control+z');
  await expect.poll(off).toBe(before);
});

test('the list of projects shows a page in each theme, as it is painted', async ({ page, stack }) => {
  const id = await makeProject(stack, { ...fromOneCode(), name: `Bakery ${newId()}` });
  const { document } = await onServer(stack, id);
  await page.goto('/');
  const row = page.getByRole('listitem').filter({ hasText: document.name });
  await expect(row.locator('.scene')).toHaveCount(2);
  const [light, dark] = await row
    .locator('.scene [data-ground=page]')
    .evaluateAll((pages) => pages.map((one) => getComputedStyle(one).backgroundColor));
  expect(light).not.toBe(dark);
  await expect(row.locator('.scene').first()).toContainText('A clear start to the day');
  expect(await axeFaults(page)).toEqual([]);
});

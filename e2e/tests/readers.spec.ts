import { type Deficiency, simulate } from '@mint-lamp/core/vision/simulate';
import type { Locator } from '@playwright/test';
import { PNG } from 'pngjs';
import { axeFaults, expect, send, test } from '../support/test.ts';

const picture = async (of: Locator) => PNG.sync.read(await of.screenshot({ animations: 'disabled' }));

/** By how much each pixel that is seen so differs from what the core says of the plain one. */
function differences(plain: PNG, seen: PNG, kind: Deficiency, severity: number): number[] {
  expect([seen.width, seen.height]).toEqual([plain.width, plain.height]);
  const out: number[] = [];
  for (let at = 0; at < plain.data.length; at += 4) {
    const [r, g, b] = [plain.data[at]!, plain.data[at + 1]!, plain.data[at + 2]!];
    const told = simulate({ r, g, b, alpha: 1 }, kind, severity);
    const off = [seen.data[at]! - told.r, seen.data[at + 1]! - told.g, seen.data[at + 2]! - told.b];
    out.push(Math.max(...off.map(Math.abs)));
  }
  return out;
}

const farthest = (...given: Parameters<typeof differences>) =>
  differences(...given).reduce((a, b) => Math.max(a, b));

/** The share of pixels that agree: all but the edges of letters, which lie elsewhere within their pixels on a small page. */
const agreeing = (...given: Parameters<typeof differences>) => {
  const all = differences(...given);
  return all.filter((off) => off <= 1).length / all.length;
};

test('the page is seen as others see it, pixel by pixel as the core says; twins that carry meaning are named and parted', async ({
  page,
  open,
  stack,
  project,
}) => {
  await send(stack, project, [
    {
      type: 'setLink',
      role: 'notice-ontime-text',
      theme: 'day',
      link: { to: 'shade', family: 'kelp', shade: '700' },
    },
    {
      type: 'setLink',
      role: 'notice-cancelled-text',
      theme: 'day',
      link: { to: 'shade', family: 'buoy', shade: '700' },
    },
  ]);
  await open('check');
  await page.getByRole('link', { name: 'Readers' }).click();
  const readers = page.getByRole('list', { name: 'Readers' });
  await expect(readers.getByRole('listitem')).toHaveCount(7);
  await expect(readers).toContainText('Deutan: red-green, green-weakabout 3.1 of 100 people');
  await expect(page.getByText('Colour vision by Machado, Oliveira, Fernandes 2009')).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  const seen = (reader: string) => picture(page.locator(`[data-reader=${reader}] [data-specimen]`));
  const plain = await seen('everyone');
  for (const kind of ['deutan', 'protan', 'tritan'] as const)
    expect(agreeing(plain, await seen(kind), kind, 1), kind).toBeGreaterThan(0.95);
  const severity = page.getByRole('slider', { name: 'Severity' });
  await severity.press('Home');
  for (let i = 0; i < 8; i++) await severity.press('ArrowRight');
  await expect(severity).toHaveAttribute('aria-valuetext', '40 %');
  expect(agreeing(plain, await seen('protan'), 'protan', 0.4)).toBeGreaterThan(0.95);
  await severity.press('End');

  const twins = page.getByRole('region', { name: 'Told apart by colour' });
  const line = twins.getByRole('listitem').filter({ hasText: 'notice.ontime.text' }).first();
  await expect(line).toContainText(/with (deutan|protan) vision/);
  const before = await twins.getByRole('listitem').count();
  await line.getByRole('button', { name: /^Use / }).press('Enter');
  await expect(twins.getByRole('listitem')).not.toHaveCount(before);
  await page.keyboard.press('Control+z');
  await expect(twins.getByRole('listitem')).toHaveCount(before);
});

test('everything is shown as somebody sees it, at any station, until it is shown as it is', async ({
  page,
  open,
  goOn,
}) => {
  await open('stage/timetable');
  await page.getByRole('radio', { name: 'This one' }).click();
  await page.getByLabel('Zoom').selectOption('100 %');
  const scene = page.getByTestId('scene');
  await page.getByRole('button', { name: 'Seen by' }).press('Enter');
  const panel = page.getByRole('dialog', { name: 'Seen by' });
  await panel.getByRole('button', { name: /^Protan/ }).press('Enter');
  await expect(panel.getByRole('button', { name: /^Protan/ })).toHaveAttribute('aria-pressed', 'true');
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(
    page.getByText(/Everything is shown this way: Protan: red-green, red-weak, about 1\.1 of 100 people/),
  ).toBeVisible();
  // The gradient under its veil, texts and their edges too: the same page with and without.
  const filtered = (filter: string) =>
    page.evaluate((value) => {
      document.documentElement.style.filter = value;
    }, filter);
  for (const kind of ['achromat', 'tritan', 'protan'] as const) {
    // Just before, each time: edges of letters are drawn a little otherwise once the page has been filtered.
    await filtered('');
    const plain = await picture(scene);
    await filtered(`url(#seen-${kind})`);
    const seen = await picture(scene);
    expect(plain.data.equals(seen.data)).toBe(false);
    expect(farthest(plain, seen, kind, 1), kind).toBeLessThanOrEqual(1);
  }
  await goOn('grow');
  expect(await page.evaluate(() => document.documentElement.style.filter)).toContain('seen-protan');
  // Where all of them stand side by side, once is enough.
  await goOn('check/readers');
  await expect(page.getByText('Everything is shown this way elsewhere')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.style.filter)).toBe('');
  await page.getByRole('button', { name: 'As it is' }).click();
  await goOn('stage');
  expect(await page.evaluate(() => document.documentElement.style.filter)).toBe('');
});

test('a link that makes two of a meaning twins for somebody, or a pair that falls short for them, is told before it is taken', async ({
  page,
  open,
  stack,
  project,
}) => {
  const link = (role: string, family: string) =>
    ({ type: 'setLink', role, theme: 'day', link: { to: 'shade', family, shade: '700' } }) as const;
  await send(stack, project, [
    link('notice-ontime-text', 'kelp'),
    link('notice-cancelled-text', 'deepwater'),
  ]);
  await open('assign');
  await page.getByRole('button', { name: /^notice\.cancelled\.text in Day sailing/ }).click();
  const panel = page.getByRole('dialog');
  await panel.getByRole('button', { name: 'Buoy 700' }).hover();
  await expect(panel.getByRole('status').first()).toContainText(
    /notice\.ontime\.text and notice\.cancelled\.text would look the same to people with (deutan|protan) vision \([13]\.\d % of people\)/,
  );
  await panel.getByRole('button', { name: 'Shingle 200' }).focus();
  await expect(panel.getByText('would look the same')).toBeHidden();
  await page.keyboard.press('Escape');

  await send(stack, project, [
    { type: 'setLink', role: 'board-text', theme: 'day', link: { to: 'color', color: '#eb0000' } },
    { type: 'setLink', role: 'board-ground', theme: 'day', link: { to: 'color', color: '#000000' } },
  ]);
  await open('check');
  await page.getByRole('button', { name: 'New pair …' }).click();
  const form = page.getByRole('dialog', { name: 'New pair' });
  await form.getByLabel('Text or graphic').selectOption('board.text');
  await form.getByLabel('on ground').selectOption('board.ground');
  await expect(form.getByRole('status')).toContainText('4.53 passes 4.5 in Day sailing');
  await expect(form.getByRole('status')).toContainText(
    /Seen with protan vision \(1\.1 % of people\) it is [123]\.\d\d only/,
  );
});

import { readFileSync } from 'node:fs';
import { axeFaults, expect, expectSaved, onServer, send, test } from '../support/test.ts';

const LIBRARY = new URL('../../apps/server/library/', import.meta.url);
const reportOf = async (address: string, id: string) =>
  (await fetch(`${address}/api/projects/${id}/report`)).json();
interface Reported {
  readonly pair: string;
  readonly ratio: string;
  readonly failingShare: number;
}

test('a text over a gradient: suggested from the scene, moved by drag and keys, judged at its worst place, mended by a veil', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('check');
  const readout = page.getByLabel('Readout');
  await page.getByRole('button', { name: 'See them …' }).press('Enter');
  const panel = page.getByRole('dialog', { name: 'Suggested pairs, one by one' });
  await expect(panel).toContainText(/hero.*on a scene, 18 px/);
  expect(await axeFaults(page)).toEqual([]);
  await panel.getByRole('button', { name: 'Add hero.text on First light under hero.veil' }).press('Enter');
  await page.keyboard.press('Escape');
  const row = page.getByRole('listitem', { name: 'hero.text on First light under hero.veil' });
  await expect(row).toContainText(/1\d\.\d\d passes 4\.5 in Day sailing/);
  await expect(readout).toContainText('35 of 38 overall');
  await row.getByRole('button', { name: /^hero\.text/ }).click();
  const bare = page.getByRole('listitem', { name: 'hero.text on First light', exact: true });
  await row.getByLabel('Veil over that').selectOption('none');
  const text = bare.getByRole('button', { name: /^Text, \d+ × \d+ px at/ });
  await expect(text).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  // Dragged to where the gradient is light; the readout follows before it is let go.
  const box = (await text.boundingBox())!;
  await page.mouse.move(box.x + 30, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + 330, box.y + 10, { steps: 8 });
  await expect(bare).toContainText(/fails on \d+ % of what it covers/);
  await expect(readout).toContainText('33 of 38 overall');
  await page.mouse.up();
  await expect(
    bare.getByText(/at the cross, the worst place in Day sailing; \d+ % of what it covers/),
  ).toBeVisible();
  await expectSaved(page);
  const [day] = (await reportOf(stack.address, project)).themes;
  const reported: Reported = day.pairs.find((one: { text: string }) => one.text === 'hero.text');
  await expect(bare).toContainText(`${reported.ratio} needs 4.5 in Day sailing`);
  await expect(bare).toContainText(`fails on ${Math.round(reported.failingShare * 100)} % of what it covers`);
  // By keys and as figures, each one undo.
  const name = await text.getAttribute('aria-label');
  await text.press('Shift+ArrowLeft');
  await expect(text).not.toHaveAccessibleName(name!);
  await page.keyboard.press('Control+z');
  await expect(text).toHaveAccessibleName(name!);
  // The least veil is offered, as a role of its own.
  const ways = bare.getByRole('list', { name: 'Ways to repair it' }).first();
  await ways.getByRole('button', { name: /^Add a veil of \w+ \d+ at \d+ %: 4\.\d\d/ }).press('Enter');
  const veiled = page.getByRole('listitem', { name: 'hero.text on First light under hero.veil-2' });
  await expect(veiled).toContainText(/4\.\d\d passes 4\.5 in Day sailing/);
  await page.keyboard.press('Control+z');
  await expect(bare).toBeVisible();
  await bare.getByLabel('Text width').fill('200');
  await page.keyboard.press('Enter');
  await expect(text).toHaveAccessibleName(/^Text, 200 ×/);
});

test('a text over a picture: the share that fails is told, on screen as in the report of the server', async ({
  page,
  open,
  stack,
  project,
}) => {
  const file = await fetch(`${stack.address}/api/projects/${project}/pictures`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: readFileSync(new URL('harbour-at-dusk.jpg', LIBRARY)),
  });
  const picture = { id: 'harbour', name: 'Harbour at dusk', ...(await file.json()) };
  await send(stack, project, [
    { type: 'addPicture', picture: { ...picture, markers: [], moved: [], textOver: null } },
  ]);
  await open('check/text-link-on-page-ground');
  const row = page.getByRole('listitem', { name: 'text.link on page.ground' });
  await row.getByLabel('Under the text').selectOption('Harbour at dusk');
  const over = page.getByRole('listitem', { name: 'text.link on Harbour at dusk' });
  await expect(over).toContainText(/1\.\d\d needs 4\.5 in Day sailing/);
  await expect(over.getByRole('img', { includeHidden: true }).first()).toBeVisible();
  await expectSaved(page);
  const report = await reportOf(stack.address, project);
  for (const { name, pairs } of report.themes) {
    const told: Reported = pairs.find((one: Reported) => one.pair === 'text-link-on-page-ground');
    const share = told.failingShare < 0.01 ? 'under 1' : Math.round(told.failingShare * 100);
    await expect(over).toContainText(new RegExp(`${told.ratio} needs 4\\.5 in ${name}`));
    await expect(over).toContainText(`fails on ${share} % of what it covers`);
  }
  // After a reload too, and where nobody has opened the picture.
  await open('check');
  await expect(over).toContainText(/1\.\d\d needs 4\.5 in Day sailing/);
});

test('pairs are shown with the project’s words or their own, let off with a reason, or declined; the report says so', async ({
  page,
  open,
  goOn,
  stack,
  project,
}) => {
  await open('check');
  const row = page.getByRole('listitem', { name: 'board.quiet on board.ground' });
  await expect(row).toContainText('08:15 to Oster Skerry');
  await expect(page.getByRole('listitem', { name: 'action.text on action.fill' })).toContainText('Reserve');
  await page.getByRole('button', { name: 'Words …' }).click();
  await page.getByLabel('Text', { exact: true }).fill('Tide at 14:20');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(row).toContainText('Tide at 14:20');
  await goOn('assign');
  await expect(page.getByRole('button', { name: /^text\.main in Day sailing/ })).toContainText(
    'Tide at 14:20',
  );
  await goOn('check');
  await row.getByRole('button', { name: /^board\.quiet/ }).press('Enter');
  await row.getByLabel('Words').fill('Pier 2');
  await page.keyboard.press('Enter');
  await expect(row).toContainText('Pier 2');

  // Let off only once there is a reason.
  const readout = page.getByLabel('Readout');
  await expect(readout).toContainText('33 of 36 overall');
  await row.getByLabel('By WCAG it').selectOption('exempt: an inactive control');
  await expect(row).toContainText('It counts as exempt once you give a reason.');
  await expect(readout).toContainText('33 of 36 overall');
  expect(await axeFaults(page)).toEqual([]);
  await row.getByLabel('Reason, for the report').fill('Sailings that are over.');
  await page.keyboard.press('Enter');
  await expect(row).toContainText('3.33 exempt in Night sailing');
  await expect(readout).toContainText('32 of 34 overall');

  await page.getByRole('button', { name: 'See them …' }).click();
  const panel = page.getByRole('dialog', { name: 'Suggested pairs, one by one' });
  await panel.getByRole('button', { name: 'Decline text.link on page.sunken' }).click();
  await panel
    .getByLabel('Why you decline text.link on page.sunken; the report says it')
    .fill('No links down there.');
  await page.keyboard.press('Enter');
  await expect(panel.getByRole('region', { name: 'Declined' })).toContainText('No links down there.');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Add 3 suggested' })).toBeVisible();

  await goOn('check/report');
  const exempt = page.getByRole('region', { name: 'Exempt' });
  await expect(exempt).toContainText('board.quiet on board.ground');
  await expect(exempt).toContainText('an inactive control. Sailings that are over.');
  await expect(page.getByRole('region', { name: 'Declined' })).toContainText('No links down there.');
  expect(await axeFaults(page)).toEqual([]);
  await expectSaved(page);
  const report = await reportOf(stack.address, project);
  expect([report.passing, report.of, report.exempt]).toEqual([32, 34, 1]);
  expect(report.declined).toEqual([
    { text: 'text.link', ground: 'page.sunken', reason: 'No links down there.' },
  ]);
  const { pairs } = (await onServer(stack, project)).document;
  expect(pairs.find((pair: { words?: string }) => pair.words)).toMatchObject({
    words: 'Pier 2',
    exempt: { as: 'inactive', reason: 'Sailings that are over.' },
  });
});

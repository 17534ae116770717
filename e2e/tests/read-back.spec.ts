import { readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { writeTokens } from '@mint-lamp/core/exchange/tokens';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { axeFaults, expect, expectSaved, onServer, post, send, test } from '../support/test.ts';

const system = resolveSystem(SKERRY_LINE);

test('a style sheet that somebody changed is read back: seen, what it lacks told, taken in part with one undo', async ({
  page,
  open,
  stack,
  project,
}) => {
  const css = writeCss(system)
    .replace('--buoy-500: #c83d19', '--buoy-500: #aa3311')
    .replace('--text-main: var(--deepwater-950)', '--text-main: var(--deepwater-900)');
  await open('deliver/read-back');
  expect(await axeFaults(page)).toEqual([]);
  await page
    .getByLabel('File to read back')
    .setInputFiles({ name: 'changed.css', mimeType: 'text/css', buffer: Buffer.from(css) });
  const proposal = page.getByRole('region', { name: 'changed.css' });
  await expect(proposal.getByRole('heading', { name: 'changed.css, read as a style sheet' })).toBeVisible();
  await expect(proposal).toContainText('Buoy');
  await expect(proposal).toContainText('text.main');
  await expect(proposal.getByText('Kelp', { exact: true })).toBeHidden();
  expect(await axeFaults(page)).toEqual([]);
  await proposal.getByRole('checkbox', { name: /Buoy/ }).check();
  await proposal.getByRole('button', { name: 'Apply the 1 selected' }).click();
  await expectSaved(page);
  const after = (await onServer(stack, project)).document;
  expect(resolveSystem(after).families.get('buoy')!.byLabel.get('500')!.css).toBe('#aa3311');
  expect(after.roles.find(({ id }: { id: string }) => id === 'text-main').links.day.shade).toBe('950');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expectSaved(page);
  expect((await onServer(stack, project)).document.families).toEqual(SKERRY_LINE.families);
});

test('tokens are pasted into an empty project and come to be the system, pairs and growth among it, by keyboard', async ({
  page,
  stack,
}) => {
  const { id } = await post(stack, '/projects', { name: 'From tokens' });
  await page.goto(`/p/${id}/deliver/read-back`);
  await page.getByLabel('Or paste what is in one').fill(writeTokens(system, choicesOf({}, 'tokens')));
  await page.getByRole('button', { name: 'Read it' }).press('Enter');
  await page.getByRole('button', { name: 'Apply all of it' }).press('Enter');
  await expectSaved(page);
  const { document } = await onServer(stack, id);
  expect(document.pairs).toHaveLength(SKERRY_LINE.pairs.length);
  expect(document.themes.map(({ name }: { name: string }) => name)).toEqual(['Day sailing', 'Night sailing']);
  const own = writeTokens(resolveSystem({ ...document, name: SKERRY_LINE.name }), choicesOf({}, 'tokens'));
  expect(own).toBe(writeTokens(system, choicesOf({}, 'tokens')));
  await page.getByLabel('Or paste what is in one').fill('hello');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('alert')).toContainText('There is no colour in this style sheet.');
});

test('a project file opens as it was, with checkpoints, notes and pictures, and is written again in the same bytes', async ({
  page,
  open,
  stack,
  project,
}) => {
  const picture = readFileSync(join(import.meta.dirname, '../../docs/screenshots/deliver.png'));
  const kept = await fetch(`${stack.address}/api/projects/${project}/pictures`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: picture,
  }).then((answer) => answer.json());
  await post(stack, `/projects/${project}/checkpoints`, { name: 'As handed over', revision: 0 });
  await send(stack, project, [
    {
      type: 'addPicture',
      picture: { id: 'shot', name: 'Station', markers: [], moved: [], textOver: null, ...kept },
    },
    {
      type: 'addNote',
      note: {
        id: 'n1',
        on: { kind: 'role', role: 'text-main' },
        text: 'Darker?',
        by: 'Ida',
        at: 5,
        settled: false,
        answers: [{ id: 'a1', text: 'A step.', by: 'Ula', at: 6 }],
      },
    },
  ]);
  const download = async () => {
    await open('deliver/project');
    const coming = page.waitForEvent('download');
    await page.locator('[data-next]').click();
    const got = await coming;
    expect(got.suggestedFilename()).toBe('copy-of-the-demo.mintlamp');
    return readFileSync(await got.path());
  };
  const bytes = await download();
  expect(await axeFaults(page)).toEqual([]);
  const file = join(tmpdir(), `mint-lamp-${Date.now()}.mintlamp`);
  writeFileSync(file, bytes);
  await page.goto('/');
  await page.getByLabel('Project file').setInputFiles(file);
  await page.waitForURL(/\/p\/[\da-f-]+\/grow/);
  const id = /\/p\/([\da-f-]+)/.exec(page.url())![1]!;
  expect(id).not.toBe(project);
  expect((await onServer(stack, id)).document).toEqual((await onServer(stack, project)).document);
  const { checkpoints } = await fetch(`${stack.address}/api/projects/${id}/checkpoints`).then((answer) =>
    answer.json(),
  );
  expect(checkpoints.map(({ name }: { name: string }) => name)).toEqual(['As handed over']);
  await page.goto(`/p/${id}/deliver/project`);
  const coming = page.waitForEvent('download');
  await page.locator('[data-next]').click();
  expect(readFileSync(await (await coming).path()).equals(bytes)).toBe(true);
  // What is none says so, and leaves nothing behind.
  await page.goto('/');
  await expect(page.getByRole('list', { name: 'Projects' }).getByRole('listitem').first()).toBeVisible();
  const before = await page.getByRole('list', { name: 'Projects' }).getByRole('listitem').count();
  await page
    .getByLabel('Project file')
    .setInputFiles({ name: 'x.mintlamp', mimeType: 'application/zip', buffer: Buffer.from('no zip') });
  await expect(page.getByRole('alert')).toContainText('This is no project file');
  expect(await page.getByRole('list', { name: 'Projects' }).getByRole('listitem').count()).toBe(before);
});
